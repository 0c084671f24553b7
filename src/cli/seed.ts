import { CoreError } from '../core/error.ts';

/** @throws CoreError "start/seed" {text} */
export function parseSeed(text: string): number {
  if (!/^\d{1,9}$/.test(text)) throw new CoreError('start/seed', { text });
  return Number(text);
}
