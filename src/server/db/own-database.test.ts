import { spawn } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { ownDatabase } from './own-database.ts';

const SINCE = '2026-01-01T10:00:00.000Z';
const DRIVER = createRequire(import.meta.url).resolve('better-sqlite3');

function newFile(): string {
  return join(mkdtempSync(join(tmpdir(), 'vetro-own-')), 'vetro.db');
}

/** Another process that takes the lock as this one does and holds it until it is killed. */
async function otherOwner(file: string) {
  const text = `
    const lock = new (require(${JSON.stringify(DRIVER)}))(process.argv[1] + '-lock');
    lock.exec('begin exclusive');
    console.log('held');
    process.stdin.resume();`;
  const child = spawn('node', ['-e', text, file], { stdio: ['pipe', 'pipe', 'inherit'] });
  const gone = new Promise((done) => child.once('exit', done));
  await new Promise((held) => child.stdout.once('data', held));
  return async () => {
    child.kill('SIGKILL');
    await gone;
  };
}

describe('a database', () => {
  it('has one owner at a time, who is named to the second, and writes nothing to it', () => {
    const file = newFile();
    const giveBack = ownDatabase(file, { what: 'a server', since: SINCE });
    expect(() => ownDatabase(file, { what: 'another', since: SINCE })).toThrowError(
      expect.objectContaining({
        code: 'database/owned',
        facts: expect.objectContaining({
          file,
          what: 'a server',
          since: SINCE,
          process: String(process.pid),
        }),
      }),
    );
    expect(existsSync(file)).toBe(false);
    giveBack();
    ownDatabase(file, { what: 'a server', since: SINCE })();
    expect(readdirSync(dirname(file))).toEqual(['vetro.db-lock']);
  });

  it('is free as soon as its owner was killed', async () => {
    const file = newFile();
    const kill = await otherOwner(file);
    expect(() => ownDatabase(file, { what: 'a server', since: SINCE })).toThrowError('database/owned');
    await kill();
    ownDatabase(file, { what: 'a server', since: SINCE })();
  });

  it('takes no lock along when its folder is copied', () => {
    const file = newFile();
    const giveBack = ownDatabase(file, { what: 'a server', since: SINCE });
    const copy = mkdtempSync(join(tmpdir(), 'vetro-copy-'));
    cpSync(dirname(file), copy, { recursive: true });
    ownDatabase(join(copy, 'vetro.db'), { what: 'a server', since: SINCE })();
    giveBack();
  });

  it('is refused in words where who has it wrote nothing that can be read', async () => {
    const file = newFile();
    const kill = await otherOwner(file);
    writeFileSync(`${file}-owner.json`, '{"what":');
    expect(() => ownDatabase(file, { what: 'a server', since: SINCE })).toThrowError('database/owned');
    expect(readFileSync(`${file}-owner.json`, 'utf8')).toBe('{"what":');
    await kill();
  });

  it('in a folder that cannot be made is told with the reason', () => {
    expect(() => ownDatabase('/dev/null/vetro.db', { what: 'a server', since: SINCE })).toThrowError(
      'database/unusable',
    );
  });
});
