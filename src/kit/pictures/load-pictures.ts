import { PIXELS_HEADER, pixelsHeader } from '../../contracts/picture.ts';
import { picturesUsed } from '../../core/design/compile-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { NO_PICTURES, type Picture, type Pictures } from '../../core/shape/picture.ts';
import { keepFile } from './keep-picture.ts';

/** Pictures that are kept ready for being painted again. */
const MOST = 12;

const ready = new Map<string, Promise<Picture | undefined>>();

/** The pictures that a design shows, as far as they can be had. */
export async function loadPictures(design: Design): Promise<Pictures> {
  const used = picturesUsed(design);
  if (used.length === 0) return NO_PICTURES;
  const loaded = await Promise.all(used.map(async ({ hash }) => [hash, await load(hash, design)] as const));
  return new Map(loaded.flatMap(([hash, picture]) => (picture === undefined ? [] : [[hash, picture]])));
}

function load(hash: string, design: Design): Promise<Picture | undefined> {
  const known = ready.get(hash);
  if (known !== undefined) return known;
  if (ready.size >= MOST) ready.delete(ready.keys().next().value!);
  const loading = pixelsOf(hash, design).catch(() => undefined);
  ready.set(hash, loading);
  // What could not be had is asked for again.
  void loading.then((picture) => picture ?? ready.delete(hash));
  return loading;
}

async function pixelsOf(hash: string, design: Design): Promise<Picture | undefined> {
  const path = `/api/pictures/kept/${hash}/pixels`;
  let answer = await fetch(path);
  const carried = design.pictures[hash];
  if (answer.status === 404 && carried !== undefined) {
    await keepFile(carried);
    answer = await fetch(path);
  }
  if (!answer.ok) return undefined;
  const { width, height } = pixelsHeader.parse(JSON.parse(answer.headers.get(PIXELS_HEADER) ?? 'null'));
  return { width, height, rgba: new Uint8Array(await answer.arrayBuffer()) };
}
