import { describe, expect, it } from 'vitest';
import { MAX_CSV, parseBandCsv } from './band-csv.ts';
import { parseCountsText } from './counts-text.ts';
import { formatShadeList, parseShadeList } from './shade-list.ts';

describe('parseCountsText', () => {
  it('takes fields apart and says where each value begins', () => {
    const text = '\uFEFF# a remark\nname: Sett\n\n Warp :  A4 B2\r\nWEFT: B2\n';
    const fields = parseCountsText(text);
    expect(fields.name?.value).toBe('Sett');
    expect(fields.warp?.value).toBe('A4 B2');
    expect(text.slice(fields.warp!.at, fields.warp!.at + 5)).toBe('A4 B2');
    expect(fields.weft?.value).toBe('B2');
  });

  it('takes one bare line for the warp', () => {
    expect(parseCountsText('A/4 B2')).toEqual({ warp: { value: 'A/4 B2', at: 0 } });
  });

  it.each([
    ['', 'counts/no-warp'],
    ['name: x', 'counts/no-warp'],
    ['colour: x', 'counts/line'],
    ['warp: A1\nwarp: B1', 'counts/twice'],
    ['A1\nB1', 'counts/twice'],
    ['x'.repeat(50_000), 'notation/too-long'],
  ])('case %# is refused', (text, code) => {
    expect(() => parseCountsText(text)).toThrow(expect.objectContaining({ code }));
  });
});

describe('parseBandCsv', () => {
  it('reads columns in any order, with BOM, CRLF, quotes, empty lines and columns of others', () => {
    const { rows } = parseBandCsv(
      '\uFEFFnote,count,shade,colour\r\n"first, dark",12,"Boiler green",#24402f\r\n\r\n,4,Cream,\r\n',
    );
    expect(rows).toEqual([
      { direction: 'warp', shade: 'Boiler green', colour: '#24402f', count: 12, pivot: '', line: 2 },
      { direction: 'warp', shade: 'Cream', colour: '', count: 4, pivot: '', line: 4 },
    ]);
  });

  it('reads semicolons too', () => {
    expect(parseBandCsv('shade;count\nred;4\n').rows).toHaveLength(1);
  });

  it.each([
    ['', 'csv/columns', 1],
    ['colour,threads\nred,4', 'csv/columns', 1],
    ['shade,count\n', 'csv/empty', 1],
    ['shade,count\nred,4\nblue,', 'csv/count', 3],
    ['shade,count\nred,0', 'csv/count', 2],
    ['shade,count\nred,-4', 'csv/count', 2],
    ['shade,count\nred,2.5', 'csv/count', 2],
    ['shade,count\nred,1000000000', 'csv/count', 2],
    ['shade,count\n,4', 'csv/shade', 2],
    ['shade,count,direction\nred,4,sideways', 'csv/direction', 2],
    ['shade,count,pivot\nred,4,maybe', 'csv/pivot', 2],
    ['shade,width\nred,', 'csv/width', 2],
  ])('case %# is refused: %s', (text, code, line) => {
    expect(() => parseBandCsv(text)).toThrow(
      expect.objectContaining({ code, facts: expect.objectContaining({ line }) }),
    );
  });

  it('refuses 5 MB before it reads them', () => {
    expect(() => parseBandCsv('shade,count\n'.padEnd(5_000_000, 'red,4\n'))).toThrow(
      expect.objectContaining({ code: 'csv/too-long', facts: { length: 5_000_000, most: MAX_CSV } }),
    );
  });
});

describe('parseShadeList', () => {
  it('reads letters, colours and names', () => {
    const shades = parseShadeList('a=#20304A, B=#c8a24a Signal ochre,C=ivory');
    expect(shades).toEqual([
      { key: 'A', hex: '#20304a', name: expect.any(String) },
      { key: 'B', hex: '#c8a24a', name: 'Signal ochre' },
      { key: 'C', hex: '#fffff0', name: 'Ivory' },
    ]);
    expect(parseShadeList(formatShadeList(shades))).toEqual(shades);
  });

  it.each([
    ['A', 'shades/entry'],
    ['A=', 'shades/entry'],
    ['12=#fff', 'shades/entry'],
    ['ABCD=#fff', 'shades/entry'],
    ['A=#ffff', 'colour/hex'],
    ['A=boiler', 'shades/colour'],
    ['A=#fff,a=#000', 'shades/twice'],
    [Array.from({ length: 201 }, () => 'A=#fff').join(), 'shades/too-many'],
  ])('case %# is refused', (text, code) => {
    expect(() => parseShadeList(text)).toThrow(expect.objectContaining({ code }));
  });
});
