import { MAX_PICTURE_SIDE } from '../core/design/picture-schema.ts';

/** What was done to a picture, in sentences. */
export const PICTURE_NOTE_WORDS = {
  turned: 'It was turned upright, as the camera noted.',
  'first-of-many': 'It moves; its first picture is taken.',
  'laid-on-white': 'What is transparent in it lies on white.',
  shrunk: `It was made smaller: at most ${MAX_PICTURE_SIDE} pixels a side are kept.`,
} as const;
