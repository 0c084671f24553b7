import { CoreError } from '../../error.ts';
import { formatTwill, parseTwill, twillName } from '../weave.ts';
import { buildWeave } from './build-weave.ts';
import { satinSteps } from './satin-steps.ts';
import type { SimpleWeave, WeaveSpec } from './weave-spec.ts';

/** One way of writing a weave: the form it has, and the spec that it says. */
interface Notation {
  readonly form: RegExp;
  readonly specOf: (match: RegExpExecArray) => SimpleWeave;
}

function line(text: string): number[] {
  return text.split('/').map(Number);
}

/** A satin by its ends alone takes the smallest step that there is; where there is none, building it says so. */
function usualSatin(name: string, ends: number): SimpleWeave {
  const face = name.toLowerCase() === 'satin' ? 'warp' : 'weft';
  return { kind: 'satin', ends, step: satinSteps(ends)[0] ?? 1, face };
}

/** The words "weave" and "twill" say nothing more where the line is said: "2/2 twill Z", "plain weave". */
function withoutFiller(text: string): string {
  const plain = text.replace(/\s+weave$/i, '');
  return /^(twill\b|.*\/.*\btwill\b)/i.test(plain) ? plain.replace(/\btwill\b/i, '').trim() : plain;
}

const LINE = String.raw`\d{1,3}(?:\s*/\s*\d{1,3})+`;

const NOTATIONS: readonly Notation[] = [
  {
    form: new RegExp(`^(${LINE})\\s*(z|s)?(?:\\s+step\\s+(\\d{1,3}))?$`, 'i'),
    specOf: ([, text, hand, step]) => {
      const parts = line(text!);
      if (parts.length === 2 && step === undefined)
        return { kind: 'twill', ...parseTwill(`${text}${hand ?? ''}`) };
      return {
        kind: 'line',
        line: parts,
        step: Number(step ?? 1),
        hand: hand?.toUpperCase() === 'S' ? 'S' : 'Z',
      };
    },
  },
  {
    form: new RegExp(`^steps\\s+(${LINE})\\s*:\\s*(-?\\d{1,3}(?:[\\s,]+-?\\d{1,3})*)$`, 'i'),
    specOf: ([, text, steps]) => ({
      kind: 'steps',
      line: line(text!),
      steps: steps!.split(/[\s,]+/).map(Number),
    }),
  },
  {
    form: /^(warp|weft)\s+rib\s+(\d{1,2})\/(\d{1,2})$/i,
    specOf: ([, face, a, b]) => ({
      kind: 'rib',
      face: face!.toLowerCase() === 'weft' ? 'weft' : 'warp',
      a: Number(a),
      b: Number(b),
    }),
  },
  {
    form: /^hopsack\s+(\d{1,2})(?:\s*[/x]\s*(\d{1,2}))?$/i,
    specOf: ([, ends, picks]) => ({ kind: 'hopsack', ends: Number(ends), picks: Number(picks ?? ends) }),
  },
  {
    form: new RegExp(`^(herringbone|pointed)\\s+(${LINE})\\s+(?:run\\s+)?(\\d{1,3})(\\s+kept)?$`, 'i'),
    specOf: ([, name, text, run, kept]) => ({
      kind: 'turned',
      line: line(text!),
      run: Number(run),
      turn: name!.toLowerCase() === 'pointed' ? 'point' : kept === undefined ? 'complemented' : 'kept',
    }),
  },
  {
    form: /^(satin|sateen)\s+(\d{1,3})$/i,
    specOf: ([, name, ends]) => usualSatin(name!, Number(ends)),
  },
  {
    form: /^(\d{1,3})[\s-]*(?:ends?|shafts?)[\s-]+(satin|sateen)$/i,
    specOf: ([, ends, name]) => usualSatin(name!, Number(ends)),
  },
  {
    form: /^(satin|sateen)\s+(\d{1,3})\s*\/\s*(\d{1,3})$/i,
    specOf: ([, name, ends, step]) => ({
      kind: 'satin',
      ends: Number(ends),
      step: Number(step),
      face: name!.toLowerCase() === 'satin' ? 'warp' : 'weft',
    }),
  },
  { form: /^honeycomb\s+(\d{1,2})$/i, specOf: ([, size]) => ({ kind: 'honeycomb', size: Number(size) }) },
  {
    form: /^crepe\s+(\d{1,2})(?:\s+seed\s+(\d{1,9}))?(?:\s+floats\s+(\d{1,2}))?$/i,
    specOf: ([, size, seed, most]) => ({
      kind: 'crepe',
      size: Number(size),
      seed: Number(seed ?? 0),
      most: Number(most ?? 3),
    }),
  },
  {
    form: /^shaded\s+(\d{1,3})\s*\/\s*(\d{1,3})\s+in\s+(\d{1,2})$/i,
    specOf: ([, ends, step, tones]) => ({
      kind: 'shaded',
      ends: Number(ends),
      step: Number(step),
      tones: Number(tones),
    }),
  },
  {
    form: /^double(\s+stitched)?$/i,
    specOf: ([, stitched]) => ({ kind: 'double', stitched: stitched !== undefined }),
  },
  { form: /^rows\s+([#.10\s|]+)$/i, specOf: ([, rows]) => ({ kind: 'matrix', rows: rowsOf(rows!) }) },
  {
    form: /^draft\s+([\d\s]+);([\d\s,]+);([\d\s]+)$/i,
    specOf: ([, threading, tieup, treadling]) => ({
      kind: 'draft',
      threading: numbers(threading!),
      tieup: tieup!.split(',').map(numbers),
      treadling: numbers(treadling!),
    }),
  },
];

function rowsOf(text: string): string[] {
  return text
    .trim()
    .split(/[\s|]+/)
    .map((row) => row.replaceAll('1', '#').replaceAll('0', '.'));
}

function numbers(text: string): number[] {
  return text.trim() === '' ? [] : text.trim().split(/\s+/).map(Number);
}

/** "blocks AAB ABB; A = satin 5/2; B = sateen 5/2": a profile from the top, then what each letter stands for. */
function parseBlocks(text: string): WeaveSpec | undefined {
  const [profile, ...weaves] = text.split(';');
  const rows = /^blocks\s+([A-Z\s|]+)$/i.exec(profile!.trim());
  if (rows === null || weaves.length === 0) return undefined;
  return {
    kind: 'blocks',
    profile: rows[1]!
      .trim()
      .toUpperCase()
      .split(/[\s|]+/),
    weaves: weaves.map((each) => {
      const [, letter, words] = /^\s*([A-Z])\s*=\s*(.+)$/i.exec(each) ?? [];
      const weave = letter === undefined ? undefined : parseWeave(words!);
      if (weave === undefined || weave.kind === 'blocks')
        throw new CoreError('weave/text', { text: each.trim().slice(0, 80) });
      return { letter: letter!.toUpperCase(), weave };
    }),
  };
}

/** Longest text of one weave. */
const MAX_TEXT = 600_000;

/**
 * Reads a weave: "plain", "2/2 Z", "2/2 twill S", "3/1/1/2 S step 2", "steps 3/3: 1 1 2", "warp rib 2/2", "hopsack 2", "herringbone
 * 2/2 8", "herringbone 2/1 6 kept", "pointed 2/2 8", "satin 8/3", "8-end satin", "sateen 5/2", "honeycomb 6", "crepe 12 seed 3 floats 3", "shaded 8/3 in 5",
 * "double", "double stitched", "blocks AB BA; A = satin 5/2; B = sateen 5/2", "rows ##.. .##. ..## #..#", "draft threading; tie-up, a treadle each; treadling".
 *
 * @throws CoreError "weave/text" {text}, or as `buildWeave`
 */
export function parseWeave(text: string): WeaveSpec {
  const plain = withoutFiller(text.trim().slice(0, MAX_TEXT));
  if (/^plain$/i.test(plain)) return { kind: 'twill', over: 1, under: 1, hand: 'Z' };
  const inBlocks = parseBlocks(plain);
  if (inBlocks !== undefined) {
    buildWeave(inBlocks);
    return inBlocks;
  }
  for (const { form, specOf } of NOTATIONS) {
    const match = form.exec(plain);
    if (match === null) continue;
    const spec = specOf(match);
    buildWeave(spec);
    return spec;
  }
  throw new CoreError('weave/text', { text: plain.slice(0, 80) });
}

/** What `parseWeave` reads. */
export function formatWeave(spec: WeaveSpec): string {
  switch (spec.kind) {
    case 'twill':
      return formatTwill(spec);
    case 'line':
      return `${spec.line.join('/')}${spec.hand}${spec.step === 1 && spec.line.length > 2 ? '' : ` step ${spec.step}`}`;
    case 'steps':
      return `steps ${spec.line.join('/')}: ${spec.steps.join(' ')}`;
    case 'rib':
      return `${spec.face} rib ${spec.a}/${spec.b}`;
    case 'hopsack':
      return `hopsack ${spec.ends}${spec.picks === spec.ends ? '' : `/${spec.picks}`}`;
    case 'turned':
      return `${spec.turn === 'point' ? 'pointed' : 'herringbone'} ${spec.line.join('/')} ${spec.run}${spec.turn === 'kept' ? ' kept' : ''}`;
    case 'satin':
      return `${spec.face === 'warp' ? 'satin' : 'sateen'} ${spec.ends}/${spec.step}`;
    case 'honeycomb':
      return `honeycomb ${spec.size}`;
    case 'crepe':
      return `crepe ${spec.size} seed ${spec.seed} floats ${spec.most}`;
    case 'shaded':
      return `shaded ${spec.ends}/${spec.step} in ${spec.tones}`;
    case 'double':
      return spec.stitched ? 'double stitched' : 'double';
    case 'matrix':
      return `rows ${spec.rows.join(' ')}`;
    case 'draft':
      return `draft ${spec.threading.join(' ')}; ${spec.tieup.map((shafts) => shafts.join(' ')).join(', ')}; ${spec.treadling.join(' ')}`;
    case 'blocks':
      return `blocks ${spec.profile.join(' ')}; ${spec.weaves.map(({ letter, weave }) => `${letter} = ${formatWeave(weave)}`).join('; ')}`;
    default:
      return spec satisfies never;
  }
}

/** A weave in a few words: "2/2 twill Z", "8-end satin, step 3", "drawn, 8 × 8". */
export function weaveName(spec: WeaveSpec): string {
  switch (spec.kind) {
    case 'twill':
      return twillName(spec);
    case 'line':
      return `${spec.line.join('/')} twill ${spec.hand}${spec.step === 1 ? '' : `, step ${spec.step}`}`;
    case 'satin':
      return `${spec.ends}-end ${spec.face === 'warp' ? 'satin' : 'sateen'}, step ${spec.step}`;
    case 'matrix':
      return `drawn, ${spec.rows[0]!.length} × ${spec.rows.length}`;
    case 'draft':
      return `drafted, ${spec.threading.length} × ${spec.treadling.length}`;
    case 'double':
      return spec.stitched ? 'double plain, stitched' : 'double plain';
    case 'blocks':
      return `in ${spec.profile[0]!.length} × ${spec.profile.length} blocks`;
    default:
      return formatWeave(spec);
  }
}
