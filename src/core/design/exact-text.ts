import { z } from 'zod';
import { MAX_NUMBER_TEXT } from '../exact/parse-exact.ts';

/** Text that resolves to an exact number by the given reader; stored as it was typed. */
export function exactText(read: (text: string) => unknown) {
  return z
    .string()
    .max(MAX_NUMBER_TEXT)
    .refine((text) => {
      try {
        read(text);
        return true;
      } catch {
        return false;
      }
    });
}
