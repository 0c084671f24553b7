import { describe, expect, it } from 'vitest';
import { rowMemory } from './remembered-rows.ts';
import { SEEN_CHANNELS, type SeenRows } from './seen-window.ts';

/** Rows whose light says where it is; they count how often they are asked. */
function counted() {
  const asked: number[] = [];
  const rows: SeenRows = (row, from, to, out) => {
    asked.push(row);
    for (let x = from; x < to; x += 1) out.fill(row * 1000 + x, SEEN_CHANNELS * x, SEEN_CHANNELS * (x + 1));
  };
  return { asked, rows };
}

function lightOf(rows: SeenRows, row: number, from: number, to: number): readonly number[] {
  const out = new Float32Array(SEEN_CHANNELS * 100);
  rows(row, from, to, out);
  return Array.from({ length: to - from }, (_, at) => out[SEEN_CHANNELS * (from + at) + 3]!);
}

describe('remembered rows', () => {
  it('are painted once, and a piece of one is a piece of it', () => {
    const { asked, rows } = counted();
    const memory = rowMemory(100_000);
    expect(lightOf(memory.remember('left', rows), 3, 10, 13)).toEqual([3010, 3011, 3012]);
    expect(lightOf(memory.remember('left', rows), 3, 11, 13)).toEqual([3011, 3012]);
    expect(asked).toEqual([3]);
    expect(lightOf(memory.remember('left', rows), 3, 9, 13)).toEqual([3009, 3010, 3011, 3012]);
    expect(asked).toEqual([3, 3]);
  });

  it('of another name are others', () => {
    const { asked, rows } = counted();
    const memory = rowMemory(100_000);
    lightOf(memory.remember('left', rows), 3, 0, 5);
    lightOf(memory.remember('right', rows), 3, 0, 5);
    expect(asked).toEqual([3, 3]);
  });

  it('are no more bytes than is said: what was asked for longest ago goes first', () => {
    const { asked, rows } = counted();
    // Room for two rows of ten pixels.
    const memory = rowMemory(2 * 10 * SEEN_CHANNELS * Float32Array.BYTES_PER_ELEMENT);
    for (const name of ['a', 'b', 'c']) lightOf(memory.remember(name, rows), 1, 0, 10);
    expect(asked).toHaveLength(3);
    lightOf(memory.remember('c', rows), 1, 0, 10);
    lightOf(memory.remember('b', rows), 1, 0, 10);
    expect(asked).toHaveLength(3);
    lightOf(memory.remember('a', rows), 1, 0, 10);
    expect(asked).toHaveLength(4);
    // One that is larger than all the room is painted each time, and right.
    expect(lightOf(memory.remember('d', rows), 2, 0, 90)).toHaveLength(90);
    expect(lightOf(memory.remember('d', rows), 2, 0, 90)[89]).toBe(2089);
    expect(asked).toHaveLength(6);
  });
});
