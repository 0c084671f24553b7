import type { Sentences } from '../sentence.ts';

/** What may be wrong with looms. */
export const LOOMS = {
  'loom/absent': ({ port }) =>
    `No loom answers at port ${port}. Is it switched on? Without one, “npx vetro loom” starts a stand-in; VETRO_LOOM_PORT names another port.`,
  'loom/moved': ({ pick }) =>
    `Another window has woven on: pick ${pick} is next. Look at the loom before you throw it.`,
  'loom/silent': () => 'The loom did not say that it raised the shafts. The pick counts as not thrown.',
  'loom/lost': () => 'The line to the loom was lost. The pick counts as not thrown; throw it again.',
  'loom/stopped': () => 'The loom is stopped. Start it again, then throw the pick.',
  'loom/jammed': () => 'The loom has jammed. Clear it, then throw the pick again.',
  'loom/shafts': ({ shaft }) => `The loom has no shaft ${shaft}; this draft needs it.`,
  'loom/words': () => 'What answers at that port does not speak as a loom does.',
  'loom/other': ({ wanted, raised }) =>
    `The loom raised shafts ${raised}, not ${wanted}. Look at it before the pick is thrown.`,
  'loom/port': ({ port }) => `Something else listens at port ${port} already. Choose another with --port.`,
} satisfies Partial<Sentences>;
