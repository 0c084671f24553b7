import { useState } from 'react';
import type { PaintPicture } from '../core/design/picture-schema.ts';
import { keepPicture } from '../kit/pictures/keep-picture.ts';
import { RequestError } from '../kit/request.ts';
import { PICTURE_NOTE_WORDS } from '../wording/picture-words.ts';

/** What is known of a picture that was just chosen. */
interface Keeping {
  readonly isBusy: boolean;
  /** Why it is not kept; empty when nothing is wrong. */
  readonly problem: string;
  /** What was done to it. */
  readonly notes: readonly string[];
}

const IDLE: Keeping = { isBusy: false, problem: '', notes: [] };

/** Has pictures kept, and hands them on when they are. */
export function useKeeper(onKept: (picture: Omit<PaintPicture, 'fit'>) => void) {
  const [state, setState] = useState(IDLE);
  const keep = async (name: string, bytesOf: () => Promise<Blob>) => {
    setState({ ...IDLE, isBusy: true });
    try {
      const { notes, ...about } = await keepPicture(await bytesOf());
      onKept({ ...about, name: plainName(name) });
      setState({ ...IDLE, notes: notes.map((note) => PICTURE_NOTE_WORDS[note]) });
    } catch (error) {
      const sentence =
        error instanceof RequestError ? error.message : 'The picture could not be read. Try another.';
      setState({ ...IDLE, problem: sentence });
    }
  };
  const keepFile = (file: File | undefined) => {
    if (file !== undefined) void keep(file.name, () => Promise.resolve(file));
  };
  return { ...state, keep, keepFile };
}

/** "IMG_0412.jpeg" → "IMG 0412". */
function plainName(fileName: string): string {
  const words = fileName
    .replace(/\.[a-z]+$/i, '')
    .replace(/_+/g, ' ')
    .trim();
  return [...(words === '' ? 'Picture' : words)].slice(0, 120).join('');
}
