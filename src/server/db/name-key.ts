/** Digits that numbers in names are made long to. */
const DIGITS = 12;

/** A name as names are put in order: "Rug 2" before "Rug 10", "Écru" beside "Ecru". */
export function nameKey(name: string): string {
  return name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\d+/g, (digits) => digits.padStart(DIGITS, '0'));
}
