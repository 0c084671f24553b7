import { savedAnswer } from '../../contracts/design.ts';
import { type Design, MAX_NAME, type PliesDesign } from '../../core/design/design-schema.ts';
import { newPlaid } from '../../core/design/new-design.ts';
import { isKind } from '../../core/design/of-kind.ts';
import { asPlies, layOver, namedTogether, withPly } from '../../core/design/plies/lay-over.ts';
import type { DesignContent } from '../../core/design/plies/plies-schema.ts';
import { readPlies } from '../../core/design/plies/read-plies.ts';
import { weaveTexture } from '../../core/design/plies/weave-texture.ts';
import { CoreError } from '../../core/error.ts';
import { parseWeave, weaveName } from '../../core/thread/weaves/weave-text.ts';
import { openDesign } from '../../kit/from-shelf/open-design.ts';
import { postDesign } from '../../kit/post-design.ts';
import { request } from '../../kit/request.ts';
import type { Attempt } from '../../wording/attempt.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { type ClothApi, openClothWorker } from '../../workers/open-worker.ts';
import { saveNow } from '../state/autosave.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { keepTexture, type LastLook, lastLook, lastTexture, type Over } from './last-looks.ts';
import { choosePly } from './plies-store.ts';

/** What is laid over, as it was typed and chosen. */
export interface OverWish {
  readonly over: Over;
  readonly look: LastLook;
  /** Of a design of the shelf. */
  readonly id: string | undefined;
  readonly weave: string;
  readonly shade: string;
  readonly fade: readonly string[];
}

/** What is said of a weave that is but light and shade. */
const TEXTURE = ', texture';

/** A weave as a design: as light and shade alone, or in the first two shades of a card. @throws CoreError of its text */
export function weaveOver(text: string, over: 'texture' | 'weave', { shades }: Design): Design {
  const weave = parseWeave(text);
  const name = weaveName(weave).slice(0, MAX_NAME - TEXTURE.length);
  if (over === 'texture') return weaveTexture(weave, `${name}${TEXTURE}`);
  const [warp, weft] = [shades[0]!, shades[1] ?? { key: 'W', name: 'White', hex: '#ffffff' }];
  const one = ({ key }: { key: string }) => ({
    bands: [{ shade: key, count: 1 }],
    mirror: 'none' as const,
  });
  return newPlaid({ name, shades: [warp, weft], warp: one(warp), weft: one(weft), weave });
}

/**
 * Lays something over the design on the bench. More over plies is an edit of them; of anything else it makes a new design
 * beside it and opens that.
 * @returns why it cannot be, in words
 */
export async function layItOver(design: Design, wish: OverWish): Promise<string | undefined> {
  try {
    const made = readPlies(await laidOver(design, wish));
    const top = made.construction.plies.length - 1;
    if (isKind('plies', design)) {
      dispatch({ kind: 'edit', edit: () => made });
      choosePly(top);
      return undefined;
    }
    await saveNow();
    const { id } = savedAnswer.parse(await postDesign(made));
    const { range } = benchState();
    if (range !== '') await request('POST', `/api/designs/${id}/move`, { range });
    window.location.assign(`/bench/${id}`);
    return undefined;
  } catch (error) {
    return errorSentence(error) ?? (error as Error).message;
  }
}

/** Lays the texture over a design that was laid over one last, as it was blended then. @returns why it cannot be, in words */
export function layTextureOver(design: Design): Promise<string | undefined> {
  const { key: shade } = design.shades[0]!;
  const wish = { over: 'texture', look: lastLook('texture'), weave: lastTexture(), id: undefined } as const;
  return layItOver(design, { ...wish, shade, fade: [shade, shade] });
}

async function laidOver(design: Design, wish: OverWish): Promise<PliesDesign> {
  const { id, version } = benchState();
  const below = asPlies(design, { id, version });
  const { over, look, shade, fade } = wish;
  const isNew = !isKind('plies', design);
  const named = (plies: PliesDesign, name: string): PliesDesign =>
    isNew ? { ...plies, name: namedTogether(design.name, name), number: '' } : plies;
  switch (over) {
    case 'shelf': {
      if (!isNew && wish.id === id) throw new CoreError('ply/itself', {});
      const opened = await openDesign(wish.id!);
      const from: DesignContent['from'] = { id: wish.id!, version: opened.version };
      return named(layOver(below, opened.design, from, look), opened.design.name);
    }
    case 'texture':
    case 'weave': {
      const woven = weaveOver(wish.weave, over, design);
      if (over === 'texture') keepTexture(wish.weave);
      return named(await closing(below, woven, look), woven.name);
    }
    case 'shade':
      return named(withPly(below, { kind: 'shade', shade }, look), nameOf(design, shade));
    case 'fade':
      return named(withPly(below, { kind: 'fade', shades: [...fade], angle: '90' }, look), 'a fade');
    default:
      return over satisfies never;
  }
}

/**
 * A weave over plies, so many to one of the lowest as is near its own size; worked out in a worker.
 * @throws Error with the sentence that says why they never come together
 */
async function closing(below: PliesDesign, woven: Design, look: LastLook): Promise<PliesDesign> {
  const worker = openClothWorker();
  const ask = async <T>(work: (api: ClothApi) => Promise<Attempt<T>>): Promise<T> => {
    const answer = await worker.ask(work);
    if ('problem' in answer) throw new Error(answer.problem);
    return answer.value;
  };
  try {
    const scale = await ask(async (api) => api.wholeToLowest(below, woven));
    const laid = layOver(below, woven, null, { ...look, scale });
    await ask(async (api) => api.plies(laid));
    return laid;
  } finally {
    worker.close();
  }
}

function nameOf({ shades }: Design, key: string): string {
  return shades.find((shade) => shade.key === key)?.name ?? key;
}
