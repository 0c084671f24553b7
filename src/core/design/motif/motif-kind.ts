import { surd } from '../../exact/surd.ts';
import type { ConstructionKind, ShadePath } from '../construction.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { mapStrap } from '../strap/map-strap.ts';
import { compileMotif } from './compile-motif.ts';
import { scaleOf } from './lay-box.ts';
import type { Making } from './making-schema.ts';
import { motifReport, strapsReport } from './motif-facts.ts';
import { parseSteps } from './motif-numbers.ts';
import { type Motif, motifSchema, type Piece, type PieceShape } from './motif-schema.ts';
import { MOTIF_STARTS } from './motif-starts.ts';
import { missesOfMotif } from './prove-motif.ts';

type Map = (key: string, path: ShadePath) => string;

/** Pieces on a grid. */
export const MOTIF: ConstructionKind<Motif> = {
  schema: motifSchema,
  boxOf: (motif, { resolution }) => {
    const scale = scaleOf(motif, pixelOf(resolution));
    const side = (text: string) => surd(parseSteps(text, scale));
    const { width, height } = motif.box;
    return { width: side(width), height: side(height), counted: { by: 'steps', across: width, up: height } };
  },
  compile: (motif, { shades, lay: { arrangement }, resolution }, pictures) =>
    compileMotif(motif, { shades, arrangement, pixel: pixelOf(resolution), pictures }),
  misses: (_, __, unit) => missesOfMotif(unit),
  mapShades: (motif, to) => ({
    ...motif,
    ground: motif.ground === null ? null : to(motif.ground, ['ground']),
    pieces: motif.pieces.map((piece, index) => mapPiece(piece, index, to)),
  }),
  picturesOf: ({ pieces }) => pieces.flatMap(({ picture }) => picture ?? []),
  kindOf: () => 'motif',
  density: 'nothing',
  drawing: 'plain',
  isClear: ({ ground }) => ground === null,
  starts: () => MOTIF_STARTS,
  filesOf: () => ({}),
  strapsOf: strapsReport,
  reportOf: (design) => ({ motif: motifReport(design) }),
};

function mapPiece(piece: Piece, index: number, to: Map): Piece {
  const at = (path: ShadePath): ShadePath => ['pieces', index, ...path];
  const { shade, fade, outline, shadow } = piece;
  return {
    ...piece,
    shape: mapShape(piece.shape, (key, path) => to(key, at(['shape', ...path]))),
    made: piece.made.map((making, place) =>
      mapMaking(making, (key, path) => to(key, at(['made', place, ...path]))),
    ),
    shade: shade === null ? null : to(shade, at(['shade'])),
    fade: fade && {
      ...fade,
      shades: fade.shades.map((key, place) => to(key, at(['fade', 'shades', place]))),
    },
    outline: outline && { ...outline, shade: to(outline.shade, at(['outline', 'shade'])) },
    shadow: shadow && { ...shadow, shade: to(shadow.shade, at(['shadow', 'shade'])) },
  };
}

function mapShape(shape: PieceShape, to: Map): PieceShape {
  if (shape.kind !== 'line' || shape.strap === null) return shape;
  return { ...shape, strap: mapStrap(shape.strap, (key, path) => to(key, ['strap', ...path])) };
}

function mapMaking(making: Making, to: Map): Making {
  switch (making.kind) {
    case 'bands':
      return {
        ...making,
        bands: making.bands.map((band, index) =>
          band.shade === null ? band : { ...band, shade: to(band.shade, ['bands', index, 'shade']) },
        ),
      };
    case 'divide':
      return making.shade === null ? making : { ...making, shade: to(making.shade, ['shade']) };
    default:
      return making;
  }
}
