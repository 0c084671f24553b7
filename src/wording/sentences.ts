import type { Facts } from '../core/error.ts';
import type { ErrorCode } from '../core/error-facts.ts';
import type { Sentence, Sentences } from './sentence.ts';
import { BENDS } from './sentences/bends.ts';
import { COMMAND_LINE } from './sentences/command-line.ts';
import { FILES } from './sentences/files.ts';
import { LAYS } from './sentences/lays.ts';
import { LOOMS } from './sentences/looms.ts';
import { MOTIFS, spot } from './sentences/motifs.ts';
import { NOTATION } from './sentences/notation.ts';
import { NUMBERS } from './sentences/numbers.ts';
import { PICTURES } from './sentences/pictures.ts';
import { PLIES } from './sentences/plies.ts';
import { SCHEMA_SENTENCES } from './sentences/schema.ts';
import { SERVER_SENTENCES } from './sentences/server.ts';
import { SHELF_SENTENCES } from './sentences/shelves.ts';
import { STRAPS } from './sentences/straps.ts';
import { THREADS } from './sentences/threads.ts';
import { TILINGS } from './sentences/tilings.ts';
import { TRY_ON } from './sentences/try-on.ts';
import { WEAVE_FILES } from './sentences/weave-files.ts';

/** What may be wrong with a field beside others. */
const FIELDS: Readonly<Record<string, string>> = {
  'band/shade': 'no shade has that letter',
  'shade/twice': 'another shade has that letter',
  'colourway/twice': 'another colourway has that name',
  'try-on/cloth': 'no other design has that number',
  'try-on/within': 'a design that is tried on within another has neither scene nor pictures of its own',
};

const SENTENCES: Sentences = {
  ...NUMBERS,
  ...THREADS,
  ...TILINGS,
  ...LAYS,
  ...PLIES,
  ...BENDS,
  ...TRY_ON,
  ...STRAPS,
  ...MOTIFS,
  ...COMMAND_LINE,
  ...PICTURES,
  ...LOOMS,
  ...WEAVE_FILES,
  ...NOTATION,
  ...FILES,
  'motif-text/field': (facts) => `${spot(facts)} ${problemSentence(facts)}`.trim(),
  'design/field': (facts) => {
    const { path, problem } = facts;
    const where = `The design is not right${path === '' ? '' : ` at “${path}”`}`;
    const beside = FIELDS[problem!];
    if (beside !== undefined) return `${where}: ${beside}.`;
    return `${where}. ${problemSentence(facts)}`.trim();
  },
  ...SERVER_SENTENCES,
  ...SHELF_SENTENCES,
  'request/field': (facts) => `“${facts['path']}” is not right. ${problemSentence(facts)}`.trim(),
};

function problemSentence(facts: Readonly<Record<string, string>>): string {
  const problem = facts['problem'] ?? '';
  return sentenceOf(problem)?.(facts) ?? problem;
}

/** The sentence of a code, which may have come from anywhere. */
function sentenceOf(code: string): Sentence | undefined {
  if (Object.hasOwn(SENTENCES, code)) return SENTENCES[code as ErrorCode] as Sentence;
  return Object.hasOwn(SCHEMA_SENTENCES, code) ? SCHEMA_SENTENCES[code] : undefined;
}

/** What is wrong, in words that a designer understands. */
export function sentenceFor(code: string, facts: Facts): string {
  const words = Object.fromEntries(
    Object.entries(facts).map(([name, value]) => [
      name,
      Array.isArray(value) ? value.join(', ') : typeof value === 'number' ? grouped(value) : String(value),
    ]),
  );
  const sentence = sentenceOf(code);
  return sentence === undefined ? `Something is not right here (${code}).` : sentence(words);
}

/** Whether a code has a sentence of its own; a test asks for every code of the core. */
export function hasSentence(code: string): boolean {
  return Object.hasOwn(SENTENCES, code);
}

/** 100000 → "100 000", with spaces that do not break. */
export function grouped(value: number): string {
  const text = String(value);
  return /^\d{5,}$/.test(text) ? text.replace(/\B(?=(\d{3})+$)/g, '\u00a0') : text;
}
