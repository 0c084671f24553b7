import { useMemo } from 'react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { MAX_LINES } from '../../core/design/tiling/tiling-schema.ts';
import { areaOfPlaces, type Place } from '../../core/shape/places.ts';
import type { LaidFace } from '../../core/tiling/upright-partition.ts';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { Measure } from '../../kit/panel.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { polygonText, sideKindText } from '../../wording/tiling-words.ts';
import { putTiling } from './put-tiling.ts';
import { usualLines, withFaceShade } from './tiling-edits.ts';
import { laidPlaces, sidesRound } from './tiling-places.ts';
import { useTilingPlace } from './tiling-store.ts';

/** The numbers of what is chosen on the cloth: a face, a side or a corner. */
export function TilingPart({ design }: { design: TilingDesign }) {
  const place = useTilingPlace(({ place }) => place);
  const places = useMemo(
    () => (place === undefined ? undefined : valueIfAny(() => laidPlaces(design))),
    [place, design],
  );
  const face = place === undefined ? undefined : places?.faces[place.index];
  if (place === undefined || places === undefined || face === undefined) return null;
  const { corners, laid } = face;
  const round = sidesRound(places, place);
  return (
    <section
      aria-label="Chosen on the cloth"
      className="flex flex-col gap-2 rounded-lg border border-woad/40 bg-woad-pale/40 p-3"
    >
      {place.kind === 'face' && (
        <>
          <h3 className="text-[14px]">{polygonText(corners.length)}</h3>
          <dl className="m-0 flex flex-col gap-1">
            <Measure name="Sides">{sidesText(corners)}</Measure>
            <Measure name="Area">{decimal(areaOfPlaces(corners) / 100)} cm²</Measure>
          </dl>
          <ShadeSelect
            label="Its shade"
            shade={design.shades[laid.shade % design.shades.length]!.key}
            shades={design.shades}
            onChange={(key) => shadeFace(design, laid, key)}
          />
          {design.construction.colours.by !== 'hand' && (
            <p className="hint">A shade given here is kept by hand, for this face alone.</p>
          )}
        </>
      )}
      {place.kind === 'side' && (
        <>
          <h3 className="text-[14px]">{sideKindText(round.join('|'))}</h3>
          <dl className="m-0">
            <Measure name="Length">{decimal(lengthAt(corners, place.at))} mm</Measure>
          </dl>
          <button
            type="button"
            className="button self-start"
            disabled={design.construction.lines.length >= MAX_LINES}
            onClick={() => {
              const { lines } = design.construction;
              const own = { ...usualLines('sides', design.shades.at(-1)!.key), of: round.join('|') };
              putTiling({ lines: [...lines, own] });
            }}
          >
            Draw lines on sides like this
          </button>
        </>
      )}
      {place.kind === 'corner' && (
        <>
          <h3 className="text-[14px]">A corner</h3>
          <dl className="m-0 flex flex-col gap-1">
            <Measure name="Faces round it">{round.join('.')}</Measure>
            <Measure name="Angle of this face">{decimal(angleAt(corners, place.at))}°</Measure>
          </dl>
        </>
      )}
    </section>
  );
}

/** Gives a face a shade of its own: from then on faces are coloured by hand, as they are. */
function shadeFace({ construction }: TilingDesign, face: LaidFace, key: string): void {
  putTiling({ colours: withFaceShade(construction, face, key) });
}

/** At most three decimals. */
function decimal(value: number): string {
  return String(Number(value.toFixed(3)));
}

function lengthAt(corners: readonly Place[], at: number): number {
  const from = corners[at]!;
  const to = corners[(at + 1) % corners.length]!;
  return Math.hypot(to.x - from.x, to.y - from.y);
}

/** "8 × 20 mm", or all lengths. */
function sidesText(corners: readonly Place[]): string {
  const lengths = corners.map((_, at) => decimal(lengthAt(corners, at)));
  const kinds = [...new Set(lengths)];
  return kinds.length === 1 ? `${lengths.length} × ${kinds[0]} mm` : `${kinds.join(', ')} mm`;
}

/** The angle of a face at a corner, in degrees. */
function angleAt(corners: readonly Place[], at: number): number {
  const before = corners.at(at - 1)!;
  const here = corners[at]!;
  const next = corners[(at + 1) % corners.length]!;
  const one = Math.atan2(before.y - here.y, before.x - here.x);
  const other = Math.atan2(next.y - here.y, next.x - here.x);
  return (((((one - other) * 180) / Math.PI) % 360) + 360) % 360;
}
