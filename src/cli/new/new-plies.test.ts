import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { checkDesign } from '../../core/design/check-design.ts';
import { compile } from '../../core/design/compile-design.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { readDesignText, writeDesignText } from '../../core/design/read-design.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { jsonReport } from '../json-report.ts';
import { type NewPliesOptions, newPliesCommand } from './new-plies.ts';

const folder = mkdtempSync(join(tmpdir(), 'vetro-plies-'));
const at = (name: string) => join(folder, name);
const print = at('print.json');
const twill = at('twill.json');
const tiling = at('tiling.json');
writeFileSync(print, writeDesignText(designFromStart('motif', 'fish-scale')));
writeFileSync(twill, writeDesignText(designFromStart('plaid', 'twill')));
writeFileSync(tiling, writeDesignText(designFromStart('tiling', '4.8.8')));

let said = '';

beforeEach(() => {
  said = '';
  vi.spyOn(process.stderr, 'write').mockImplementation((text) => {
    said += String(text);
    return true;
  });
});

afterEach(() => vi.restoreAllMocks());

function made(options: NewPliesOptions, name = 'both.json') {
  newPliesCommand({ ...options, output: at(name) });
  return asKind('plies', readDesignText(readFileSync(at(name), 'utf8')));
}

describe('vetro new plies', () => {
  it('lays one design over another, as it is told', () => {
    const design = made({
      under: print,
      over: twill,
      blend: 'multiply',
      strength: '20%',
      count: '10',
      shift: '6mm,4mm',
      clip: true,
    });
    const [below, above] = design.construction.plies;
    expect(below).toMatchObject({ blend: 'normal', strength: '100%', clip: null });
    expect(above).toMatchObject({
      blend: 'multiply',
      strength: '20%',
      scale: { to: 'count', count: '10' },
      shift: { in: 'length', x: '6mm', y: '4mm' },
      clip: 0,
    });
    expect(design.name).toContain(' with ');
    expect(checkDesign(design).verdict).toBe('Fitted');
  });

  it('tells in JSON how often each goes into the repeat, with its vectors in millimetres', () => {
    const design = made({ under: print, over: twill, count: '10' });
    expect(jsonReport(design, checkDesign(design))).toMatchObject({
      plies: [
        {
          lattice: [
            { x: '40', y: '0' },
            { x: '20', y: '20' },
          ],
          times: { across: 1, down: 1 },
        },
        { lattice: [{ x: '4', y: '0' }, { y: '4' }], times: { across: 10, down: 10 } },
      ],
    });
  });

  it('lays the texture of a weave, so many to the print as is near its own size', () => {
    const design = made({ under: print, texture: '2/2Z' });
    expect(design.construction.plies[1]).toMatchObject({
      blend: 'multiply',
      strength: '20%',
      scale: { to: 'count', count: '9' },
      content: { design: { name: '2/2 twill Z, texture' } },
    });
  });

  it('lays more over what are plies already', () => {
    made({ under: print, texture: '2/2Z' }, 'two.json');
    const three = made({ under: at('two.json'), over: print, shift: '1/2,0 repeats' });
    expect(three.construction.plies).toHaveLength(3);
    expect(three.construction.plies[2]).toMatchObject({ shift: { in: 'repeats', x: '1/2', y: '0' } });
  });

  it('moves a lattice into its own gaps, and turns at the nearest angle that closes', () => {
    const start = designFromStart('plies', 'diamonds-in-gaps').construction.plies[0]!.content;
    const diamonds = at('diamonds.json');
    writeFileSync(diamonds, writeDesignText((start as { design: typeof lattice }).design));
    const lattice = designFromStart('motif', 'dots');
    expect(made({ under: diamonds, over: diamonds, shift: 'gaps' }).construction.plies[1]!.shift).toEqual({
      in: 'repeats',
      x: '1/2',
      y: '1/2',
    });
    const turned = made({ under: diamonds, over: diamonds, turn: '35' });
    expect(turned.construction.plies[1]!.slope).toEqual({ up: 3, across: 4, asked: '35' });
    expect(said).toContain('Turned by 36.87°');
    expect(compile(turned).content.kind).toBe('plies');
  });

  it('says which numbers close where they never come together', () => {
    expect(() => made({ under: tiling, over: print })).toThrow('plies/never');
    expect(said).toMatch(/These close: .*to one of the lowest/);
  });

  it.each<[string, NewPliesOptions, string]>([
    ['one design alone', { under: print }, 'ply/two'],
    ['two over it', { under: print, over: twill, texture: '2/2Z' }, 'ply/two'],
    ['a file that is not there', { under: print, over: at('none.json') }, 'file/missing'],
    ['a blend that there is not', { under: print, over: twill, blend: 'glow' }, 'ply/blend'],
    ['a shift of one way', { under: print, over: twill, shift: '4mm' }, 'ply/shift'],
    ['a scale of nothing', { under: print, over: twill, scale: '0' }, 'design/field'],
    ['a scale of a million', { under: print, over: twill, scale: '1000000' }, 'design/field'],
    ['a strength above all', { under: print, over: twill, strength: '120%' }, 'design/field'],
  ])('refuses %s', (_, options, code) => {
    expect(() => made(options)).toThrow(code);
  });
});
