import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Command } from 'commander';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { readDesignText } from '../../core/design/read-design.ts';
import { factsCommand } from '../facts-command.ts';
import { addNewMotif } from './new-motif.ts';
import { addNewTiling } from './new-tiling.ts';

const FOLDER = mkdtempSync(join(tmpdir(), 'vetro-straps-'));

/** The file of a design that a command writes. */
function made(add: (make: Command) => void, ...options: readonly string[]): string {
  const file = join(FOLDER, 'design.json');
  const make = new Command();
  add(make);
  make.parse([...options, '-o', file], { from: 'user' });
  return file;
}

/** What is said of it. */
function said(file: string, json: boolean): string {
  const write = vi.spyOn(process.stdout, 'write').mockReturnValue(true);
  factsCommand(file, { json });
  return write.mock.calls.map(([text]) => String(text)).join('');
}

afterEach(() => vi.restoreAllMocks());

describe('straps from the command line', () => {
  it('make stars on a tiling, which are told as JSON', () => {
    const file = made(
      addNewTiling,
      ...['tiling', '--config', '4.8.8', '--star', '67.5', '--straps', '3mm', '--gap', '0.5mm'],
      ...['--shades', 'C=#efe6cf,K=#262b2d'],
    );
    const { construction } = readDesignText(readFileSync(file, 'utf8'));
    expect(construction).toMatchObject({
      kind: 'tiling',
      faces: ['C'],
      star: { angle: '67.5', line: { width: '3mm', shade: 'K', strap: { gap: '0.5mm' } } },
    });
    const facts = JSON.parse(said(file, true));
    expect(facts).toMatchObject({
      alternates: true,
      doubling: null,
      hangsTogether: true,
      layers: 1,
      flaws: [],
    });
    expect(facts.crossings).toHaveLength(6);
    expect(facts.straps[0]).toMatchObject({ closed: true });
    vi.restoreAllMocks();
    expect(said(file, false)).toContain('Every crossing follows over and under in turn.');
  });

  it('make a knot panel of any grid', () => {
    const file = made(addNewMotif, 'motif', '--from', 'knot-panel', '--grid', '6x4', '--breaks', '4,3|');
    const { construction } = readDesignText(readFileSync(file, 'utf8'));
    expect(construction).toMatchObject({ kind: 'motif', box: { width: '14', height: '10' } });
    expect(said(file, false)).toContain('The straps hang together.');
  });

  it('tell a motif what of it crosses, beside what goes over the edges of its box', () => {
    const facts = JSON.parse(said(made(addNewMotif, 'motif', '--from', 'lattice-of-straps'), true));
    expect(facts).toMatchObject({ pieces: 2, alternates: true, hangsTogether: true });
    expect(facts.overEdges).toHaveLength(2);
    for (const { at, over, under } of facts.crossings) {
      expect(at).toHaveLength(2);
      expect(over).not.toBe(under);
    }
  });
});
