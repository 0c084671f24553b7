import { HANDS, type Hand } from '../../core/thread/weave.ts';
import { satinSteps } from '../../core/thread/weaves/satin-steps.ts';
import { onEnds, parseLine } from '../../core/thread/weaves/weave-rules.ts';
import type { WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';
import { whole } from '../../kit/fields/whole.ts';

/** A number of a weave's rule, or a line of them: as it is written, and the weave that a text comes to. */
export interface WeaveNumber<W> {
  readonly kind: 'number';
  readonly label: string;
  readonly text: (weave: W) => string;
  /** @throws CoreError where the text cannot be read */
  readonly made: (weave: W, text: string) => WeaveSpec;
}

/** One of a few. */
export interface WeaveChoice<W> {
  readonly kind: 'choice' | 'select';
  readonly label: string;
  readonly value: (weave: W) => string;
  readonly options: (weave: W) => readonly { readonly value: string; readonly text: string }[];
  readonly made: (weave: W, value: string) => WeaveSpec;
}

/** Yes or no. */
interface WeaveCheck<W> {
  readonly kind: 'check';
  readonly label: string;
  readonly on: (weave: W) => boolean;
  readonly made: (weave: W, on: boolean) => WeaveSpec;
}

/** Another weave at a click. */
interface WeaveButton<W> {
  readonly kind: 'button';
  readonly label: string;
  readonly made: (weave: W) => WeaveSpec;
}

interface WeaveHint<W> {
  readonly kind: 'hint';
  readonly text: (weave: W) => string;
}

/** Fields beside each other. */
interface WeaveRow<W> {
  readonly kind: 'row';
  readonly fields: readonly (WeaveNumber<W> | WeaveChoice<W>)[];
}

export type WeavePart<W> =
  | WeaveNumber<W>
  | WeaveChoice<W>
  | WeaveCheck<W>
  | WeaveButton<W>
  | WeaveHint<W>
  | WeaveRow<W>;

type WeaveOf<K extends WeaveSpec['kind']> = Extract<WeaveSpec, { kind: K }>;

/** A whole number, kept in the weave under that key. */
function count<K extends string, W extends WeaveSpec & Readonly<Record<K, number>>>(
  key: K,
  label: string,
  least: number,
): WeaveNumber<W> {
  return {
    kind: 'number',
    label,
    text: (weave) => String(weave[key]),
    made: (weave, text) => ({ ...weave, [key]: whole(text, least) }),
  };
}

function overAndUnder<W extends WeaveSpec & { readonly line: readonly number[] }>(): WeaveNumber<W> {
  return {
    kind: 'number',
    label: 'Over and under',
    text: ({ line }) => line.join('/'),
    made: (weave, text) => ({ ...weave, line: parseLine(text) }),
  };
}

function face<W extends WeaveSpec & { readonly face: 'warp' | 'weft' }>(label: string): WeaveChoice<W> {
  return {
    kind: 'choice',
    label,
    value: (weave) => weave.face,
    options: () => [
      { value: 'warp', text: 'Warp' },
      { value: 'weft', text: 'Weft' },
    ],
    made: (weave, value) => ({ ...weave, face: value as 'warp' | 'weft' }),
  };
}

/** Only steps with which there is a satin are offered. */
function satin<W extends WeaveOf<'satin' | 'shaded'>>(): readonly WeavePart<W>[] {
  return [
    {
      kind: 'row',
      fields: [
        {
          kind: 'number',
          label: 'Ends of the satin',
          text: ({ ends }) => String(ends),
          made: (weave, text) => onEnds(weave, whole(text, 1)),
        },
        {
          kind: 'select',
          label: 'Step',
          value: ({ step }) => String(step),
          options: ({ ends }) =>
            satinSteps(ends).map((step) => ({ value: String(step), text: String(step) })),
          made: (weave, step) => ({ ...weave, step: Number(step) }),
        },
      ],
    },
    {
      kind: 'hint',
      text: ({ ends }) =>
        `On ${ends} ends, 1 and ${ends - 1} make a twill, and a step that shares a divisor with ${ends} leaves ends unbound.`,
    },
  ];
}

type TwillLike = WeaveOf<'twill' | 'line'>;

interface Line {
  readonly line: readonly number[];
  readonly step: number;
  readonly hand: Hand;
}

/** A twill by its line, whether it is said by two numbers or by more. */
function lineOf(weave: TwillLike): Line {
  return weave.kind === 'line' ? weave : { hand: weave.hand, line: [weave.over, weave.under], step: 1 };
}

function twillOf({ line, step, hand }: Line): WeaveSpec {
  const [over, under, ...more] = line;
  return more.length === 0 && step === 1
    ? { kind: 'twill', over: over!, under: under!, hand }
    : { kind: 'line', line, step, hand };
}

const TWILL: readonly WeavePart<TwillLike>[] = [
  {
    kind: 'row',
    fields: [
      {
        kind: 'number',
        label: 'Over and under',
        text: (weave) => lineOf(weave).line.join('/'),
        made: (weave, text) => twillOf({ ...lineOf(weave), line: parseLine(text) }),
      },
      {
        kind: 'number',
        label: 'Step',
        text: (weave) => String(lineOf(weave).step),
        made: (weave, text) => twillOf({ ...lineOf(weave), step: whole(text, 1) }),
      },
    ],
  },
  {
    kind: 'choice',
    label: 'Climbs',
    value: ({ hand }) => hand,
    options: () =>
      HANDS.map((hand) => ({ value: hand, text: hand === 'Z' ? 'Z, to the right' : 'S, to the left' })),
    made: (weave, hand) => twillOf({ ...lineOf(weave), hand: hand as Hand }),
  },
];

const DRAWN: readonly WeavePart<WeaveSpec>[] = [
  { kind: 'hint', text: () => 'It is worked on its draft; a rule would take its place.' },
];

/** What a rule is said by, in the order in which it stands in the panel. */
const PARTS: { readonly [K in WeaveSpec['kind']]: readonly WeavePart<WeaveOf<K>>[] } = {
  twill: TWILL,
  line: TWILL,
  steps: [
    overAndUnder(),
    {
      kind: 'number',
      label: 'Ends that each pick moves on',
      text: ({ steps }) => steps.join(' '),
      made: (weave, text) => ({
        ...weave,
        steps: text
          .trim()
          .split(/[\s,]+/)
          .map(wholeStep),
      }),
    },
    { kind: 'hint', text: () => 'Such as 1 1 2: broken; 1 1 1 2 2 1: waved; −1 goes back.' },
  ],
  turned: [
    { kind: 'row', fields: [overAndUnder(), count('run', 'Ends each way', 2)] },
    {
      kind: 'choice',
      label: 'Where it turns',
      value: ({ turn }) => turn,
      options: () => [
        { value: 'complemented', text: 'Cut, complemented' },
        { value: 'kept', text: 'Cut, face kept' },
        { value: 'point', text: 'Pointed' },
      ],
      made: (weave, turn) => ({ ...weave, turn: turn as typeof weave.turn }),
    },
  ],
  rib: [
    face('Ribs of the'),
    { kind: 'row', fields: [count('a', 'Threads together', 1), count('b', 'and then', 1)] },
  ],
  hopsack: [
    { kind: 'row', fields: [count('ends', 'Ends together', 1), count('picks', 'Picks together', 1)] },
  ],
  satin: [...satin<WeaveOf<'satin'>>(), face('Face of the')],
  honeycomb: [count('size', 'Shafts', 3)],
  crepe: [
    {
      kind: 'row',
      fields: [count('size', 'Threads', 1), count('most', 'No float above', 1), count('seed', 'Seed', 0)],
    },
    {
      kind: 'button',
      label: 'Another of its kind',
      made: (weave) => ({ ...weave, seed: weave.seed + 1 }),
    },
  ],
  shaded: [...satin<WeaveOf<'shaded'>>(), count('tones', 'Tones', 2)],
  double: [
    {
      kind: 'check',
      label: 'The lower cloth is stitched to the upper',
      on: ({ stitched }) => stitched,
      made: (weave, stitched) => ({ ...weave, stitched }),
    },
  ],
  blocks: [
    {
      kind: 'hint',
      text: () => 'The rows of its profile, and a weave for each letter, are the text below.',
    },
  ],
  matrix: DRAWN,
  draft: DRAWN,
};

/** What the rule of a weave is said by. */
export function partsOfWeave<W extends WeaveSpec>(weave: W): readonly WeavePart<W>[] {
  return PARTS[weave.kind] as unknown as readonly WeavePart<W>[];
}

function wholeStep(text: string): number {
  return /^[-−]/.test(text) ? -whole(text.slice(1), 0) : whole(text, 0);
}
