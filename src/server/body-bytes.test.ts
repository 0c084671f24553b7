import { expect, it } from 'vitest';
import { bodyBytes } from './body-bytes.ts';

const code = (expected: string) => expect.objectContaining({ code: expected });

/** A request whose body goes on as it is told to. */
function sending(): { request: Request; send: (bytes: number) => void; end: () => void } {
  let to!: ReadableStreamDefaultController<Uint8Array>;
  const body = new ReadableStream<Uint8Array>({
    start: (controller) => {
      to = controller;
    },
  });
  const request = new Request('http://localhost/', { method: 'POST', body, duplex: 'half' } as RequestInit);
  return { request, send: (bytes) => to.enqueue(new Uint8Array(bytes).fill(7)), end: () => to.close() };
}

it('bodies that stall keep nobody out, and are given up', async () => {
  const limits = { most: 1000, mostHeld: 100, mostSilent: 0.2 };
  const stalled = [sending(), sending(), sending(), sending()];
  const given = stalled.map(({ request, send }) => {
    send(10);
    return bodyBytes(request, limits);
  });
  const ends = Promise.allSettled(given);
  const other = sending();
  other.send(30);
  other.send(20);
  other.end();
  expect(await bodyBytes(other.request, limits)).toEqual(new Uint8Array(50).fill(7));
  expect((await ends).map((end) => (end as PromiseRejectedResult).reason.code)).toEqual(
    Array.from({ length: 4 }, () => 'request/stalled'),
  );
  // What they held is free again.
  const last = sending();
  last.send(95);
  last.end();
  expect(await bodyBytes(last.request, limits)).toHaveLength(95);
});

it('bodies that are too much, alone or together, are refused', async () => {
  const long = sending();
  long.send(11);
  await expect(bodyBytes(long.request, { most: 10 })).rejects.toEqual(code('request/too-large'));
  const much = sending();
  much.send(11);
  await expect(bodyBytes(much.request, { most: 100, mostHeld: 10 })).rejects.toEqual(code('server/busy'));
});
