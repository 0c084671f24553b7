import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { designFromText } from '../src/core/design/exchange/counts-text.ts';
import { newTiling } from '../src/core/design/new-design.ts';
import { ADDRESS, at, HEADERS, memory, post, put, startServer, stopServer, timed } from './serving.ts';
import { line } from './timing.ts';

/** Sheets that are ordered at once, to see how many an hour gives. */
const SHEETS = 12;

/** What large work costs whoever asks for something small meanwhile, and how much memory it takes. */
const server = await startServer(join(mkdtempSync(join(tmpdir(), 'vetro-perf-')), 'vetro.db'));

try {
  console.log('\nThe server under load');
  await measureSaves();
  await measureShelf();
  await measurePictures();
  await measureSheets();
} finally {
  await stopServer(server);
}

function tilingOf(rings: number, lines: number) {
  const shades = ['#24402f', '#8c2f25', '#c79a3b', '#efe6cf'].map((hex, index) => ({
    key: 'ABCD'[index]!,
    name: hex,
    hex,
  }));
  const tiling = newTiling({
    name: `${rings} rings`,
    shades,
    faces: ['A', 'B', 'C'],
    form: { kind: 'regular', name: '3.4.6.4' },
    size: '20mm',
  });
  const dashed = {
    what: 'sides',
    of: null,
    width: '1mm',
    shade: 'D',
    ends: 'round',
    dashes: { count: 3, share: '1/2' },
    skip: 1,
    every: 1,
    first: 0,
  } as const;
  return {
    ...tiling,
    construction: {
      ...tiling.construction,
      scatter: { times: 12, seed: 1, share: '1/2', by: '1/4' },
      rings: Array.from({ length: rings }, (_, at) => ({ share: `${rings - at}/${rings + 1}`, shade: 'D' })),
      lines: Array.from({ length: lines }, () => dashed),
    },
  };
}

async function measureSaves(): Promise<void> {
  for (const [what, document] of [
    ['1728 faces', tilingOf(0, 0)],
    ['10 368 faces', tilingOf(5, 0)],
    ['1728 faces with 2 sorts of dashed lines', tilingOf(0, 2)],
  ] as const) {
    const [saved, ms] = await timed(() => post(document));
    const [, again] = await timed(() => put(saved.id, 1, { ...document, name: 'Renamed' }));
    const [, shelf] = await timed(() => fetch(`${ADDRESS}/api/shelf`));
    line(`seconds to save a tiling of ${what}`, ms / 1000, 'under 1');
    line('seconds to save it again under another name', again / 1000, 'under 1');
    line('seconds of the shelf right after', shelf / 1000, 'under 0.1');
  }
  line('megabytes at most so far', memory(server, 'VmHWM'), 'stated in docs/security.md');
}

async function latencies(count: number): Promise<readonly number[]> {
  const all: number[] = [];
  for (let turn = 0; turn < count; turn += 1) {
    const [answer, ms] = await timed(() => fetch(`${ADDRESS}/`));
    await answer.text();
    all.push(ms);
    await new Promise((pause) => setTimeout(pause, 20));
  }
  return all;
}

async function measureShelf(): Promise<void> {
  const bands = Array.from({ length: 300 }, (_, at) => `${'ABCDEFGH'[at % 8]}${1 + (at % 19)}`).join(' ');
  const { id } = await post(designFromText(`warp: ${bands}\nweave: 2/2Z`, 'Large'));
  await latencies(20);
  const idle = await latencies(100);
  const jobs = await Promise.all(
    Array.from({ length: 4 }, (_, at) => order(id, 'tile.tif', `dpi=300&size=${1400 + at} x 6000 mm`)),
  );
  const loaded = await latencies(200);
  line('ms to open the shelf, median, nothing else going on', at(idle, 0.5), '');
  line('ms, median, while four large sheets are made', at(loaded, 0.5), 'under 100');
  line('ms, 99th hundredth, while four large sheets are made', at(loaded, 0.99), 'under 300');
  line('times longer, median', at(loaded, 0.5) / at(idle, 0.5), '');
  const states = await Promise.all(jobs.map((job) => stop(job)));
  console.log(`(the sheets: ${states.join(', ')} when that was measured)`);
  const [first, again] = [await timed(() => made(id)), await timed(() => made(id))];
  line('the same sheet asked for again, times the first time', again[1] / first[1], 'under 1');
  line('megabytes at most so far', memory(server, 'VmHWM'), 'stated in docs/security.md');
}

/** Asks for a file as a job. @returns its id */
async function order(designId: string, file: string, query: string): Promise<string> {
  const answer = await fetch(`${ADDRESS}/api/jobs`, {
    method: 'POST',
    headers: HEADERS,
    body: JSON.stringify({ designId, version: 1, file, query }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return ((await answer.json()) as { id: string }).id;
}

/** Stops a job. @returns the state that it was in */
async function stop(job: string): Promise<string> {
  const before = (await (await fetch(`${ADDRESS}/api/jobs/${job}`)).json()) as { state: string };
  await fetch(`${ADDRESS}/api/jobs/${job}/stop`, { method: 'POST', headers: HEADERS });
  return before.state;
}

/** Has a smaller sheet made and waits for it. */
async function made(designId: string): Promise<void> {
  await ended(await order(designId, 'tile.jpg', 'dpi=300&size=800 x 800 mm'));
}

async function measureSheets(): Promise<void> {
  const bands = Array.from({ length: 60 }, (_, at) => `${'ABCDEFGH'[at % 8]}${1 + (at % 19)}`).join(' ');
  const { id } = await post(designFromText(`warp: ${bands}\nweave: 2/2Z`, 'Sheets'));
  for (const kind of ['png', 'jpg', 'tif']) {
    const [, ms] = await timed(async () => {
      const jobs = await Promise.all(
        Array.from({ length: SHEETS }, (_, at) =>
          order(id, `tile.${kind}`, `dpi=300&size=12in x 12.${at}in`),
        ),
      );
      for (const job of jobs) await ended(job);
    });
    line(`${kind} sheets of 12 in at 300 dpi in an hour`, (SHEETS * 3_600_000) / ms, '');
  }
}

/** Waits until a job is done. */
async function ended(job: string): Promise<void> {
  for (let state = ''; state !== 'done'; ) {
    await new Promise((pause) => setTimeout(pause, 10));
    ({ state } = (await (await fetch(`${ADDRESS}/api/jobs/${job}`)).json()) as { state: string });
    if (state === 'failed') throw new Error('a sheet failed');
  }
}

async function measurePictures(): Promise<void> {
  const picture = await sharp({
    create: { width: 15_000, height: 8000, channels: 3, background: '#24402f' },
  })
    .png({ compressionLevel: 9 })
    .toBuffer();
  const send = () =>
    fetch(`${ADDRESS}/api/pictures`, {
      method: 'POST',
      headers: { ...HEADERS, 'content-type': 'application/octet-stream' },
      body: Uint8Array.from(picture),
    }).then(async (answer) => [answer.status, (await answer.arrayBuffer()).byteLength] as const);
  const all = Promise.all([send(), send(), send(), send()]);
  const during = await latencies(60);
  const answers = await all;
  line('ms to open the shelf, worst, while four pictures of 120 megapixels come', at(during, 1), 'under 300');
  line(
    'of them read at once or one after the other',
    answers.filter(([status]) => status === 200).length,
    '',
  );
  line('megabytes at most in all', memory(server, 'VmHWM'), 'stated in docs/security.md');
}
