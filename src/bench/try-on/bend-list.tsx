import { ArrowDown, ArrowUp } from 'lucide-react';
import type { Design } from '../../core/design/design-schema.ts';
import { parseRepeats } from '../../core/design/lay/lay-numbers.ts';
import { type MotifScale, parseDegrees, parseWay } from '../../core/design/motif/motif-numbers.ts';
import { tryOnScale } from '../../core/design/try-on/compile-try-on.ts';
import { parsePart } from '../../core/design/try-on/try-on-numbers.ts';
import { type BendKind, type BendSpec, MOST_BENDS } from '../../core/design/try-on/try-on-schema.ts';
import { toDecimal } from '../../core/exact/rational.ts';
import type { DrawnPart } from '../../core/scene/draw-part.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { RemoveButton } from '../../kit/remove-button.tsx';
import { RowButton } from '../../kit/sortable-list.tsx';
import { BEND_WORDS, bendText } from '../../wording/bend-words.ts';
import { lengthText, portionText } from '../../wording/measures.ts';
import { dispatch } from '../state/bench-store.ts';
import { handText } from './drawing/hold-scene.ts';
import { bendsOf, changeBends, tryOnOf } from './try-on-edits.ts';
import { useTryOn } from './try-on-store.ts';

interface BendListProps {
  readonly design: Design;
  readonly part: DrawnPart;
}

/** The bends of a part, one of what the one before made; each by its numbers, taken away without a trace. */
export function BendList({ design, part: { part } }: BendListProps) {
  const bends = bendsOf(tryOnOf(design), part);
  const chosen = useTryOn((look) => look.bend);
  const put = (change: (bends: readonly BendSpec[]) => readonly BendSpec[], tag?: string) =>
    dispatch({
      kind: 'edit',
      edit: changeBends(part, change),
      ...(tag === undefined ? {} : { tag: `bend-${part.key}-${tag}` }),
    });
  const choose = (bend: number) => useTryOn.setState({ bend });
  return (
    <section aria-label="Bent" className="flex flex-col gap-2">
      <span className="label">Bent</span>
      {bends.map((bend, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: bends have no other names
        <div key={at} className="flex flex-col gap-2 border-rule border-t pt-1.5">
          <div className="flex items-center gap-1">
            <button
              type="button"
              aria-pressed={at === chosen}
              title="Show its handles"
              className={`flex min-h-7 min-w-0 flex-1 items-baseline justify-between gap-2 rounded px-1 text-left text-[13.5px] hover:bg-linen ${at === chosen ? 'font-semibold text-woad' : ''}`}
              onClick={() => choose(at)}
            >
              <span>{BEND_WORDS[bend.kind]}</span>
              <span className="numbers truncate font-normal text-[12.5px] text-ash">{bendText(bend)}</span>
            </button>
            {at > 0 && (
              <RowButton
                label={`${BEND_WORDS[bend.kind]} earlier`}
                icon={ArrowUp}
                onClick={() => {
                  put((all) => all.toSpliced(at - 1, 2, all[at]!, all[at - 1]!));
                  choose(at - 1);
                }}
              />
            )}
            {at < bends.length - 1 && (
              <RowButton
                label={`${BEND_WORDS[bend.kind]} later`}
                icon={ArrowDown}
                onClick={() => {
                  put((all) => all.toSpliced(at, 2, all[at + 1]!, all[at]!));
                  choose(at + 1);
                }}
              />
            )}
            <RemoveButton
              label={`Remove: ${BEND_WORDS[bend.kind]}`}
              onClick={() => {
                put((all) => all.toSpliced(at, 1));
                choose(0);
              }}
            />
          </div>
          {at === chosen && (
            <BendNumbers
              bend={bend}
              scale={tryOnScale(design)}
              onChange={(next, tag) => put((all) => all.toSpliced(at, 1, next), `${at}-${tag}`)}
            />
          )}
        </div>
      ))}
      {bends.length < MOST_BENDS && (
        <div className="flex flex-wrap gap-1.5">
          {(Object.keys(BEND_WORDS) as BendKind[]).map((kind) => (
            <button
              key={kind}
              type="button"
              className="button px-2 text-[13px]"
              onClick={() => {
                put((all) => [...all, usualBend(kind, part.box)]);
                choose(bends.length);
              }}
            >
              + {BEND_WORDS[kind]}
            </button>
          ))}
        </div>
      )}
    </section>
  );
}

/** A bend to begin with: seen at once, and far from folding over. */
function usualBend(
  kind: BendKind,
  { width, height }: { readonly width: number; readonly height: number },
): BendSpec {
  const corner = (x: number, y: number) => ({ x: handText(x * width), y: handText(y * height) });
  const usual: { readonly [K in BendKind]: Extract<BendSpec, { kind: K }> } = {
    arc: { kind: 'arc', degrees: '40°' },
    waist: { kind: 'waist', share: '-40%', at: '50%', reach: '50%' },
    ripple: { kind: 'ripple', length: handText(width / 2), height: handText(height / 20) },
    folds: { kind: 'folds', count: '6', depth: handText(width / 12) },
    form: { kind: 'form', across: '90°', up: '0°' },
    perspective: {
      kind: 'perspective',
      corners: [corner(0, 0), corner(1, 0), corner(0.8, 0.8), corner(0.2, 0.8)],
    },
  };
  return usual[kind];
}

interface BendNumbersProps {
  readonly bend: BendSpec;
  readonly scale: MotifScale;
  readonly onChange: (bend: BendSpec, tag: string) => void;
}

/** What each number of a bend is called, and how it is read. */
const NUMBERS: Readonly<
  Record<string, { readonly label: string; readonly in: 'degrees' | 'part' | 'length' | 'count' }>
> = {
  'arc.degrees': { label: 'Angle', in: 'degrees' },
  'waist.share': { label: 'Wider by', in: 'part' },
  'waist.at': { label: 'At the height', in: 'part' },
  'waist.reach': { label: 'Felt as far as', in: 'part' },
  'ripple.length': { label: 'From crest to crest', in: 'length' },
  'ripple.height': { label: 'Height', in: 'length' },
  'folds.count': { label: 'Folds', in: 'count' },
  'folds.depth': { label: 'Depth', in: 'length' },
  'form.across': { label: 'Round, across', in: 'degrees' },
  'form.up': { label: 'Round, up', in: 'degrees' },
};

function BendNumbers({ bend, scale, onChange }: BendNumbersProps) {
  if (bend.kind === 'perspective') return <CornerNumbers bend={bend} scale={scale} onChange={onChange} />;
  return (
    <div className="grid grid-cols-2 gap-3">
      {Object.entries(bend).flatMap(([key, text]) => {
        const number = NUMBERS[`${bend.kind}.${key}`];
        if (number === undefined) return [];
        return (
          <NumberField
            key={key}
            label={number.label}
            text={text as string}
            resolve={(typed) => resolved(typed, number.in, scale)}
            onChange={(typed) => onChange({ ...bend, [key]: typed.trim() } as BendSpec, key)}
          />
        );
      })}
    </div>
  );
}

function resolved(text: string, unit: 'degrees' | 'part' | 'length' | 'count', scale: MotifScale): string {
  switch (unit) {
    case 'degrees':
      return `${toDecimal(parseDegrees(text), 2)}°`;
    case 'part':
      return portionText(parsePart(text), 2);
    case 'length':
      return `${lengthText(parseWay(text, scale), 'mm')} mm`;
    case 'count':
      return toDecimal(parseRepeats(text), 2);
    default:
      return unit satisfies never;
  }
}

const CORNERS = ['Lower left', 'Lower right', 'Upper right', 'Upper left'] as const;

/** The four corners of a perspective, the upper ones above the lower. */
function CornerNumbers({
  bend,
  scale,
  onChange,
}: BendNumbersProps & { readonly bend: Extract<BendSpec, { kind: 'perspective' }> }) {
  const length = (text: string) => `${lengthText(parseWay(text, scale), 'mm')} mm`;
  return (
    <div className="grid grid-cols-2 gap-3">
      {[3, 2, 0, 1].map((corner) => (
        <fieldset key={corner} className="m-0 flex min-w-0 flex-col gap-1 border-0 p-0">
          <legend className="label">{CORNERS[corner]}</legend>
          {(['x', 'y'] as const).map((axis) => (
            <NumberField
              key={axis}
              hideLabel
              label={`${CORNERS[corner]}, ${axis === 'x' ? 'across' : 'up'}`}
              text={bend.corners[corner]![axis]}
              resolve={length}
              onChange={(text) =>
                onChange(
                  {
                    ...bend,
                    corners: bend.corners.map((each, at) =>
                      at === corner ? { ...each, [axis]: text.trim() } : each,
                    ) as typeof bend.corners,
                  },
                  `${corner}-${axis}`,
                )
              }
            />
          ))}
        </fieldset>
      ))}
    </div>
  );
}
