import { existsSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import type { Job } from '../../contracts/job.ts';
import { isUnderWay } from '../../contracts/job.ts';
import { readDesignText, writeDesignText } from '../../core/design/read-design.ts';
import { CoreError } from '../../core/error.ts';
import { openDatabase } from '../db/open-database.ts';
import { ENDING } from '../ending.ts';
import { type Jobs, type JobsRoom, type Make, makeJobs } from './jobs.ts';
import { keptFiles } from './kept-files.ts';

const DESIGN = readDesignText(writeDesignText(sampleDesign(SAMPLE)));
const ORDER = { designId: 'd', design: DESIGN, file: 'tile.png', query: 'dpi=150' };
const DAY = 24 * 60 * 60 * 1000;

let folder: string;
let made: string[];

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'vetro-jobs-'));
  made = [];
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Writes what was asked for; "wait" in the query waits to be stopped, "refuse" and "break" fail. */
const make: Make = async ({ query, path }, { signal, told }) => {
  made.push(query);
  writeFileSync(path, `made ${query}`);
  told({ made: 3, of: 10, stands: query.includes('jam') ? 'jam' : '' });
  if (query.includes('wait'))
    await new Promise((_, reject) => signal.addEventListener('abort', () => reject(signal.reason)));
  if (query.includes('refuse')) throw new CoreError('send/quality', { text: '0' });
  if (query.includes('break')) throw new Error('broken on purpose');
};

async function open({
  with: maker = make,
  ...more
}: Partial<Pick<JobsRoom, 'now' | 'running' | 'mostKept'>> & { readonly with?: Make } = {}): Promise<Jobs> {
  const db = await openDatabase(join(folder, 'vetro.db'));
  const lane = { make: maker, atOnce: 1 };
  const files = keptFiles(join(folder, 'sent'));
  return makeJobs({ db, files, lanes: { here: lane, print: lane }, running: () => 0, ...more });
}

async function until(jobs: Jobs, { id }: Job, holds: (job: Job) => boolean): Promise<Job> {
  for (let time = 0; time < 400; time += 1) {
    const job = await jobs.find(id);
    if (holds(job)) return job;
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  throw new Error('it never came so far');
}

const ended = (job: Job) => !isUnderWay(job);

function order(jobs: Jobs, query: string): Promise<Job> {
  return jobs.order({ ...ORDER, query });
}

describe('jobs', () => {
  it('make a file, name it, and hand it out', async () => {
    const jobs = await open();
    const job = await until(jobs, await order(jobs, 'size=300+x+200+mm&save=&v=3'), ended);
    expect(job).toMatchObject({ state: 'done', kept: true, query: 'size=300+x+200+mm', trouble: '' });
    expect(job.name).toBe(`${DESIGN.name} 300 x 200 mm.png`);
    const { bytes } = await jobs.file(job.id);
    expect(await new Response(bytes).text()).toBe('made size=300+x+200+mm');
    expect(job.bytes).toBe('made size=300+x+200+mm'.length);
  });

  it('make the same file of the same design once', async () => {
    const jobs = await open();
    await until(jobs, await order(jobs, 'dpi=150'), ended);
    const again = await until(jobs, await order(jobs, 'dpi=150'), ended);
    await until(jobs, await jobs.again(again.id), ended);
    await until(jobs, await jobs.order({ ...ORDER, design: { ...DESIGN, name: 'Other' } }), ended);
    expect(made).toEqual(['dpi=150', 'dpi=150']);
    expect(await jobs.list()).toHaveLength(4);
  });

  it('of several designs are named by their title, and are others with another design in them', async () => {
    const jobs = await open();
    const sheet = { ...ORDER, file: 'collection.pdf', query: 'title=Halls' };
    const other = { ...DESIGN, name: 'Other' };
    const first = await until(jobs, await jobs.order({ ...sheet, others: [other] }), ended);
    expect(first.name).toBe('Halls.pdf');
    await until(jobs, await jobs.again(first.id), ended);
    expect(made).toEqual(['title=Halls']);
    await until(jobs, await jobs.order(sheet), ended);
    expect(made).toHaveLength(2);
  });

  it('wait their turn, tell their rows, and stop at once', async () => {
    const jobs = await open();
    const first = await until(jobs, await order(jobs, 'wait=1'), ({ made: rows }) => rows === 3);
    expect(first).toMatchObject({ state: 'working', made: 3, of: 10 });
    const second = await order(jobs, 'dpi=72');
    expect(second.state).toBe('waiting');
    expect(await jobs.stop(first.id)).toMatchObject({ state: 'stopped', kept: false });
    expect(await until(jobs, second, ended)).toMatchObject({ state: 'done' });
    const third = await order(jobs, 'wait=2');
    const fourth = await order(jobs, 'dpi=73');
    expect(await jobs.stop(fourth.id)).toMatchObject({ state: 'stopped' });
    await jobs.stop(third.id);
    expect(made).toEqual(['wait=1', 'dpi=72', 'wait=2']);
    await expect
      .poll(() => readdirSync(join(folder, 'sent')).filter((name) => name.endsWith('.part')))
      .toEqual([]);
  });

  it('are checked when they are handed out, and made again where they are not what was made', async () => {
    const jobs = await open();
    const job = await until(jobs, await order(jobs, 'dpi=150'), ended);
    const [name] = readdirSync(join(folder, 'sent'));
    const file = join(folder, 'sent', name!);
    for (const damage of ['', 'mad', 'made dpi=151']) {
      writeFileSync(file, damage);
      await expect(jobs.file(job.id)).rejects.toThrow('job/made-again');
      const again = await until(jobs, job, ended);
      expect(again).toMatchObject({ state: 'done', kept: true });
      const { bytes } = await jobs.file(job.id);
      expect(await new Response(bytes).text()).toBe('made dpi=150');
    }
    // What is damaged is no file for the next who asks for the same, after a restart neither.
    writeFileSync(file, 'made dpi=152');
    const later = await open();
    const other = await until(later, await order(later, 'dpi=150'), ended);
    const { bytes } = await later.file(other.id);
    expect(await new Response(bytes).text()).toBe('made dpi=150');
    expect(made).toHaveLength(5);
  });

  it('tell what went wrong in words', async () => {
    const jobs = await open();
    const refused = await until(jobs, await order(jobs, 'refuse'), ended);
    expect(refused).toMatchObject({
      state: 'failed',
      trouble: 'A quality is a whole number from 1 to 100, got “0”.',
    });
    await expect(jobs.file(refused.id)).rejects.toThrow('job/not-kept');
  });

  it('are begun again when the server ended, but not for ever', async () => {
    const before = await open({ with: () => new Promise(() => {}) });
    const job = await order(before, 'dpi=96');
    await until(before, job, ({ state }) => state === 'working');
    writeFileSync(join(folder, 'sent', 'earlier.part'), 'half');
    // Opened a second time, as after a kill: nothing of the first is told.
    const after = await open();
    await after.takeUp();
    expect(existsSync(join(folder, 'sent', 'earlier.part'))).toBe(false);
    expect(await until(after, job, ended)).toMatchObject({ state: 'done' });
    const often = await order(await open({ with: () => new Promise(() => {}) }), 'dpi=97');
    for (let time = 0; time < 2; time += 1)
      await (await open({ with: () => new Promise(() => {}) })).takeUp();
    const last = await open();
    await last.takeUp();
    expect(await last.find(often.id)).toMatchObject({
      state: 'failed',
      trouble: expect.stringContaining('3 times'),
    });
  });

  it('wait again when the server is ended in order, which counts as no try', async () => {
    const reasons: unknown[] = [];
    const never: Make = (_, { signal }) =>
      new Promise((_resolve, reject) => {
        signal.addEventListener('abort', () => {
          reasons.push(signal.reason);
          reject(signal.reason);
        });
      });
    for (let time = 0; time < 5; time += 1) {
      const before = await open({ with: never });
      await before.takeUp();
      const job = (await before.list())[0] ?? (await order(before, 'dpi=98'));
      await until(before, job, ({ state }) => state === 'working');
      await before.putBack();
      expect(await before.find(job.id)).toMatchObject({ state: 'waiting' });
    }
    expect(reasons).toEqual(Array.from({ length: 5 }, () => ENDING));
    const after = await open();
    await after.takeUp();
    expect(await until(after, (await after.list())[0]!, ended)).toMatchObject({ state: 'done' });
  });

  it('at a print house are stopped when it has answered, over a kill too', async () => {
    let answered = () => {};
    const begun: boolean[] = [];
    const atHouse: Make = (_, { signal, told }) => {
      begun.push(signal.aborted);
      return new Promise((_resolve, reject) => {
        const callOff = () => {
          told({ made: 120, of: 500, stands: 'calling-off' });
          answered = () => reject(signal.reason);
        };
        if (signal.aborted) callOff();
        else {
          told({ made: 100, of: 500, stands: 'printing' });
          signal.addEventListener('abort', callOff);
        }
      });
    };
    const before = await open({ with: atHouse });
    const job = await before.order({ ...ORDER, file: 'print.txt', query: '' });
    await until(before, job, ({ stands }) => stands === 'printing');
    expect(await before.stop(job.id)).toMatchObject({ state: 'working', stands: 'calling-off' });
    // Opened a second time, as after a kill: it is called off, not ordered again.
    const after = await open({ with: atHouse });
    await after.takeUp();
    await until(after, job, ({ stands }) => stands === 'calling-off');
    await expect.poll(() => begun).toEqual([false, true]);
    answered();
    expect(await until(after, job, ended)).toMatchObject({ state: 'stopped', made: 120 });
  });

  it('are kept for seven days', async () => {
    const start = Date.UTC(2026, 0, 10);
    const jobs = await open({ now: () => new Date(start), running: () => 3 * DAY });
    const job = await until(jobs, await order(jobs, 'dpi=150'), ended);
    await (await open({ running: () => 9 * DAY })).takeUp();
    expect(await jobs.find(job.id)).toMatchObject({ kept: true });
    // A clock alone throws nothing away.
    await (await open({ now: () => new Date(start + 900 * DAY), running: () => 3 * DAY })).takeUp();
    expect(await jobs.find(job.id)).toMatchObject({ kept: true });
    await (await open({ now: () => new Date(start), running: () => 11 * DAY })).takeUp();
    expect(await jobs.list()).toEqual([]);
    expect(readdirSync(join(folder, 'sent'))).toEqual([]);
  });

  it('are kept up to so many bytes, the newest', async () => {
    const jobs = await open();
    const first = await until(jobs, await order(jobs, 'dpi=150'), ended);
    for (const name of readdirSync(join(folder, 'sent'))) utimesSync(join(folder, 'sent', name), 0, 0);
    const second = await until(jobs, await order(jobs, 'dpi=151'), ended);
    const later = await open({ mostKept: second.bytes });
    await later.takeUp();
    expect(await later.find(first.id)).toMatchObject({ state: 'done', kept: false });
    expect(await later.find(second.id)).toMatchObject({ kept: true });
  });

  it('are dropped while the server goes on, but not what is being made', async () => {
    let at = 0;
    const jobs = await open({ running: () => at });
    const old = await until(jobs, await order(jobs, 'dpi=150'), ended);
    at += 8 * DAY;
    const going = await until(jobs, await order(jobs, 'wait=1'), ({ made: rows }) => rows === 3);
    await expect(jobs.find(old.id)).rejects.toThrow('job/missing');
    await expect.poll(() => readdirSync(join(folder, 'sent'))).toEqual([`${going.id}.${process.pid}.part`]);
    await jobs.stop(going.id);
  });

  it('are printed each for itself, beside what is made here, and asked about however often the server ends', async () => {
    const jobs = await open();
    const print = (query: string) => jobs.order({ ...ORDER, file: 'print.png', query });
    const here = await until(jobs, await order(jobs, 'wait=1'), ({ made: rows }) => rows === 3);
    const first = await until(jobs, await print('length=1m'), ended);
    await until(jobs, await jobs.again(first.id), ended);
    expect(made).toEqual(['wait=1', 'length=1m', 'length=1m']);
    const jammed = await until(jobs, await print('jam&wait'), ({ stands }) => stands !== '');
    expect(jammed).toMatchObject({ stands: 'jam', state: 'working', made: 3, of: 10 });
    for (let time = 0; time < 5; time += 1)
      await (await open({ with: () => new Promise(() => {}) })).takeUp();
    expect(await jobs.find(jammed.id)).toMatchObject({ state: 'working' });
    expect(await jobs.find(here.id)).toMatchObject({ state: 'failed' });
    await jobs.stop(jammed.id);
    expect(await until(jobs, jammed, ended)).toMatchObject({ state: 'stopped', stands: '' });
    await expect(jobs.stop(here.id)).resolves.toMatchObject({ state: 'failed' });
  });

  it('leave the list only when they have ended', async () => {
    const jobs = await open();
    const job = await order(jobs, 'wait=1');
    await expect(jobs.remove(job.id)).rejects.toThrow('job/under-way');
    await jobs.stop(job.id);
    await jobs.remove(job.id);
    await expect(jobs.find(job.id)).rejects.toThrow('job/missing');
  });
});
