import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { cliSaid as vetro } from '../../tests/cli-said.ts';
import { PLAID_STARTS } from '../core/design/plaid/plaid-starts.ts';
import { STRIPE_STARTS } from '../core/design/stripe/stripe-starts.ts';

const FOLDER = mkdtempSync(join(tmpdir(), 'vetro-cli-'));
const SHADES = 'A=#20304a,B=#c8a24a,C=#f4efe2';

/** Paths are told as somebody types them, from the folder that they are in. */
const before = process.cwd();
beforeAll(() => process.chdir(FOLDER));
afterAll(() => process.chdir(before));

function read(name: string): Buffer {
  return readFileSync(join(FOLDER, name));
}

/** The first, the middle and the last: src/cli makes all of them. */
function fewOf<T>(starts: readonly T[]): readonly T[] {
  return [starts[0]!, starts[Math.floor(starts.length / 2)]!, starts.at(-1)!];
}

it('new, check and render make a batch', async () => {
  const made = await vetro('new', 'plaid', '--warp', 'A/12 B6 C/4', '--shades', SHADES, '-o', 'design.json');
  expect(made).toEqual({ status: 0, out: '', err: '' });
  const { status, out } = await vetro('check', 'design.json', '--json');
  expect(status).toBe(0);
  expect(JSON.parse(out)).toMatchObject({
    verdict: 'Exact',
    repeat: { ends: 28, picks: 28, width: '889/30', height: '889/30', unit: 'mm' },
    pixels: { dpi: '300', width: 350, height: 350 },
    painted: { differingBytes: 0 },
  });
  expect((await vetro('render', 'design.json', '-o', 'tile.png', '--per-thread', '4')).status).toBe(0);
  expect(PNG.sync.read(read('tile.png'))).toMatchObject({ width: 112, height: 112 });
  expect((await vetro('render', 'design.json', '-o', 'tile.svg')).status).toBe(0);
  expect(read('tile.svg').toString()).toContain('viewBox="0 0 28 28"');
  expect(
    (await vetro('render', 'design.json', '-o', 'sheet.png', '--dpi', '150', '--size', '12inx6in')).status,
  ).toBe(0);
  expect(PNG.sync.read(read('sheet.png'))).toMatchObject({ width: 1800, height: 900 });
});

it('stripes are made from widths, an angle or a start point, checked and rendered', async () => {
  for (const { key } of fewOf(STRIPE_STARTS)) {
    expect(await vetro('new', 'stripe', '--from', key, '-o', `${key}.json`)).toEqual({
      status: 0,
      out: '',
      err: '',
    });
    expect((await vetro('check', `${key}.json`)).status).toBe(0);
  }
  expect(
    (await vetro('new', 'stripe', '--bands', 'A14 C6', '--angle', '35', '-o', 'blind.json')).status,
  ).toBe(0);
  const { out } = await vetro('check', 'blind.json', '--json');
  expect(JSON.parse(out)).toMatchObject({
    verdict: 'Fitted',
    repeat: { width: '20√149/7', height: '2√149', unit: 'mm' },
    painted: { differingBytes: 0 },
  });
  expect((await vetro('check', 'blind.json')).out).toContain('Lines: 7/10, 34.992°');
  expect((await vetro('export', 'blind.json')).out).toContain('angle: 35');
  expect((await vetro('export', 'blind.json', '-o', 'blind.csv')).status).toBe(0);
  expect((await vetro('render', 'blind.json', '-o', 'blind.png', '--dpi', '150')).status).toBe(0);
  expect(PNG.sync.read(read('blind.png'))).toMatchObject({ width: 206, height: 144 });
  for (const [options, words] of [
    [['--bands', 'A14 C'], 'has no width'],
    [['--bands', 'A14', '--slope', '0/0'], 'goes nowhere'],
    [['--bands', 'A14', '--slope', '1/999999'], 'repeats only after'],
    [['--bands', 'A14', '--unit', 'ell'], 'is no unit'],
    [[], 'Give the bands with --bands'],
    [['--from', 'nothing'], 'There is no start point'],
  ] as const) {
    const { status, err } = await vetro('new', 'stripe', ...options);
    expect(status).toBe(2);
    expect(err).toContain(words);
  }
  expect((await vetro('render', 'blind.json', '-o', 'x.png', '--per-thread', '4')).err).toContain(
    'Pixels a thread are for cloth with threads',
  );
});

it('structures are made, told of, and go out and in as weave files', async () => {
  expect(await vetro('new', 'weave', '--satin', '8/3', '-o', 'satin.json')).toEqual({
    status: 0,
    out: '',
    err: '',
  });
  const facts = await vetro('facts', 'satin.json', '--json');
  expect(JSON.parse(facts.out)).toMatchObject({
    floats: { warp: { longest: 7 }, weft: { longest: 1, histogram: [0, 8] } },
    hangsTogether: true,
    layers: 1,
    warpShare: 0.875,
    shafts: 8,
    treadles: 8,
  });
  expect((await vetro('facts', 'satin.json')).out).toContain('No loose threads.');
  expect((await vetro('export', 'satin.json', '-o', 'satin.wif')).status).toBe(0);
  expect((await vetro('import', 'satin.wif', '-o', 'again.json')).status).toBe(0);
  expect(JSON.parse((await vetro('facts', 'again.json', '--json')).out)).toEqual(JSON.parse(facts.out));
  expect((await vetro('export', 'again.json', '--to', 'wif')).out).toBe(read('satin.wif').toString());
  expect((await vetro('new', 'weave', '--twill', '3/1/1/2', '--s', '-o', 'line.json')).status).toBe(0);
  writeFileSync(join(FOLDER, 'rows.txt'), '##.\n.##\n#.#\n');
  expect((await vetro('new', 'weave', '--matrix', 'rows.txt', '-o', 'drawn.json')).status).toBe(0);
  expect(JSON.parse((await vetro('facts', 'drawn.json', '--json')).out)).toMatchObject({
    warpShare: 2 / 3,
    shafts: 3,
  });
  expect((await vetro('new', 'weave', '--satin', '6/2')).err).toContain('There is no satin of 6 ends');
  expect((await vetro('new', 'weave')).err).toContain('Say the structure in one way');
  writeFileSync(join(FOLDER, 'broken.wif'), '[WIF]\nVersion=1.1\n[THREADING]\n1=x\n');
  expect(await vetro('import', 'broken.wif')).toMatchObject({
    status: 2,
    err: expect.stringContaining('[THREADING]'),
  });
});

it('tilings are made, checked, rendered, and told face by face', async () => {
  expect(
    (await vetro('new', 'tiling', '--config', '4.8.8', '--side', '20mm', '-o', 'floor.json')).status,
  ).toBe(0);
  const check = JSON.parse((await vetro('check', 'floor.json', '--json')).out);
  expect(check).toMatchObject({
    verdict: 'Fitted',
    repeat: { width: '20 + 20√2', height: '20 + 20√2' },
    symmetry: { plain: 'p4mm', coloured: 'p4mm' },
    painted: { differingBytes: 0, leakingPixels: 0 },
  });
  expect((await vetro('check', 'floor.json')).out).toContain('Tiling: 4.8.8');
  const geometry = JSON.parse((await vetro('geometry', 'floor.json', '--json')).out);
  expect(geometry).toMatchObject({ unit: 'mm', configuration: ['4.8.8'] });
  expect(geometry.edges).toHaveLength(6);
  expect(geometry.faces.map((face: { kind: number }) => face.kind).sort()).toEqual([4, 8]);
  expect(geometry.faces[0].exact[1]).toEqual(['20', '0']);
  expect(geometry.lattice[0][0]).toBeCloseTo(20 * (1 + Math.SQRT2), 12);
  expect((await vetro('render', 'floor.json', '-o', 'floor.png', '--dpi', '72')).status).toBe(0);
  expect(PNG.sync.read(read('floor.png'))).toMatchObject({ width: 137, height: 137 });
  const rhombus = await vetro(
    'new',
    'tiling',
    '--rhombus',
    '3:4',
    '--repeat',
    '30mm',
    '--turn',
    '90',
    '-o',
    'r.json',
  );
  expect(rhombus.status).toBe(0);
  expect(JSON.parse((await vetro('check', 'r.json', '--json')).out).repeat).toMatchObject({ width: '30' });
  expect(
    (await vetro('new', 'tiling', '--config', '3.6.3.6', '--dual', '--colours', 'directions', '-o', 'c.json'))
      .status,
  ).toBe(0);
  expect((await vetro('geometry', 'c.json')).out).toContain('4.4.4, 4.4.4.4.4.4');
  const looked = await vetro(
    'new',
    'tiling',
    '--config',
    '6.6.6',
    '--side',
    '30mm',
    '--stretch',
    '3/4',
    '--gaps',
    '1mm',
    '--lines',
    '1/2 mm',
    '-o',
    'l.json',
  );
  expect(looked.status).toBe(0);
  expect(JSON.parse((await vetro('check', 'l.json', '--json')).out)).toMatchObject({
    verdict: 'Fitted',
    painted: { differingBytes: 0 },
  });
  expect((await vetro('render', 'l.json', '-o', 'l.svg', '--underlap', '0.25 mm')).status).toBe(0);
  const drawn = read('l.svg').toString();
  for (const part of [
    'fill-rule="evenodd"',
    'stroke-width="0.5" stroke-linejoin',
    'stroke-width="0.5" d="',
  ]) {
    expect(drawn).toContain(part);
  }
  expect((await vetro('new', 'tiling', '--config', '3.12.12+3.4.3.12', '-o', 'k.json')).status).toBe(0);
  expect((await vetro('geometry', 'k.json')).out).toContain('3.12.12, 3.4.3.12');
  const table = (await vetro('geometry', 'floor.json', '--csv')).out.trim().split(/\r?\n/);
  expect(table[0]).toBe('face,sides,shade,corner,x_mm,y_mm,x_exact,y_exact');
  expect(table).toHaveLength(1 + 8 + 4);
  for (const [args, words] of [
    [['--config', '5.5.5'], '“5.5.5” is no tiling here'],
    [['--config', '4.8.8', '--turn', '15'], 'has no upright repeat'],
    [['--config', '4.8.8', '--turn', '20'], 'whole steps of 15°'],
    [['--config', '4.8.8', '--side', '0'], 'must be'],
    [['--rhombus', '1:9999999'], 'A proportion must be'],
    [['--config', '3.3.3.4.4', '--straighten', '1/2'], 'no upright repeat'],
    [['--config', '4.4.4.4', '--stretch', '0'], '“construction.stretch”. A proportion must be above 0'],
    [['--config', '4.4.4.4', '--lines', '-1mm'], '“construction.lines.0.width”. A length must be above zero'],
    [['--config', '3.3.3.3.3.3 + 3.3.3.3.6'], '“3.3.3.3.3.3 + 3.3.3.3.6, with mirrors”'],
    [['--config', '4.4.4.4', '--gaps', '40mm'], 'no face is left'],
    [[], 'Say one tiling'],
  ] as const) {
    const { status, err } = await vetro('new', 'tiling', ...args);
    expect(status).toBe(2);
    expect(err).toContain(words);
  }
  expect((await vetro('geometry', 'satin.json')).status).toBe(2);
  expect((await vetro('export', 'floor.json', '--to', 'csv')).err).toContain('A tiling has no thread counts');
});

it('start points are made by their names, and seeds tell irregular ones apart', async () => {
  for (const { key } of fewOf(PLAID_STARTS)) {
    expect(await vetro('new', 'plaid', '--from', key, '-o', `${key}.json`)).toEqual({
      status: 0,
      out: '',
      err: '',
    });
    expect((await vetro('check', `${key}.json`)).status).toBe(0);
  }
  const counts = async (seed: string) => {
    await vetro('new', 'plaid', '--from', 'madras', '--seed', seed, '-o', 'seed.json');
    return (await vetro('export', 'seed.json')).out;
  };
  const seven = await counts('7');
  expect(await counts('7')).toBe(seven);
  expect(await counts('8')).not.toBe(seven);
  await vetro(
    'new',
    'plaid',
    '--from',
    'gingham',
    '--print',
    'multiply 1',
    '--name',
    'Flat',
    '-o',
    'flat.json',
  );
  expect((await vetro('export', 'flat.json')).out).toContain('print: multiply 1 warp');
});

it('motifs are made from start points, told of, checked and rendered', async () => {
  for (const key of ['dots', 'dots-half-drop', 'fish-scale', 'fret']) {
    const made = await vetro('new', 'motif', '--from', key, '--step', '4mm', '-o', `motif-${key}.json`);
    expect([key, made.status, made.err]).toEqual([key, 0, '']);
  }
  expect((await vetro('check', 'motif-fish-scale.json')).status).toBe(0);
  const facts = JSON.parse((await vetro('facts', 'motif-fish-scale.json', '--json')).out) as {
    pieces: number;
    overEdges: readonly { piece: string; edges: readonly string[] }[];
    shares: Readonly<Record<string, number>>;
  };
  expect(facts.pieces).toBe(3);
  expect(facts.overEdges[0]).toMatchObject({ piece: 'Piece 1', edges: ['top', 'bottom'] });
  expect(Object.values(facts.shares).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
  expect((await vetro('facts', 'motif-dots.json')).out).toContain('Pieces: 1.');
  await vetro('new', 'motif', '--from', 'dots', '--box', '6x3', '-o', 'wide.json');
  expect((await vetro('check', 'wide.json')).out).toContain('30 × 15 mm');
  expect((await vetro('new', 'motif', '--from', 'dots', '--box', '6')).err).toContain('such as 8x4');
  expect((await vetro('new', 'motif', '--from', 'dots', '--step', '0mm')).status).not.toBe(0);
  expect((await vetro('facts', 'motif-dots-half-drop.json')).out).toMatch(/Smallest width: (5\.99|6\.00) mm/);
});

it('motifs are read from a text of one piece a line', async () => {
  const text = 'motif box.width=6 box.height=6 ground=C\ndisc across=3 x=3 y=3 shade=B\n';
  writeFileSync(join(FOLDER, 'pieces.txt'), text);
  expect((await vetro('new', 'motif', '--text', 'pieces.txt', '-o', 'text.json')).status).toBe(0);
  expect((await vetro('check', 'text.json')).out).toContain('30 × 30 mm');
  const facts = JSON.parse((await vetro('facts', 'text.json', '--json')).out) as Record<string, unknown>;
  expect(facts).toMatchObject({ pieces: 1, overEdges: [], smallestWidth: null });
  expect(facts['smallestGap']).toBeCloseTo(15, 1);
  writeFileSync(join(FOLDER, 'wrong.txt'), 'disc across=3 across=three\n');
  const wrong = await vetro('new', 'motif', '--text', 'wrong.txt');
  expect(wrong.status).not.toBe(0);
  expect(wrong.err).toContain('Line 1, character 15:');
});

it('check speaks in words, and exits 1 when a design is open', async () => {
  const counts = ['--warp', 'A/12 B6 C/6', '--shades', SHADES, '--pivots', 'doubled', '--density', '25/in'];
  await vetro('new', 'plaid', ...counts, '-o', 'fitted.json');
  const fitted = await vetro('check', 'fitted.json', '--dpi', '301');
  expect(fitted.status).toBe(0);
  expect(fitted.out).toMatch(/^Fitted\. It repeats in numbers\. In pixels it is rounded by/);
  expect(fitted.out).toContain('Warp: 48 ends laid out. The weave’s 4 fit whole into 48.');
  expect(fitted.out).toContain('Offer: 300 dpi: 12 px a thread');
  const open = await vetro('check', 'fitted.json', '--dpi', '1/10', '--json');
  expect(open.status).toBe(1);
  expect(JSON.parse(open.out)).toMatchObject({ verdict: 'Open', painted: null });
});

it('text, tables and documents go out and come back the same', async () => {
  await vetro(
    'new',
    'plaid',
    '--warp',
    'A/12 B6 C/4',
    '--weft',
    'A4 B2',
    '--shades',
    SHADES,
    '-o',
    'round.json',
  );
  for (const kind of ['txt', 'csv', 'json']) {
    expect((await vetro('export', 'round.json', '-o', `round.${kind}`)).status).toBe(0);
    expect(
      (await vetro('import', `round.${kind}`, '--name', 'Untitled', '-o', `back-${kind}.json`)).status,
    ).toBe(0);
    const { out: given } = await vetro('check', 'round.json', '--json');
    expect((await vetro('check', `back-${kind}.json`, '--json')).out).toBe(given);
  }
  expect((await vetro('export', 'round.json', '--to', 'txt')).out).toContain('weft: A4 B2');
});

it('what a file cannot hold, what was taken for it, and which angle was taken are told beside the result', async () => {
  await vetro('new', 'plaid', '--warp', 'A4 B4', '--weave', '3/1Z', '--density', '30/cm', '-o', 'lossy.json');
  const table = await vetro('export', 'lossy.json', '-o', 'lossy.csv');
  expect(table.err).toContain('The file does not hold the name, the weave and the density.');
  expect((await vetro('export', 'lossy.json', '-o', 'lossy-again.json')).err).toBe('');
  expect((await vetro('import', 'lossy.csv', '-o', 'back.json')).err).toContain(
    'Read with weave 2/2Z, density 24 x 24 / in',
  );
  const stripe = await vetro('new', 'stripe', '--bands', 'A14 B6', '--angle', '60', '-o', 'steep.json');
  expect(stripe.err).toMatch(/Asked for 60°: taken \d+\/\d+, 6?\d+\.?\d*° \([+−]\d/);
  const counts = 'stripe: A14 B6\n';
  writeFileSync(join(FOLDER, 'widths.txt'), counts);
  expect((await vetro('import', 'widths.txt', '-o', 'widths.json')).status).toBe(0);
  expect((await vetro('export', 'widths.json', '-o', 'widths.csv')).status).toBe(0);
  expect((await vetro('import', 'widths.csv', '-o', 'widths-back.json')).status).toBe(0);
});

it('a sheet of repeats is as many repeats', async () => {
  await vetro('new', 'plaid', '--warp', 'A/12 B6 C/4', '--shades', SHADES, '-o', 'sheet.json');
  expect((await vetro('render', 'sheet.json', '-o', 'sheet-3x2.png', '--repeats', '3x2')).status).toBe(0);
  expect(PNG.sync.read(read('sheet-3x2.png'))).toMatchObject({ width: 3 * 350, height: 2 * 350 });
});

it('pictures, pages, a pack, a strike-off and a collection sheet are written', async () => {
  await vetro('new', 'plaid', '--warp', 'A8 B4', '-o', 'sent.json');
  await vetro('new', 'tiling', '--config', '4.8.8', '--side', '20mm', '-o', 'sent-floor.json');
  for (const [args, starts] of [
    [
      ['render', 'sent.json', '-o', 's.jpg', '--size', '4in', '--quality', '70', '--chroma', 'half'],
      'ffd8ffe0',
    ],
    [['render', 'sent.json', '-o', 's.tiff', '--compression', 'deflate', '--no-profile'], '49492a00'],
    [['render', 'sent.json', '-o', 's.webp', '--quality', '100'], '52494646'],
    [['render', 'sent-floor.json', '-o', 's.pdf', '--paper', 'A3', '--bleed', '3mm', '--marks'], '25504446'],
    [['render', 'sent-floor.json', '-o', 's.png', '--shrink', '4%,2%'], '89504e47'],
    [['pack', 'sent.json', '-o', 's.zip', '--size', '100mm', '--words', 'For the hall.'], '504b0304'],
    [['collect', 'sent.json', 'sent-floor.json', '-o', 'halls.pdf', '--scale', '30%'], '25504446'],
  ] as const) {
    const { status, err } = await vetro(...args);
    expect({ args, status, err }).toEqual({ args, status: 0, err: '' });
    expect(
      read(args[args.indexOf('-o') + 1]!)
        .subarray(0, 4)
        .toString('hex'),
    ).toBe(starts);
  }
  const proof = await vetro(
    'strike-off',
    'sent.json',
    '-o',
    'proof.png',
    '--substrate',
    'linen',
    '--size',
    '50mm',
  );
  expect(proof.status).toBe(0);
  expect(proof.out.trim().split('\n')).toHaveLength(2);
  expect(proof.out).toMatch(/#[0-9a-f]{6} {2}#[0-9a-f]{6} {2}ΔE \d+\.\d/);
  expect(PNG.sync.read(read('proof.png'))).toMatchObject({ width: 394, height: 394 });
});

const BAD: readonly (readonly [string, readonly string[], string])[] = [
  ['a count of 0', ['new', 'plaid', '--warp', 'A0'], '“0” is not a thread count'],
  ['a negative count', ['new', 'plaid', '--warp', 'A-4'], '“-4” is not a thread count'],
  ['a fraction', ['new', 'plaid', '--warp', 'A2.5'], '“2.5” is not a thread count'],
  ['10⁹ threads', ['new', 'plaid', '--warp', 'A1000000000'], 'from 1 to 100'],
  ['an empty sequence', ['new', 'plaid', '--warp', ''], 'Type a thread count'],
  ['an unknown letter', ['new', 'plaid', '--warp', 'Q4', '--shades', SHADES], 'The card has A, B, C.'],
  ['an unknown weave', ['new', 'plaid', '--warp', 'A4', '--weave', 'satin'], 'is not a weave'],
  ['an unknown convention', ['new', 'plaid', '--warp', 'A/4 B/2', '--pivots', 'both'], 'shared or doubled'],
  ['no warp', ['new', 'plaid'], 'Give thread counts with --warp'],
  ['an unknown start', ['new', 'plaid', '--from', 'paisley'], 'There is no start point “paisley”'],
  ['a start and counts', ['new', 'plaid', '--from', 'gingham', '--warp', 'A4'], 'not both'],
  ['a missing file', ['check', 'nowhere.json'], 'There is no file “nowhere.json”.'],
  [
    'an unknown picture',
    ['render', 'design.json', '-o', 'tile.gif'],
    'Known kinds: png, jpg, tif, webp, svg, pdf.',
  ],
  [
    'two scales',
    ['render', 'design.json', '-o', 't.png', '--per-thread', '2', '--dpi', '9'],
    'cannot be used with',
  ],
  ['a size in words', ['render', 'design.json', '-o', 't.png', '--size', 'large'], 'is not a number'],
  ['a folder that is not there', ['render', 'design.json', '-o', 'no/t.png'], 'could not be written'],
  [
    'pixels for a drawing',
    ['render', 'design.json', '-o', 't.svg', '--dpi', '300'],
    '--dpi would do nothing',
  ],
  ['a picture kind that is not written', ['render', 'design.json', '-o', 'q.gif'], 'cannot be written here'],
  ['two forms of geometry', ['geometry', 'design.json', '--json', '--csv'], 'cannot be used with'],
  [
    'doubled pivots that nobody marked',
    ['new', 'plaid', '--warp', 'A4 B4', '--pivots', 'doubled'],
    'with a slash',
  ],
  ['a name of nothing', ['new', 'plaid', '--warp', 'A4', '--name', ''], 'It must not be empty.'],
  [
    'repeats in halves',
    ['render', 'design.json', '-o', 't.png', '--repeats', '1.5'],
    'is no number of repeats',
  ],
  ['a quality of 0', ['render', 'design.json', '-o', 'q.jpg', '--quality', '0'], 'from 1 to 100, got “0”'],
  ['a JPEG that is too long', ['render', 'design.json', '-o', 'q.jpg', '--size', '10m'], 'Choose PNG'],
  ['a paper that is none', ['render', 'design.json', '-o', 'q.pdf', '--paper', 'A9'], '“A9” is no paper'],
  [
    'a bleed that leaves nothing',
    ['render', 'design.json', '-o', 'q.pdf', '--paper', 'A6', '--bleed', '60mm'],
    'leaves nothing',
  ],
  ['marks in a picture', ['render', 'design.json', '-o', 'q.png', '--marks'], 'only a PDF has pages'],
  ['a size of nothing', ['render', 'design.json', '-o', 'q.png', '--size', '0'], 'must be above zero'],
  ['a size of a world', ['render', 'design.json', '-o', 'q.png', '--size', '1000000000mm'], 'at most'],
  [
    'a cloth that is none',
    ['strike-off', 'design.json', '-o', 'q.png', '--substrate', 'oilcloth'],
    'is no cloth',
  ],
  ['a resolution of nothing', ['check', 'design.json', '--dpi', '0'], 'A resolution must be above 0'],
];

for (const [what, args, words] of BAD) {
  it(`${what} is one clear line and exit 2`, async () => {
    if (!existsSync(join(FOLDER, 'design.json')))
      await vetro('new', 'plaid', '--warp', 'A4 B4', '-o', 'design.json');
    const { status, out, err } = await vetro(...args);
    expect({ status, out }).toEqual({ status: 2, out: '' });
    expect(err).toContain(words);
    expect(err.trim().split('\n')).toHaveLength(1);
  });
}

it('a design is tried on: pictures, drawings and documents, with seams told and mistakes in one line', async () => {
  const { status, out } = await vetro('try', '--list');
  expect(status).toBe(0);
  expect(out.split('\n').filter((line) => line !== '')).toHaveLength(23);
  await vetro('new', 'plaid', '--from', 'gingham', '-o', 'worn.json');
  const cushion = await vetro(
    'try',
    'worn.json',
    '--scene',
    'cushion',
    '--scale',
    '1/2',
    '--turn',
    '45',
    '--dpi',
    '25.4',
    '--alone',
    '-o',
    'cushion.png',
  );
  expect(cushion).toEqual({ status: 0, out: '', err: '' });
  // A pixel a millimetre; the corners of the square beyond its drawn-in sides are clear.
  const { width, height, data } = PNG.sync.read(read('cushion.png'));
  expect({ width, height }).toEqual({ width: 450, height: 450 });
  expect(data[4 * (225 * 450 + 2) + 3]).toBe(0);
  expect(data[4 * (225 * 450 + 225) + 3]).toBe(255);
  const dress = await vetro('try', 'worn.json', '--scene', 'dress', '--at', '1:10', '-o', 'dress.svg');
  expect(dress.status).toBe(0);
  expect(dress.err).toMatch(/^vetro: Front: off by [\d.]+ mm; a shift closes it\.$/m);
  expect(read('dress.svg').toString()).toContain('<pattern id="cloth-0"');
  const letters = ['--scene', 'letters', '--letters', 'Lark', '--font', 'mono', '--bend', 'curve 30deg'];
  expect((await vetro('try', 'worn.json', ...letters, '-o', 'lark.json')).status).toBe(0);
  expect(JSON.parse(read('lark.json').toString())).toMatchObject({
    version: 16,
    tryOn: {
      scene: 'letters',
      letters: { text: 'Lark', font: 'mono' },
      parts: { letters: { bends: [{ kind: 'arc', degrees: '30deg' }] } },
    },
  });
  for (const [given, words] of [
    [['--scene', 'sail'], 'There is no scene “sail”'],
    [['--scene', 'cushion', '--set', 'width=40m'], 'Width lies between 100 and 1500'],
    [['--scene', 'cushion', '--part', 'lid'], 'The scene has no part “lid”; it has cushion.'],
    [['--scene', 'cushion', '--bend', 'arc 350'], 'would fold over itself'],
    [['--scene', 'cushion', '--bend', 'loop 3'], 'A bend is written as'],
    [['--scene', 'cushion', '--scale', '2', '--count', '3'], '--scale would do nothing'],
    [['--scene', 'wall', '--dpi', '900'], 'a side are painted. Take fewer dpi'],
  ] as const) {
    const refused = await vetro('try', 'worn.json', ...given, '-o', 'no.png');
    expect(refused.status).toBe(2);
    expect(refused.err).toContain(words);
    expect(existsSync(join(FOLDER, 'no.png'))).toBe(false);
  }
});

it('what is said of parts in use is of the part named last, and of all before any is', async () => {
  const partsOf = async (...given: readonly string[]) => {
    const made = await vetro('try', 'worn.json', '--scene', 'curtain', ...given, '-o', 'parts.json');
    expect(made.status).toBe(0);
    const { tryOn } = JSON.parse(read('parts.json').toString()) as {
      tryOn: { parts: Record<string, { turn: string; scale: unknown; shading: string }> };
    };
    return tryOn.parts;
  };
  const both = await partsOf(
    '--shading',
    '20%',
    '--part',
    'left',
    '--turn',
    '10',
    '--part',
    'right',
    '--turn',
    '20',
  );
  expect(both['left']).toMatchObject({ turn: '10', shading: '20%' });
  expect(both['right']).toMatchObject({ turn: '20', shading: '20%' });
  const one = await partsOf('--part', 'right', '--turn', '5', '--count', '3');
  expect(Object.keys(one)).toEqual(['right']);
  expect(one['right']).toMatchObject({ turn: '5', scale: { to: 'count', count: '3' } });
});
