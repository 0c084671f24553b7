import type { TilingDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { IN_TURN } from '../../core/design/strap/strap-schema.ts';
import { starOffers } from '../../core/design/tiling/star/star-offers.ts';
import { parseApart, parseStarAngle, type StarSpec } from '../../core/design/tiling/star/star-schema.ts';
import { parseLengthOrNone } from '../../core/design/tiling/tiling-numbers.ts';
import { exactDecimal } from '../../core/exact/exact-decimal.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { LINE_ENDS } from '../../kit/fields/line-ends.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { Slider } from '../../kit/fields/slider.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { lengthText } from '../../wording/measures.ts';
import { strapLines } from '../../wording/strap-words.ts';
import { degreesText, inMillimetres, polygonText, starText } from '../../wording/tiling-words.ts';
import { CrossingsPart } from '../straps/crossings-part.tsx';
import { type StrapLengths, StrapPart } from '../straps/strap-part.tsx';
import { useStraps } from '../straps/use-straps.ts';
import { keptBy, putTiling } from './put-tiling.ts';
import { USUAL_STAR_STRAP, usualStar, withFill, withStarLine } from './star-edits.ts';

const LOOKS = [
  { value: 'lines', text: 'Lines' },
  { value: 'straps', text: 'Straps' },
  { value: 'none', text: 'No lines' },
] as const;

interface StarPartProps {
  readonly design: TilingDesign;
  /** Numbers of sides that the faces have. */
  readonly faces: readonly number[];
}

/** Lines from the middles of all sides that make stars: at which angle, how they are drawn, which stars are filled. */
export function StarPart({ design, faces }: StarPartProps) {
  const { star } = design.construction;
  const last = design.shades.at(-1)!.key;
  return (
    <section aria-label="Stars" className="flex flex-col gap-3 border-rule border-t pt-3">
      <h3 className="text-[14px]">Stars</h3>
      <CheckField
        text="Lines from the middles of sides"
        on={star !== null}
        onChange={(on) => putTiling({ star: on ? usualStar(last) : null })}
      />
      {star !== null && <StarFields design={design} faces={faces} star={star} />}
    </section>
  );
}

function StarFields({ design, faces, star }: StarPartProps & { readonly star: StarSpec }) {
  const { shades } = design;
  const { angle, apart, line, fills } = star;
  const put = (change: Partial<StarSpec>, tag?: string) =>
    putTiling({ star: { ...star, ...change } }, tag && `star-${tag}`);
  const degrees = valueIfAny(() => toNumber(parseStarAngle(angle))) ?? 45;
  return (
    <>
      <NumberField
        label="Angle to the sides"
        text={angle}
        resolve={(text) => degreesText(parseStarAngle(text))}
        onChange={(text) => put({ angle: text.trim() }, 'angle')}
      />
      <Slider
        label="Angle"
        value={degrees}
        range={[5, 85]}
        step={0.5}
        onChange={(value) => put({ angle: String(value) }, 'angle')}
      />
      <fieldset className="m-0 flex flex-wrap gap-1.5 border-0 p-0">
        <legend className="label">Angles that close regular stars</legend>
        {starOffers(Math.max(0, ...faces)).map((offer) => (
          <button
            key={offer.step}
            type="button"
            className="button px-2 text-[12.5px]"
            onClick={() => put({ angle: exactDecimal(offer.angle) })}
          >
            {starText(offer)}
          </button>
        ))}
      </fieldset>
      <NumberField
        label="Starts apart, part of the side"
        text={apart}
        resolve={keptBy(parseApart)}
        onChange={(text) => put({ apart: text.trim() }, 'apart')}
      />
      {faces.map((sides) => (
        <ShadeSelect
          key={sides}
          label={`Stars in ${polygonText(sides).toLowerCase()}`}
          shade={fills.find((fill) => fill.sides === sides)?.shade ?? ''}
          shades={shades}
          none="Not filled"
          onChange={(shade) => put({ fills: withFill(fills, sides, shade) })}
        />
      ))}
      <Choice
        label="Drawn as"
        value={line === null ? 'none' : line.strap === null ? 'lines' : 'straps'}
        options={LOOKS}
        onChange={(look) => put({ line: withStarLine(star, look, shades.at(-1)!.key) })}
      />
      {line !== null && <StarLineFields design={design} star={star} line={line} put={put} />}
    </>
  );
}

interface StarLineFieldsProps {
  readonly design: TilingDesign;
  readonly star: StarSpec;
  readonly line: NonNullable<StarSpec['line']>;
  readonly put: (change: Partial<StarSpec>, tag?: string) => void;
}

function StarLineFields({ design, star, line, put }: StarLineFieldsProps) {
  const { shades, resolution } = design;
  const report = useStraps(design);
  const pixel = pixelOf(resolution);
  const lengths: StrapLengths = {
    size: (text) => inMillimetres(text, pixel),
    sizeOrNone: (text) => `${lengthText(parseLengthOrNone(text, pixel), 'mm')} mm`,
    ...USUAL_STAR_STRAP,
  };
  const { strap } = line;
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Width of the star lines"
          text={line.width}
          resolve={lengths.size}
          onChange={(width) => put({ line: { ...line, width: width.trim() } }, 'width')}
        />
        <ShadeSelect
          label="Shade of the star lines"
          shade={line.shade}
          shades={shades}
          onChange={(shade) => put({ line: { ...line, shade } })}
        />
      </div>
      <Choice
        label="Corners of the star lines"
        value={line.ends}
        options={LINE_ENDS}
        onChange={(ends) => put({ line: { ...line, ends } })}
      />
      {strap !== null && (
        <>
          <StrapPart
            strap={strap}
            shades={shades}
            lengths={lengths}
            onChange={(next, tag) => put({ line: { ...line, strap: next } }, tag)}
          />
          <CrossingsPart swapped={star.swapped} turned={star.turned} onChange={put} />
          {report !== undefined && report !== null && (
            <ul
              aria-label="How the straps cross"
              className="m-0 flex list-none flex-col gap-1 p-0 text-[13px]"
            >
              {strapLines(report, { ...IN_TURN, turned: star.turned }).map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
          )}
        </>
      )}
    </>
  );
}
