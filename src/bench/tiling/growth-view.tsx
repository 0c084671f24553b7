import { Undo2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { surdToNumber } from '../../core/exact/surd.ts';
import { foldTiling } from '../../core/faces/torus.ts';
import { configurations } from '../../core/tiling/around-vertex.ts';
import { closeGrowth } from '../../core/tiling/close-growth.ts';
import {
  freeSides,
  GROWN_SIDES,
  type GrownFace,
  growPatch,
  MAX_GROWN,
  nextFace,
  openCorners,
  type PatchFace,
} from '../../core/tiling/growth.ts';
import { attempt } from '../../wording/attempt.ts';
import { growthSentence, polygonText } from '../../wording/tiling-words.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { putTiling } from './put-tiling.ts';

/** Units of the drawing that a side is long. */
const SIDE = 60;

/** Angles of rhombuses that are offered, in steps of 15°. */
const ANGLES = [2, 3, 4, 6, 8, 9, 10] as const;

type Side = { readonly face: number; readonly side: number };
type Shape = GrownFace['shape'];

/** A patch of faces that is grown side by side until it closes to a tiling. */
export function GrowthView() {
  const design = useDesignOf('tiling');
  const { form, faces: keys } = design.construction;
  const faces: readonly GrownFace[] = form.kind === 'grown' ? form.faces : [];
  const grown = useMemo(() => attempt(() => growPatch(faces)), [faces]);
  const patch = 'value' in grown ? grown.value : [];
  const [chosen, setChosen] = useState<Side>();
  const [shape, setShape] = useState<Shape>();
  const free = useMemo(() => freeSides(patch), [patch]);
  const closing = useMemo(() => closeGrowth(patch), [patch]);
  const side = free.find((each) => each.face === chosen?.face && each.side === chosen.side);
  const ghost = useMemo(
    () =>
      side === undefined || shape === undefined
        ? undefined
        : attempt(() => nextFace(patch, { on: side, shape })),
    [patch, side, shape],
  );
  const sizes = [...new Set(patch.map(({ corners }) => corners.length))].sort((a, b) => a - b);
  const hexOf = (sides: number) => {
    const key = keys[sizes.indexOf(sides) % keys.length];
    return design.shades.find((each) => each.key === key)?.hex ?? '#ffffff';
  };
  const put = (next: readonly GrownFace[]) => putTiling({ form: { kind: 'grown', faces: [...next] } });
  const full = faces.length >= MAX_GROWN;
  const grow = (wished: Shape) => {
    if (side === undefined || full) return;
    const placed = attempt(() => nextFace(patch, { on: side, shape: wished }));
    if ('problem' in placed) return setShape(wished);
    put([...faces, { on: side, shape: wished }]);
    setShape(undefined);
    setChosen(undefined);
  };
  const problem =
    [grown, ghost].flatMap((each) => (each !== undefined && 'problem' in each ? [each.problem] : []))[0] ??
    (full ? `A patch has at most ${MAX_GROWN} faces.` : undefined);
  const tone =
    problem !== undefined ? 'text-madder' : closing.kind === 'closed' ? 'text-verdigris' : 'text-ink';
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto] bg-linen" data-growth={closing.kind}>
      <Patch
        patch={patch}
        free={free}
        chosen={side}
        ghost={ghost !== undefined && 'value' in ghost ? ghost.value : undefined}
        hexOf={hexOf}
        onChoose={setChosen}
      />
      <section aria-label="Grow" className="flex flex-col gap-2 border-rule border-t bg-paper px-4 py-3">
        <p role="status" className={`text-[13px] ${tone}`}>
          {problem ?? (closing.kind === 'closed' ? closedText(closing.tiling) : growthSentence(closing))}
          {problem === undefined && side === undefined && ' Choose a side to grow on.'}
        </p>
        <div className="flex flex-wrap items-center gap-1.5">
          {patch.length <= 1 && <span className="hint">Begin with, or grow with</span>}
          {GROWN_SIDES.map((sides) => (
            <GrowButton
              key={sides}
              text={polygonText(sides).replace('Four-sided faces', 'Squares').slice(0, -1)}
              off={side === undefined && patch.length > 1}
              onPoint={() => setShape(sides)}
              onClick={() => (side === undefined ? put([{ on: null, shape: sides }]) : grow(sides))}
            />
          ))}
          {ANGLES.map((angle) => (
            <GrowButton
              key={angle}
              text={`◊ ${angle * 15}°`}
              off={side === undefined}
              onPoint={() => setShape({ angle })}
              onClick={() => grow({ angle })}
            />
          ))}
          <button
            type="button"
            className="button ml-auto"
            disabled={faces.length <= 1}
            onClick={() => put(faces.slice(0, -1))}
          >
            <Undo2 size={15} aria-hidden="true" /> Remove the last face
          </button>
        </div>
      </section>
    </div>
  );
}

function GrowButton(props: { text: string; off: boolean; onPoint: () => void; onClick: () => void }) {
  return (
    <button
      type="button"
      className="button px-2"
      disabled={props.off}
      onPointerEnter={props.onPoint}
      onFocus={props.onPoint}
      onClick={props.onClick}
    >
      {props.text}
    </button>
  );
}

function closedText(tiling: Parameters<typeof foldTiling>[0]): string {
  const torus = foldTiling(tiling);
  const kinds = [...new Set(configurations(torus))].sort().join(', ');
  return `It closes: ${torus.faces.length} faces to a cell, ${kinds} round its corners. Look at it as cloth.`;
}

interface PatchProps {
  readonly patch: readonly PatchFace[];
  readonly free: readonly Side[];
  readonly chosen: Side | undefined;
  readonly ghost: PatchFace | undefined;
  readonly hexOf: (sides: number) => string;
  readonly onChoose: (side: Side) => void;
}

function Patch({ patch, free, chosen, ghost, hexOf, onChoose }: PatchProps) {
  const drawn = patch.map(({ corners }) => corners.map(placeOf));
  const all = [...drawn.flat(), ...(ghost?.corners.map(placeOf) ?? [])];
  const xs = all.map(({ x }) => x);
  const ys = all.map(({ y }) => y);
  const left = Math.min(0, ...xs) - SIDE;
  const top = Math.min(0, ...ys) - SIDE;
  const width = Math.max(0, ...xs) + SIDE - left;
  const height = Math.max(0, ...ys) + SIDE - top;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing whose sides are controls
    <svg
      role="group"
      aria-label="Patch"
      viewBox={`${left} ${top} ${width} ${height}`}
      className="h-full min-h-0 w-full"
    >
      {drawn.map((places, face) => (
        <polygon
          // biome-ignore lint/suspicious/noArrayIndexKey: faces are known by their place
          key={face}
          points={pointsOf(places)}
          fill={hexOf(places.length)}
          stroke="#20292b"
          strokeWidth="0.75"
        />
      ))}
      {ghost !== undefined && (
        <polygon
          points={pointsOf(ghost.corners.map(placeOf))}
          fill="#2c5f7c"
          fillOpacity="0.18"
          stroke="#2c5f7c"
          strokeDasharray="5 4"
        />
      )}
      {free.map((side) => {
        const [from, to] = endsOf(drawn, side);
        const is = chosen?.face === side.face && chosen.side === side.side;
        return (
          // biome-ignore lint/a11y/useSemanticElements: a line of a drawing that can be chosen
          <line
            key={`${side.face} ${side.side}`}
            role="button"
            tabIndex={0}
            aria-pressed={is}
            aria-label={`Side ${side.side + 1} of face ${side.face + 1}`}
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            stroke="#2c5f7c"
            strokeOpacity={is ? 1 : 0.35}
            strokeWidth={is ? 6 : 5}
            strokeLinecap="round"
            className="cursor-pointer outline-none hover:[stroke-opacity:0.8] focus-visible:[stroke-opacity:1] focus-visible:[stroke-width:9] focus-visible:[stroke:#20292b]"
            onClick={() => onChoose(side)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              onChoose(side);
            }}
          />
        );
      })}
      {openCorners(patch).map(({ at, open }) => {
        const { x, y } = placeOf(at);
        return (
          <text
            key={`${x} ${y}`}
            x={x}
            y={y}
            dy="3"
            textAnchor="middle"
            className="numbers pointer-events-none"
            fontSize="9"
            fill="#20292b"
            stroke="#fffdf8"
            strokeWidth="3"
            paintOrder="stroke"
          >
            {open * 15}°
          </text>
        );
      })}
    </svg>
  );
}

function placeOf({ x, y }: PatchFace['corners'][number]) {
  return { x: surdToNumber(x) * SIDE, y: -surdToNumber(y) * SIDE };
}

type Drawn = ReturnType<typeof placeOf>;

function pointsOf(places: readonly Drawn[]): string {
  return places.map(({ x, y }) => `${x},${y}`).join(' ');
}

function endsOf(drawn: readonly (readonly Drawn[])[], { face, side }: Side): readonly [Drawn, Drawn] {
  const places = drawn[face]!;
  return [places[side]!, places[(side + 1) % places.length]!];
}
