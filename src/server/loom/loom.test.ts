import { connect, createServer } from 'node:net';
import type { Kysely } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../tests/sample-design.ts';
import { storeOf } from '../../../tests/store-of.ts';
import { openDatabase } from '../db/open-database.ts';
import type { Database } from '../db/schema.ts';
import { addDesign } from '../shelf.ts';
import { liftPick } from './lift-pick.ts';
import { type StandIn, startStandIn } from './stand-in.ts';
import { weavePick } from './weave-pick.ts';

const NOW = '2026-01-01T10:00:00.000Z';

let loom: StandIn;
let db: Kysely<Database>;

beforeEach(async () => {
  loom = await startStandIn({ port: 0, shafts: 4, delay: 1 });
  db = await openDatabase(':memory:');
});
afterEach(async () => {
  await loom.close();
  await db.destroy();
});

/** A hand at the loom. */
function hand(told: string): Promise<void> {
  return new Promise((resolve) => {
    const socket = connect({ port: loom.port, host: '127.0.0.1' }, () => socket.write(`{"do":"${told}"}\n`));
    socket.on('data', (data) => {
      if (
        String(data).includes(told === 'drop' ? 'never' : '"state"') &&
        String(data).split('\n').length > 1
      ) {
        setTimeout(() => {
          socket.destroy();
          resolve();
        }, 20);
      }
    });
    socket.on('close', () => resolve());
  });
}

async function stored(text: string): Promise<string> {
  return (await addDesign(storeOf(db), { design: sampleDesign(text), now: NOW })).id;
}

describe('the stand-in', () => {
  it('raises what it is told, and says so', async () => {
    expect(await liftPick(loom.port, 3, [4, 1])).toEqual([1, 4]);
    expect(await liftPick(loom.port, 4, [])).toEqual([]);
  });

  it('refuses a shaft that it does not have', async () => {
    await expect(liftPick(loom.port, 0, [1, 5])).rejects.toThrow(
      expect.objectContaining({ code: 'loom/shafts', facts: { shaft: 5 } }),
    );
  });

  it.each([
    ['stop', 'loom/stopped', 'go'],
    ['jam', 'loom/jammed', 'clear'],
  ])('can be told to %s, and to go on', async (told, code, on) => {
    await hand(told);
    await expect(liftPick(loom.port, 0, [1])).rejects.toThrow(code);
    await hand(on);
    expect(await liftPick(loom.port, 0, [1])).toEqual([1]);
  });
});

describe('a loom that is not right', () => {
  it('that is not there is told with its port', async () => {
    const { port } = loom;
    await loom.close();
    await expect(liftPick(port, 0, [1])).rejects.toThrow(
      expect.objectContaining({ code: 'loom/absent', facts: { port: String(port) } }),
    );
  });

  it.each([
    ['hangs up', '', 'loom/lost'],
    ['speaks otherwise', 'hello\n', 'loom/words'],
    ['raises other shafts', '{"pick":0,"raised":[2]}\n', 'loom/other'],
  ])('that %s is told', async (_, words, code) => {
    const odd = createServer((socket) => socket.end(words));
    await new Promise<void>((resolve) => odd.listen(0, '127.0.0.1', resolve));
    const { port } = odd.address() as { port: number };
    await expect(liftPick(port, 0, [1])).rejects.toThrow(code);
    odd.close();
  });
});

describe('a loom that floods', () => {
  it('without an end of line is given up after 64 KB', async () => {
    let sent = 0;
    const odd = createServer((socket) => {
      socket.on('error', () => {});
      const pour = () => {
        while (!socket.destroyed && socket.write('x'.repeat(16_384))) sent += 16_384;
        if (!socket.destroyed && sent < 50_000_000) socket.once('drain', pour);
      };
      pour();
    });
    await new Promise<void>((resolve) => odd.listen(0, '127.0.0.1', resolve));
    const { port } = odd.address() as { port: number };
    await expect(liftPick(port, 0, [1])).rejects.toThrow('loom/words');
    expect(sent).toBeLessThan(50_000_000);
    odd.close();
  });
});

describe('weaving a design', () => {
  const look = (id: string) => weavePick(db, { id, port: loom.port, action: { kind: 'look' } });
  const throwPick = async (id: string) => {
    const { pick } = await look(id);
    return weavePick(db, { id, port: loom.port, action: { kind: 'throw', pick } });
  };

  it('goes pick by pick, through an interruption, to the right pick', async () => {
    const id = await stored(
      'shades: A=#000000 Black, B=#ffffff White\nwarp: A4 B4\nweft: A2 B1\nweave: 2/2Z',
    );
    const raised: (number[] | null)[] = [];
    for (let pick = 0; pick < 5; pick += 1) raised.push((await throwPick(id)).raised);
    expect(raised).toEqual([
      [1, 2],
      [2, 3],
      [3, 4],
      [1, 4],
      [1, 2],
    ]);
    await hand('jam');
    await expect(throwPick(id)).rejects.toThrow('loom/jammed');
    await hand('drop');
    await hand('clear');
    const seen = await look(id);
    // The sixth pick, counted from 0 the fifth: it was not thrown.
    expect(seen).toMatchObject({ pick: 5, repeat: 12, shafts: 4, lift: [2, 3], raised: null });
    expect(seen.shade).toEqual({ name: 'White', hex: '#ffffff' });
    expect(seen.after).toEqual({ name: 'Black', hex: '#000000' });
    expect((await throwPick(id)).raised).toEqual([2, 3]);
    const back = await weavePick(db, { id, port: loom.port, action: { kind: 'go', pick: 2 } });
    expect(back).toMatchObject({ pick: 2, lift: [3, 4] });
  });

  it('throws a pick once, however many windows ask for it at the same time', async () => {
    const id = await stored('warp: A4\nweave: 2/2Z');
    const ask = () => weavePick(db, { id, port: loom.port, action: { kind: 'throw', pick: 0 } });
    const answers = await Promise.allSettled([ask(), ask(), ask()]);
    expect(answers.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'rejected']);
    await expect(ask()).rejects.toThrow(expect.objectContaining({ code: 'loom/moved', facts: { pick: 2 } }));
    expect(await look(id)).toMatchObject({ pick: 1 });
  });

  it('is refused for a print, and for more shafts than the loom has', async () => {
    const print = await stored('warp: A4 B4\nprint: multiply');
    await expect(throwPick(print)).rejects.toThrow('weave/none');
    const satin = await stored('warp: A8\nweave: sateen 8/3');
    await expect(
      weavePick(db, { id: satin, port: loom.port, action: { kind: 'go', pick: 6 } }),
    ).resolves.toBeDefined();
    await expect(
      (async () => {
        for (let pick = 0; pick < 8; pick += 1) await throwPick(satin);
      })(),
    ).rejects.toThrow('loom/shafts');
  });
});
