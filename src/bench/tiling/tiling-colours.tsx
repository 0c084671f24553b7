import { useMemo } from 'react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { colouringOf } from '../../core/design/tiling/colouring-of.ts';
import { tilingOf } from '../../core/design/tiling/shape-of-tiling.ts';
import { parseShare } from '../../core/design/tiling/tiling-numbers.ts';
import {
  MAX_BLOCK,
  MAX_ROWS,
  TILING_COLOURS,
  type TilingSpec,
  type TilingColours as Ways,
} from '../../core/design/tiling/tiling-schema.ts';
import { surdToNumber } from '../../core/exact/surd.ts';
import { ROW_WAYS, type RowWay, rowVector } from '../../core/tiling/colourings.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { type Options, SelectField } from '../../kit/fields/select-field.tsx';
import { FoldOut } from '../../kit/fold-out.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { polygonText, rowText } from '../../wording/tiling-words.ts';
import { few, keptBy, putTiling } from './put-tiling.ts';
import { blockByHand, resizedBlock } from './tiling-edits.ts';

/** Largest seed. */
const MAX_SEED = 0xffff_ffff;

const COLOUR_NAMES: Readonly<Record<Ways, string>> = {
  sides: 'Number of sides',
  directions: 'The way they lie',
  neighbours: 'Neighbours differ',
  faces: 'Each by itself',
  rows: 'Rows, in turn',
  hand: 'By hand, on the cloth',
};

/** Which faces are alike, and their shades. */
export function TilingColours({ design }: { design: TilingDesign }) {
  const { construction } = design;
  const { colours } = construction;
  return (
    <>
      <SelectField
        label="Colour faces by"
        value={colours.by}
        options={TILING_COLOURS.map((each) => ({ value: each, text: COLOUR_NAMES[each] }))}
        onChange={(by) => putTiling({ colours: usualColours(by, design) })}
      />
      {colours.by === 'rows' && (
        <div className="grid grid-cols-[minmax(0,1fr)_90px] gap-3">
          <SelectField
            label="Rows"
            value={colours.way}
            options={rowOptions(construction)}
            onChange={(way) => putTiling({ colours: { ...colours, way } })}
          />
          <NumberField
            label="Shades in turn"
            text={String(colours.count)}
            resolve={(text) => String(few(text, 2, MAX_ROWS))}
            onChange={(text) => putTiling({ colours: { ...colours, count: few(text, 2, MAX_ROWS) } }, 'rows')}
          />
        </div>
      )}
      {colours.by === 'hand' ? <HandBlock design={design} /> : <FaceShades design={design} />}
      <Scatter construction={construction} />
    </>
  );
}

/** The ways of rows, each by where its rows go on this tiling. */
function rowOptions(construction: TilingSpec): Options<RowWay> {
  const lattice = valueIfAny(() => tilingOf(construction).lattice);
  return (Object.keys(ROW_WAYS) as RowWay[]).map((way) => {
    if (lattice === undefined) return { value: way, text: 'Rows' };
    const { x, y } = rowVector(lattice, way);
    return { value: way, text: rowText({ x: surdToNumber(x), y: surdToNumber(y) }) };
  });
}

function usualColours(by: Ways, design: TilingDesign): TilingSpec['colours'] {
  switch (by) {
    case 'rows':
      return { by, way: 'first', count: Math.max(2, Math.min(3, design.construction.faces.length)) };
    case 'hand':
      return blockByHand(design.construction, 2, 2);
    default:
      return { by };
  }
}

/** How many cells are coloured one by one. */
function HandBlock({ design: { construction } }: { design: TilingDesign }) {
  const { colours } = construction;
  if (colours.by !== 'hand') return null;
  const size = (label: string, side: 'across' | 'up') => (
    <NumberField
      label={label}
      text={String(colours[side])}
      resolve={(text) => String(few(text, 1, MAX_BLOCK))}
      onChange={(text) =>
        putTiling(
          { colours: resizedBlock(construction, { [side]: few(text, 1, MAX_BLOCK) }) },
          `block-${side}`,
        )
      }
    />
  );
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        {size('Cells across', 'across')}
        {size('Cells up', 'up')}
      </div>
      <p className="hint">
        Click a face on the cloth and give it a shade below; the whole repeats after so many cells.
      </p>
    </>
  );
}

/** Single faces lighter or darker than their shade. */
function Scatter({ construction }: { construction: TilingSpec }) {
  const { scatter } = construction;
  return (
    <FoldOut title="Lighter and darker faces" state={scatter === null ? '' : `seed ${scatter.seed}`}>
      <CheckField
        text="Vary the lightness"
        on={scatter !== null}
        onChange={(on) => putTiling({ scatter: on ? { times: 4, seed: 1, share: '1/3', by: '1/10' } : null })}
      />
      {scatter !== null && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Repeats after so many cells"
              text={String(scatter.times)}
              resolve={(text) => String(few(text, 1, MAX_BLOCK))}
              onChange={(text) =>
                putTiling({ scatter: { ...scatter, times: few(text, 1, MAX_BLOCK) } }, 'times')
              }
            />
            <NumberField
              label="Share of the faces"
              text={scatter.share}
              resolve={keptBy(parseShare)}
              onChange={(text) => putTiling({ scatter: { ...scatter, share: text.trim() } }, 'share')}
            />
            <NumberField
              label="Lighter by up to"
              text={scatter.by}
              resolve={keptBy(parseShare)}
              onChange={(text) => putTiling({ scatter: { ...scatter, by: text.trim() } }, 'by')}
            />
            <NumberField
              label="Seed"
              text={String(scatter.seed)}
              resolve={(text) => String(few(text, 0, MAX_SEED))}
              onChange={(text) =>
                putTiling({ scatter: { ...scatter, seed: few(text, 0, MAX_SEED) } }, 'seed')
              }
            />
          </div>
          <button
            type="button"
            className="button self-start"
            onClick={() => putTiling({ scatter: { ...scatter, seed: scatter.seed + 1 } })}
          >
            Another seed
          </button>
        </>
      )}
    </FoldOut>
  );
}

/** A shade for each kind of face. */
function FaceShades({ design }: { design: TilingDesign }) {
  const { construction, shades } = design;
  const kinds = useMemo(() => kindsOf(construction), [construction]);
  const { faces } = construction;
  return (
    <div className="flex flex-col gap-2">
      {kinds.map((name, kind) => {
        const key = faces[kind % faces.length]!;
        return (
          <div key={name} className="grid grid-cols-[22px_minmax(0,1fr)] items-end gap-2">
            <span
              className="chip mb-2 h-5 w-5"
              style={{ backgroundColor: shades.find((shade) => shade.key === key)?.hex }}
            />
            <SelectField
              label={name}
              value={key}
              options={shades.map((shade) => ({ value: shade.key, text: `${shade.key} ${shade.name}` }))}
              onChange={(next) =>
                putTiling({ faces: kinds.map((_, at) => (at === kind ? next : faces[at % faces.length]!)) })
              }
            />
          </div>
        );
      })}
    </div>
  );
}

/** The kinds of faces by name; none while they cannot be told apart. */
function kindsOf(construction: TilingSpec): readonly string[] {
  return (
    valueIfAny(() => {
      const tiling = tilingOf(construction);
      const { classes } = colouringOf(tiling, construction);
      if (construction.colours.by === 'sides') {
        return [...new Set(tiling.faces.map(({ length }) => length))].sort((a, b) => a - b).map(polygonText);
      }
      const word = construction.colours.by === 'rows' ? 'Row' : 'Faces';
      return Array.from({ length: classes }, (_, kind) => `${word} ${kind + 1}`);
    }) ?? []
  );
}
