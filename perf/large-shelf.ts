import { randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import { designFromText } from '../src/core/design/exchange/counts-text.ts';
import { ADDRESS, at, memory, post, put, startServer, stopServer, timed } from './serving.ts';
import { line } from './timing.ts';

/** What a shelf of many designs costs: opening it, searching, saving. The peer is the same with the demo's designs alone. */
const SIZES = (process.env['VETRO_DESIGNS'] ?? '1000,10000,100000').split(',').map(Number);

/** Designs in a range. */
const IN_RANGE = 40;

/** Times that each thing is asked for; the median is told. */
const TIMES = 15;

const FOLDER = mkdtempSync(join(tmpdir(), 'vetro-large-'));
const DEMO = join(FOLDER, 'demo.db');

const EDITED = designFromText('warp: A/12 B6 C/4\nweave: 2/2Z', 'Edited meanwhile');

try {
  await stopServer(await startServer(DEMO));
  console.log('\nShelves of many designs');
  const peer = await measure(DEMO, 0);
  for (const size of SIZES) {
    const data = join(FOLDER, `${size}.db`);
    copyFileSync(DEMO, data);
    grow(data, size);
    const large = await measure(data, size);
    for (const [what, ms] of Object.entries(large)) {
      line(`${size} designs: times longer, ${what}`, ms / peer[what]!, '');
    }
    rmSync(data);
  }
} finally {
  rmSync(FOLDER, { recursive: true });
}

/** Hangs made designs beside the demo's, in ranges: each a copy of one of those under another name. */
function grow(file: string, size: number): void {
  const sqlite = new BetterSqlite3(file);
  const base = sqlite.prepare('select * from design').all() as Record<string, unknown>[];
  const columns = Object.keys(base[0]!);
  const design = sqlite.prepare(
    `insert into design (${columns.join()}) values (${columns.map((name) => `@${name}`).join()})`,
  );
  const range = sqlite.prepare('insert into range (id, name, position) values (?, ?, ?)');
  const place = columns.includes('range_id')
    ? undefined
    : sqlite.prepare('insert into range_design (range_id, design_id, position) values (?, ?, ?)');
  sqlite.transaction(() => {
    for (let made = 0; made < size; made += 1) {
      const like = base[made % base.length]!;
      const name = `${String(like['name'])} ${made}`;
      const rangeId = `made-${Math.floor(made / IN_RANGE)}`;
      if (made % IN_RANGE === 0) range.run(rangeId, `Made range ${made / IN_RANGE}`, 1000 + made);
      const id = randomUUID();
      design.run({
        ...like,
        id,
        name,
        name_key: name.toLowerCase(),
        number: `V ${made + 1}`,
        document: JSON.stringify({ ...JSON.parse(String(like['document'])), name }),
        search: `${String(like['search'])} ${name.toLowerCase()}`,
        created_at: new Date(Date.UTC(2026, 0, 1) + made * 60_000).toISOString(),
        updated_at: new Date(Date.UTC(2026, 0, 1) + ((made * 7919) % size) * 60_000).toISOString(),
        range_id: rangeId,
        position: made % IN_RANGE,
      });
      place?.run(rangeId, id, made % IN_RANGE);
    }
  })();
  sqlite.close();
}

/** Milliseconds, each the median of some, by what is done. */
async function measure(data: string, size: number): Promise<Readonly<Record<string, number>>> {
  const [server, ready] = await timed(() => startServer(data));
  try {
    const shelf = (query: string) => asked(`${ADDRESS}/api/shelf?${query}`);
    const page = await asked(`${ADDRESS}/`);
    const found = {
      'starting the server': ready,
      'opening the shelf': page.ms,
      'its first page': (await shelf('')).ms,
      'a page far down': (await shelf(`from=${Math.floor(size / 2)}`)).ms,
      'searching for a word': (await shelf('search=lamp')).ms,
      'searching for what one has': (await shelf(`search=${size}`)).ms,
      'searching for three words': (await shelf('search=rug+2%2F2+1')).ms,
      'in the order of names': (await shelf('order=name')).ms,
      'the last of that order': (await shelf(`order=name&from=${Math.max(0, size - 50)}`)).ms,
      'the newest first': (await shelf('order=newest')).ms,
      'a new design': await medianOf(() => post(EDITED)),
      'saving it': await saving(),
    };
    console.log(
      `\n${size} made designs: database ${mega(statSync(data).size)} MB, page ${mega(page.bytes)} MB, ` +
        `server ${Math.round(memory(server, 'VmRSS'))} MB`,
    );
    for (const [what, ms] of Object.entries(found)) console.log(`  ${what.padEnd(34)} ${ms.toFixed(1)} ms`);
    await editedAtOnce(size);
    return found;
  } finally {
    await stopServer(server);
  }
}

/** Milliseconds of an answer and its bytes. */
async function asked(address: string): Promise<{ readonly ms: number; readonly bytes: number }> {
  let bytes = 0;
  const ms = await medianOf(async () => {
    bytes = (await (await fetch(address)).arrayBuffer()).byteLength;
  });
  return { ms, bytes };
}

async function medianOf(work: () => Promise<unknown>): Promise<number> {
  const all: number[] = [];
  for (let turn = 0; turn < TIMES; turn += 1) all.push((await timed(work))[1]);
  return at(all, 0.5);
}

async function saving(): Promise<number> {
  const { id } = await post(EDITED);
  let version = 1;
  return medianOf(async () => {
    await put(id, version, { ...EDITED, name: `Edited ${version}` });
    version += 1;
  });
}

/** People at work at once, each saving a design of their own every second and opening the shelf every ten. */
async function editedAtOnce(size: number): Promise<void> {
  for (const people of [10, 50]) {
    const saves: number[] = [];
    const until = Date.now() + 6000;
    const works = async (turn: number) => {
      const { id } = await post({ ...EDITED, name: `Person ${turn}` });
      await new Promise((pause) => setTimeout(pause, (1000 * turn) / people));
      for (let version = 1; Date.now() < until; version += 1) {
        const document = { ...EDITED, name: `Person ${turn}, ${version}` };
        const [, ms] = await timed(() => put(id, version, document));
        saves.push(ms);
        if ((version + turn) % 10 === 0) await (await fetch(`${ADDRESS}/`)).arrayBuffer();
        await new Promise((pause) => setTimeout(pause, Math.max(0, 1000 - ms)));
      }
    };
    await Promise.all(Array.from({ length: people }, (_, turn) => works(turn)));
    const [median, slow] = [at(saves, 0.5), at(saves, 0.99)];
    console.log(
      `  ${people} people saving every second (${size} designs): ` +
        `${median.toFixed(0)} ms at the median, ${slow.toFixed(0)} ms at the 99th hundredth`,
    );
  }
}

function mega(bytes: number): string {
  return (bytes / 1e6).toFixed(1);
}
