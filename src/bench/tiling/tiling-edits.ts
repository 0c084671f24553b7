import type { Shade } from '../../core/colour/shade.ts';
import { classShades, colouringOf } from '../../core/design/tiling/colouring-of.ts';
import { tilingOf } from '../../core/design/tiling/shape-of-tiling.ts';
import { type LinesSpec, MAX_BLOCK, type TilingSpec } from '../../core/design/tiling/tiling-schema.ts';
import { gcd } from '../../core/exact/rational.ts';
import type { Tiling } from '../../core/tiling/tiling-form.ts';
import { changing, type Edit } from '../state/design-edits.ts';

type ByHand = Extract<TilingSpec['colours'], { by: 'hand' }>;

/** Changes what a tiling is. */
export function setTiling(change: Partial<TilingSpec>): Edit {
  return changing('tiling', () => change);
}

/**
 * A tiling in the place of another: its form, lying as it does by itself, coloured so that its faces are told apart;
 * size, shades and what lies over the faces stay. Where it has more kinds of faces, they take the card's other shades.
 */
export function anotherTiling(
  construction: TilingSpec,
  { form, dual, colours }: TilingSpec,
  card: readonly Shade[],
): TilingSpec {
  const lines = construction.lines.map((each) => ({ ...each, of: null }));
  const fade = construction.fade && { ...construction.fade, of: null };
  const faces = [...new Set([...construction.faces, ...card.map(({ key }) => key)])];
  const plain = { turn: 0, stretch: '1', shear: '0', diagonal: '0' };
  return { ...construction, ...plain, form, dual, colours, faces, lines, fade };
}

/** The colours that a tiling has, as a block of cells to be coloured by hand. */
export function blockByHand(construction: TilingSpec, across: number, up: number): ByHand {
  const tiling = tilingOf(construction);
  const { shadeOf } = colouringOf(tiling, construction);
  const keys = classShades(construction);
  const shades = Array.from({ length: across * up }, (_, cell) =>
    tiling.faces.map(
      (_, face) => keys[shadeOf(face, cell % across, Math.floor(cell / across)) % keys.length]!,
    ),
  ).flat();
  return { by: 'hand', across, up, shades };
}

/** A block of another size, its cells coloured as the old one went on. */
export function resizedBlock(construction: TilingSpec, size: Partial<Pick<ByHand, 'across' | 'up'>>): ByHand {
  const { colours } = construction;
  const { across, up } = { across: 1, up: 1, ...(colours.by === 'hand' ? colours : {}), ...size };
  return blockByHand(construction, across, up);
}

/** A block that holds all colours that a tiling has, as far as a block may be large. */
function wholeBlock(construction: TilingSpec, tiling: Tiling): ByHand {
  const { columns, rows, lean } = colouringOf(tiling, construction).within;
  // Rows up until what leans comes round.
  const round = lean === 0 ? 1 : columns / Number(gcd(BigInt(columns), BigInt(lean)));
  return blockByHand(construction, Math.min(MAX_BLOCK, columns), Math.min(MAX_BLOCK, rows * round));
}

/** A block in which one face of one cell, wherever it comes again, has another shade. */
export function withFaceShade(
  construction: TilingSpec,
  place: { readonly face: number; readonly cell: readonly [number, number] },
  shade: string,
): ByHand {
  const { colours } = construction;
  const tiling = tilingOf(construction);
  const block = colours.by === 'hand' ? colours : wholeBlock(construction, tiling);
  const kind = colouringOf(tiling, { colours: block }).shadeOf(place.face, ...place.cell);
  const count = block.across * block.up * tiling.faces.length;
  const all = Array.from({ length: count }, (_, at) => block.shades[at % block.shades.length]!);
  return { ...block, shades: all.with(kind, shade) };
}

/** Lines as they are usual. */
export function usualLines(what: LinesSpec['what'], shade: string): LinesSpec {
  return { what, of: null, width: '1 mm', shade, ends: 'round', dashes: null, skip: 2, every: 1, first: 0 };
}
