import { useEffect, useMemo, useRef } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { BOX_GROUPS, groupBlock } from '../../core/design/motif/group-blocks.ts';
import { parseSteps } from '../../core/design/motif/motif-numbers.ts';
import type { MotifLay } from '../../core/design/motif/motif-schema.ts';
import { equals, toNumber } from '../../core/exact/rational.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { usePixelRatio } from '../../kit/use-pixel-ratio.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { boxGroupName } from '../../wording/group-words.ts';
import { putMotif } from './put-motif.ts';
import { type LayThumbnail, useLayThumbnails } from './use-lay-thumbnails.ts';
import { useScale } from './use-scale.ts';

type GroupLay = Extract<MotifLay, { kind: 'group' }>;

/** CSS pixels of a thumbnail, and how many boxes it shows across. */
const WIDTH = 136;
const HEIGHT = 84;
const BOXES = 4;

const WAYS = [
  { value: 'across', text: 'Across' },
  { value: 'up', text: 'Upward' },
] as const;

/** Groups that are others when right and up are changed for each other. */
const HAS_WAYS: readonly GroupLay['group'][] = ['pm', 'pg', 'cm', 'p2', 'p2mg', 'c2mm'];

/** The plane groups that boxes may be copied by, each as this design would look. */
export function GroupLays({ design, lay }: { readonly design: MotifDesign; readonly lay: GroupLay }) {
  const { box } = design.construction;
  const scale = useScale(design);
  const ratio = usePixelRatio();
  const lays = useMemo(
    () => BOX_GROUPS.map((group): GroupLay => ({ kind: 'group', group, way: lay.way })),
    [lay.way],
  );
  const sides = valueIfAny(() => [box.width, box.height].map((text) => parseSteps(text, scale)));
  const wide = sides === undefined ? 1 : toNumber(sides[0]!);
  const isSquare = sides !== undefined && equals(sides[0]!, sides[1]!);
  const thumbnails = useLayThumbnails({
    design,
    lays,
    room: { width: Math.round(WIDTH * ratio), height: Math.round(HEIGHT * ratio) },
    perMillimetre: (WIDTH * ratio) / (BOXES * wide),
  });
  return (
    <>
      <fieldset className="m-0 border-0 p-0">
        <legend className="label">Copied by</legend>
        <div className="grid grid-cols-2 gap-2">
          {lays.map((each, at) => {
            const { group } = each;
            const chosen = group === lay.group;
            const lacks = groupBlock(group, lay.way).square && !isSquare;
            return (
              <button
                key={group}
                type="button"
                aria-pressed={chosen}
                disabled={lacks}
                className={`flex flex-col gap-1 rounded-lg p-1.5 text-left text-[12.5px] leading-tight enabled:hover:bg-linen disabled:opacity-60 ${chosen ? 'bg-woad-pale font-semibold text-woad' : ''}`}
                onClick={() => putMotif({ lay: each })}
              >
                <Thumbnail shown={lacks ? undefined : thumbnails[at]} />
                <span>
                  {boxGroupName(group, lay.way)} <span className="number">({group})</span>
                </span>
                <span className="number hint">{lacks ? 'needs a square box' : sizeText(thumbnails[at])}</span>
              </button>
            );
          })}
        </div>
      </fieldset>
      {HAS_WAYS.includes(lay.group) && (
        <Choice
          label="Mirrors and rows go"
          value={lay.way}
          options={WAYS}
          onChange={(way) => putMotif({ lay: { ...lay, way } })}
        />
      )}
      <p className="hint">
        The box is what is copied. What lies on a mirror or on the middle of a turn is there once. Third and
        sixth turns (p3, p3m1, p31m, p6, p6mm) need a lattice of 60°, which a box of steps cannot have.
      </p>
    </>
  );
}

function sizeText(shown: LayThumbnail | undefined): string {
  if (shown === undefined) return '…';
  if ('problem' in shown) return shown.problem;
  const { width, height } = shown.size;
  return `${Number(width.toFixed(2))} × ${Number(height.toFixed(2))} mm`;
}

function Thumbnail({ shown }: { readonly shown: LayThumbnail | undefined }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const image = shown !== undefined && 'image' in shown ? shown.image : undefined;
  useEffect(() => {
    const element = canvas.current!;
    if (image === undefined) return;
    element.width = image.width;
    element.height = image.height;
    element.getContext('2d')!.drawImage(image, 0, 0);
  }, [image]);
  return (
    <canvas
      ref={canvas}
      aria-hidden="true"
      className="block rounded border border-rule bg-linen"
      style={{ width: WIDTH, height: HEIGHT }}
    />
  );
}
