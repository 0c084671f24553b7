import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { sampleDesign } from '../../tests/sample-design.ts';
import { readDesignText, writeDesignText } from '../core/design/read-design.ts';
import { type LayOptions, layCommand } from './lay-command.ts';

const folder = mkdtempSync(join(tmpdir(), 'vetro-lay-'));
const from = join(folder, 'design.json');
const to = join(folder, 'laid.json');
writeFileSync(from, writeDesignText(sampleDesign('warp: A4 B2 C6\nweave: plain\ndensity: 20/in')));

let said = '';

beforeEach(() => {
  said = '';
  const hear = (text: string | Uint8Array) => {
    said += String(text);
    return true;
  };
  vi.spyOn(process.stdout, 'write').mockImplementation(hear);
  vi.spyOn(process.stderr, 'write').mockImplementation(hear);
});

afterEach(() => vi.restoreAllMocks());

function lay(options: LayOptions) {
  layCommand(from, { output: to, ...options });
  return readDesignText(readFileSync(to, 'utf8')).lay;
}

describe('vetro lay', () => {
  it.each([
    [{ halfDrop: '1/2' }, { kind: 'half-drop', by: '1/2' }],
    [{ brick: '2/3' }, { kind: 'brick', by: '2/3' }],
    [{ mirror: 'both' }, { kind: 'group', group: 'p2mm', way: 'across' }],
    [{ mirror: 'down' }, { kind: 'group', group: 'pm', way: 'up' }],
    [{ flip: 'rows' }, { kind: 'group', group: 'pg', way: 'across' }],
    [{ flip: 'columns' }, { kind: 'group', group: 'pg', way: 'up' }],
    [{ group: 'p4gm' }, { kind: 'group', group: 'p4gm', way: 'across' }],
    [{ group: 'p1' }, { kind: 'straight' }],
    [{ vectors: '12,3 0,12' }, { kind: 'free', across: { x: '12', y: '3' }, up: { x: '0', y: '12' } }],
  ] as const)('%o', (options, arrangement) => {
    expect(lay(options).arrangement).toEqual(arrangement);
  });

  it('scales, keeping what was typed, and turns by a slope or an angle', () => {
    expect(lay({ scale: '30%' }).scale).toEqual({ to: 'factor', factor: '30%', lines: true });
    expect(lay({ width: '12 cm', lines: false }).scale).toEqual({
      to: 'width',
      width: '12 cm',
      lines: false,
    });
    expect(lay({ count: '5 in 1 m' }).scale).toEqual({ to: 'count', count: '5', length: '1 m', lines: true });
    expect(lay({ slope: '7/10' }).slope).toEqual({ up: 7, across: 10, asked: null });
    expect(lay({ turn: '37' }).slope).toMatchObject({ asked: '37' });
    expect(said).toContain('Turned by');
    expect(lay({ slope: '0/1' }).slope).toBeNull();
  });

  it('lists every lay with its repeat, and the turns near an angle', () => {
    layCommand(from, { list: true, turn: '35' });
    expect(said).toContain('Half-drop 1/2: 30.48 × 15.24 mm');
    expect(said).toContain('Mirrored both ways (p2mm): 27.94 × 27.94 mm');
    expect(said).toContain('Turned by 34.992° (−0.008°)');
    expect(said).toContain('Third and sixth turns need a lattice of 60°');
  });

  it.each([
    [{ halfDrop: '0/0' }, 'number/zero-divisor'],
    [{ brick: '3/2' }, 'lay/part'],
    [{ group: 'p5' }, 'design/field'],
    [{ group: 'p6mm' }, 'lay/sixty'],
    [{ vectors: '3,1' }, 'lay/vectors'],
    [{ vectors: '12,0 24,0' }, 'lay/parallel'],
    [{ vectors: '12,1 1,12' }, 'lay/gaps'],
    [{ scale: '0' }, 'lay/scale'],
    [{ count: 'five' }, 'lay/count-in'],
    [{ slope: '999/1000' }, 'lay/faces'],
  ] as const)('says what is wrong with %o', (options, code) => {
    expect(() => lay(options)).toThrow(code);
  });
});
