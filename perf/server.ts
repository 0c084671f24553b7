import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import sharp from 'sharp';
import { designFromText } from '../src/core/design/exchange/counts-text.ts';
import { newTiling } from '../src/core/design/new-design.ts';
import { line } from './timing.ts';

/**
 * What large work costs whoever asks for something small meanwhile, and how much memory it takes. VETRO_ROOT names another
 * checkout whose server is measured, so that two can be compared.
 */
const ROOT = resolve(process.env['VETRO_ROOT'] ?? '.');
const PORT = 4396;
const ADDRESS = `http://127.0.0.1:${PORT}`;
const HEADERS = { 'content-type': 'application/json', 'x-vetro': 'perf', origin: ADDRESS };

const server = spawn('node', ['scripts/demo.mjs'], {
  cwd: ROOT,
  env: {
    ...process.env,
    PORT: String(PORT),
    VETRO_DATA: join(mkdtempSync(join(tmpdir(), 'vetro-perf-')), 'vetro.db'),
  },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise<void>((done) => {
  server.stdout.on('data', (text) => String(text).includes('ready') && done());
});

try {
  console.log('\nThe server under load');
  await measureSaves();
  await measureShelf();
  await measurePictures();
} finally {
  server.kill();
}

/** Resident memory of the server and its threads, in megabytes: now, or the most that it ever was. */
function memory(which: 'VmRSS' | 'VmHWM'): number {
  const status = readFileSync(`/proc/${server.pid}/status`, 'utf8');
  return Number(new RegExp(`${which}:\\s+(\\d+)`).exec(status)?.[1] ?? 0) / 1024;
}

async function timed<T>(work: () => Promise<T>): Promise<readonly [result: T, ms: number]> {
  const start = performance.now();
  const result = await work();
  return [result, performance.now() - start];
}

/** The version of documents that the measured server knows; what is sent here is the same in all of them. */
function knownVersion(): number {
  const schema = readFileSync(join(ROOT, 'src/core/design/design-schema.ts'), 'utf8');
  return Number(/DESIGN_VERSION = (\d+)/.exec(schema)![1]);
}

async function post(document: object): Promise<{ id: string; version: number }> {
  const answer = await fetch(`${ADDRESS}/api/designs`, {
    method: 'POST',
    headers: HEADERS,
    body: JSON.stringify({ document: { ...document, version: knownVersion() } }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return (await answer.json()) as { id: string; version: number };
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
    const renamed = { ...document, name: 'Renamed', version: knownVersion() };
    const [put, again] = await timed(() =>
      fetch(`${ADDRESS}/api/designs/${saved.id}`, {
        method: 'PUT',
        headers: HEADERS,
        body: JSON.stringify({ version: 1, document: renamed }),
      }),
    );
    if (!put.ok) throw new Error(await put.text());
    const [, shelf] = await timed(() => fetch(`${ADDRESS}/api/shelf`));
    line(`seconds to save a tiling of ${what}`, ms / 1000, 'under 1');
    line('seconds to save it again under another name', again / 1000, 'under 1');
    line('seconds of the shelf right after', shelf / 1000, 'under 0.1');
  }
  line('megabytes at most so far', memory('VmHWM'), 'stated in docs/security.md');
}

async function latencies(count: number): Promise<readonly number[]> {
  const all: number[] = [];
  for (let turn = 0; turn < count; turn += 1) {
    const [answer, ms] = await timed(() => fetch(`${ADDRESS}/`));
    await answer.text();
    all.push(ms);
    await new Promise((pause) => setTimeout(pause, 20));
  }
  return all.sort((a, b) => a - b);
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
  const at = (sorted: readonly number[], part: number) => sorted[Math.floor(sorted.length * part)]!;
  line('ms to open the shelf, median, nothing else going on', at(idle, 0.5), '');
  line('ms, median, while four large sheets are made', at(loaded, 0.5), 'under 100');
  line('ms, 99th hundredth, while four large sheets are made', at(loaded, 0.99), 'under 300');
  line('times longer, median', at(loaded, 0.5) / at(idle, 0.5), '');
  const states = await Promise.all(jobs.map((job) => stop(job)));
  console.log(`(the sheets: ${states.join(', ')} when that was measured)`);
  const [first, again] = [await timed(() => made(id)), await timed(() => made(id))];
  line('the same sheet asked for again, times the first time', again[1] / first[1], 'under 1');
  line('megabytes at most so far', memory('VmHWM'), 'stated in docs/security.md');
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
  const job = await order(designId, 'tile.jpg', 'dpi=300&size=800 x 800 mm');
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
  line(
    'ms to open the shelf, worst, while four pictures of 120 megapixels come',
    during.at(-1)!,
    'under 300',
  );
  line(
    'of them read at once or one after the other',
    answers.filter(([status]) => status === 200).length,
    '',
  );
  line('megabytes at most in all', memory('VmHWM'), 'stated in docs/security.md');
}
