import { CoreError } from '../error.ts';
import { DESIGN_FORMAT, DESIGN_VERSION } from './design-schema.ts';
import { USUAL_STRAPS } from './strap/strap-schema.ts';
import { USUAL_YARN } from './yarn-schema.ts';

/** One step up: takes a document of version n, gives one of version n + 1. Fields are checked afterwards. */
type Migration = (document: Readonly<Record<string, unknown>>) => Record<string, unknown>;

const MIGRATIONS: Readonly<Record<number, Migration>> = {
  1: splitDensity,
  2: addPrinting,
  3: addColourways,
  4: addStripes,
  5: addWeaves,
  6: addTilings,
  7: addLayers,
  8: sayTurnsAndPlies,
  9: addNotes,
  10: addMotifs,
  11: addPictures,
  12: addLays,
  13: addStraps,
  14: addPlies,
  15: addTryOn,
};

/** Version 1 had one density both ways, written "24/in"; version 2 has ends and picks of their own. */
function splitDensity(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const { density, ...lay } = document['lay'] as { density?: unknown };
  const match = /^(.+)\/(in|cm)$/.exec(String(density));
  const threads = match?.[1] ?? '';
  return { ...document, version: 2, lay: { ...lay, ends: threads, picks: threads, per: match?.[2] } };
}

/** Version 2 knew only woven plaids whose weft, when it followed, began with the warp's first thread. */
function addPrinting(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const construction = document['construction'];
  const { weft, ...plaid } = Object(construction) as { weft?: unknown };
  return {
    ...document,
    version: 3,
    construction: { ...plaid, weft: { turn: 0, ...Object(weft) }, crossing: 'woven', print: USUAL_PRINT },
  };
}

/** Version 3 had one set of colours. */
function addColourways(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const { format, version: _, name, number, shades, ...rest } = document;
  return { format, version: 4, name, number, shades, colourways: [], ...rest };
}

/** Version 4 knew no construction but plaids; they are as they were. */
function addStripes(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return { ...document, version: 5 };
}

/** Version 5 knew no weave but twills a/b, which are as they were, nothing of yarn, and kept nothing of other programs' files. */
function addWeaves(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return { ...document, version: 6, yarn: USUAL_YARN, kept: [] };
}

/** Version 6 knew no tilings; everything else is as it was. */
function addTilings(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return { ...document, version: 7 };
}

/** Version 7 had tilings without lines, fades and gaps, told their colours by a word and knew no stretching. */
function addLayers(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const construction = Object(document['construction']) as Record<string, unknown>;
  if (construction['kind'] !== 'tiling') return { ...document, version: 8 };
  const more = {
    stretch: '1',
    shear: '0',
    diagonal: '0',
    repeats: 1,
    scatter: null,
    fade: null,
    gaps: null,
    lines: [],
  };
  return {
    ...document,
    version: 8,
    construction: { ...construction, ...more, colours: { by: construction['colours'] } },
  };
}

/**
 * Version 8 said yes or no to a turned twill's cut, and took a slash in a count by weight for a fraction; in version 9 it
 * parts plies, so that a fraction stands in brackets.
 */
function sayTurnsAndPlies(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const construction = Object(document['construction']) as Record<string, unknown>;
  const yarn = Object(document['yarn']) as Record<string, unknown>;
  const weave = construction['weave'];
  return {
    ...document,
    version: 9,
    construction: weave === undefined ? construction : { ...construction, weave: turnedWeave(weave) },
    yarn: { ...yarn, warp: bracketed(yarn['warp']), weft: bracketed(yarn['weft']) },
  };
}

function turnedWeave(weave: unknown): unknown {
  const { kind, cut, ...rest } = Object(weave) as Record<string, unknown>;
  if (kind === 'turned') return { kind, ...rest, turn: cut === true ? 'complemented' : 'point' };
  const { weaves } = rest;
  if (kind !== 'blocks' || !Array.isArray(weaves)) return weave;
  const inner = weaves.map((each: unknown) => {
    const block = Object(each) as Record<string, unknown>;
    return { ...block, weave: turnedWeave(block['weave']) };
  });
  return { kind, ...rest, weaves: inner };
}

function bracketed(yarn: unknown): unknown {
  const { count, system } = Object(yarn) as { count?: unknown; system?: unknown };
  const byWeight = system === 'tex' || system === 'dtex' || system === 'denier';
  const fraction = typeof count === 'string' && /^\s*[\d.]+\s*\/\s*[\d.]+\s*$/.test(count);
  return byWeight && fraction ? { ...Object(yarn), count: `(${count.trim()})` } : yarn;
}

/**
 * Version 9 had no notes, printed on white, measured a tiling by what its form calls 1, and drew lines to all corners of
 * a face.
 */
function addNotes(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const { format, version: _, name, number, ...rest } = document;
  const construction = Object(document['construction']) as Record<string, unknown>;
  return {
    format,
    version: 10,
    name,
    number,
    notes: '',
    ...rest,
    construction: newerConstruction(construction),
  };
}

/** Version 10 knew no motifs; everything else is as it was. */
function addMotifs(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const construction = Object(document['construction']) as Record<string, unknown>;
  const isTiling = construction['kind'] === 'tiling';
  return {
    ...document,
    version: 11,
    construction: isTiling ? { ...construction, letters: null } : construction,
  };
}

/** Version 11 knew no pictures. */
function addPictures(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const { kept, ...rest } = document;
  const construction = Object(document['construction']) as Record<string, unknown>;
  return {
    ...rest,
    version: 12,
    construction: withNoPicture(construction),
    pictures: {},
    kept,
  };
}

/** Version 12 laid everything straight but a motif, whose lay was its own; nothing was scaled or turned. */
function addLays(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const { kind, ...lay } = Object(document['lay']) as Record<string, unknown>;
  const { lay: boxes, ...construction } = Object(document['construction']) as Record<string, unknown>;
  const isMotif = construction['kind'] === 'motif';
  return {
    ...document,
    version: 13,
    construction: isMotif ? construction : document['construction'],
    lay: { arrangement: isMotif ? boxes : { kind }, pivots: 'shared', scale: null, slope: null, ...lay },
  };
}

/** Version 13 knew no straps and no stars. */
function addStraps(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const construction = Object(document['construction']) as Record<string, unknown>;
  const { kind, pieces, vary, ...rest } = construction;
  if (kind === 'tiling') return { ...document, version: 14, construction: { ...construction, star: null } };
  if (kind !== 'motif' || !Array.isArray(pieces)) return { ...document, version: 14 };
  const newer = pieces.map((piece: unknown) => {
    const shape = Object(Object(piece).shape) as Record<string, unknown>;
    return shape['kind'] === 'line' ? { ...Object(piece), shape: { ...shape, strap: null } } : piece;
  });
  return {
    ...document,
    version: 14,
    construction: { kind, pieces: newer, ...rest, straps: USUAL_STRAPS, vary },
  };
}

/** Version 14 knew no designs over each other; everything else is as it was. */
function addPlies(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return { ...document, version: 15 };
}

/** Version 15 tried its cloth on nothing. */
function addTryOn(document: Readonly<Record<string, unknown>>): Record<string, unknown> {
  return { ...document, version: 16, tryOn: null };
}

function withNoPicture(construction: Record<string, unknown>): Record<string, unknown> {
  const { kind, pieces } = construction;
  if (kind === 'tiling') return { ...construction, picture: null };
  if (kind !== 'motif' || !Array.isArray(pieces)) return construction;
  return { ...construction, pieces: pieces.map((piece: unknown) => ({ ...Object(piece), picture: null })) };
}

function newerConstruction(construction: Record<string, unknown>): unknown {
  switch (construction['kind']) {
    case 'plaid':
      return { ...construction, print: { ...Object(construction['print']), ground: null } };
    case 'tiling': {
      const { lines, measured } = construction;
      const all = { every: 1, first: 0 };
      return {
        ...construction,
        measured: measured === 'side' && !hasSidesOfOne(construction) ? 'one' : measured,
        lines: Array.isArray(lines) ? lines.map((each: unknown) => ({ ...Object(each), ...all })) : lines,
      };
    }
    default:
      return construction;
  }
}

/** Whether every side of a tiling is 1, so that its size is that of a side. */
function hasSidesOfOne({ form, dual }: Record<string, unknown>): boolean {
  const { kind } = Object(form) as { kind?: unknown };
  return dual === false && (kind === 'regular' || kind === 'two-kinds' || kind === 'grown');
}

/** How a plaid is printed that was never printed: at half strength, the warp on top. */
export const USUAL_PRINT = { blend: 'normal', strength: '1/2', top: 'warp', ground: null } as const;

/**
 * Brings a stored document to the newest version; one that is new already is returned as it is.
 * @throws CoreError "design/format" | "design/newer" {version, known} | "design/version" {version} |
 *         "ply/newer" {ply, version, known}
 */
export function migrateDesign(document: unknown): unknown {
  if (typeof document !== 'object' || document === null || !('format' in document)) {
    throw new CoreError('design/format', { format: 'none' });
  }
  if (document.format !== DESIGN_FORMAT) {
    throw new CoreError('design/format', { format: String(document.format).slice(0, 80) });
  }
  let current = document as Record<string, unknown>;
  while (current['version'] !== DESIGN_VERSION) {
    const version = current['version'];
    if (typeof version === 'number' && version > DESIGN_VERSION) {
      throw new CoreError('design/newer', { version, known: DESIGN_VERSION });
    }
    const step = typeof version === 'number' ? MIGRATIONS[version] : undefined;
    if (step === undefined || typeof current['lay'] !== 'object' || current['lay'] === null) {
      throw new CoreError('design/version', { version: String(version).slice(0, 40) });
    }
    current = step(current);
  }
  return withNewerCloths(withNewerPlies(current));
}

/** A document whose plies hold designs of the newest version; the same one where they do already. */
function withNewerPlies(document: Record<string, unknown>): Record<string, unknown> {
  const construction = Object(document['construction']) as Record<string, unknown>;
  const { kind, plies } = construction;
  if (kind !== 'plies' || !Array.isArray(plies)) return document;
  const newer = plies.map((ply: unknown, at) => {
    const content = Object(Object(ply).content) as Record<string, unknown>;
    if (content['kind'] !== 'design') return ply as unknown;
    const design = migratePly(content['design'], at + 1);
    return design === content['design']
      ? (ply as unknown)
      : { ...Object(ply), content: { ...content, design } };
  });
  const same = newer.every((ply, at) => ply === plies[at]);
  return same ? document : { ...document, construction: { ...construction, plies: newer } };
}

/** A document whose other cloths are designs of the newest version; the same one where they are already. */
function withNewerCloths(document: Record<string, unknown>): Record<string, unknown> {
  const tryOn = Object(document['tryOn']) as Record<string, unknown>;
  const { cloths } = tryOn;
  if (!Array.isArray(cloths)) return document;
  const newer = cloths.map((cloth: unknown) => {
    const { design } = Object(cloth) as { design?: unknown };
    const migrated = migrateDesign(design);
    return migrated === design ? (cloth as unknown) : { ...Object(cloth), design: migrated };
  });
  const same = newer.every((cloth, at) => cloth === cloths[at]);
  return same ? document : { ...document, tryOn: { ...tryOn, cloths: newer } };
}

/** @throws CoreError as `migrateDesign`, "ply/newer" {ply, version, known} */
function migratePly(design: unknown, ply: number): unknown {
  try {
    return migrateDesign(design);
  } catch (error) {
    if (!(error instanceof CoreError) || error.code !== 'design/newer') throw error;
    throw new CoreError('ply/newer', { ply, ...error.facts } as never);
  }
}
