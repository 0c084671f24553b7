import { describe, expect, it } from 'vitest';
import { latest } from './latest.ts';

/** Work that ends when it is told to. */
function slowWork() {
  const open: (() => void)[] = [];
  const started: number[] = [];
  const work = (request: number) => {
    started.push(request);
    return new Promise<number>((resolve, reject) => {
      open.push(() => (request < 0 ? reject(new Error('no')) : resolve(request * 10)));
    });
  };
  return { work, open, started };
}

const settled = () => new Promise((resolve) => setTimeout(resolve));

describe('latest', () => {
  it('skips what has been overtaken while it waited', async () => {
    const { work, open, started } = slowWork();
    const delivered: number[] = [];
    const ask = latest(
      work,
      (result) => delivered.push(result),
      () => {},
    );
    for (const request of [1, 2, 3, 4]) ask(request);
    open[0]!();
    await settled();
    open[1]!();
    await settled();
    expect(started).toEqual([1, 4]);
    expect(delivered).toEqual([10, 40]);
  });

  it('goes on after a failure', async () => {
    const { work, open } = slowWork();
    const failed: number[] = [];
    const delivered: number[] = [];
    const ask = latest(
      work,
      (result) => delivered.push(result),
      (_, request) => failed.push(request),
    );
    ask(-1);
    ask(2);
    open[0]!();
    await settled();
    open[1]!();
    await settled();
    expect([failed, delivered]).toEqual([[-1], [20]]);
  });
});
