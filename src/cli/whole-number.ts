import { CoreError } from '../core/error.ts';

/** Reads an option that is a whole number. @throws CoreError "number/not-whole" {text, least, most} */
export function wholeNumber(text: string, least: number, most: number): number {
  const value = /^\d{1,6}$/.test(text) ? Number(text) : Number.NaN;
  if (!(value >= least && value <= most)) throw new CoreError('number/not-whole', { text, least, most });
  return value;
}
