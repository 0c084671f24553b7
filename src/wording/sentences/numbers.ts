import type { Sentences } from '../sentence.ts';

/** What may be wrong with numbers, lengths, widths, slopes and colours. */
export const NUMBERS = {
  'number/surd': ({ text }) => `“${text}” is not a sum of roots. Write one such as 1 + √2 or 3/2 − √3/6.`,
  'number/empty': () => 'Type a number.',
  'number/too-long': ({ most }) => `That number is too long: at most ${most} characters.`,
  'number/syntax': ({ text }) => `“${text}” is not a number. Write one such as 24, 0.35, 3/4 or 2*12.`,
  'number/zero-divisor': ({ text }) => `${text} divides by zero.`,
  'length/negative': ({ text }) => `That must not be below zero, got “${text}”.`,
  'length/not-positive': ({ text }) => `A length must be above zero, got “${text}”.`,
  'density/range': ({ text, most }) =>
    `A density must be above 0 and at most ${most} threads per inch or cm, got “${text}”.`,
  'resolution/range': ({ text, most }) =>
    `A resolution must be above 0 and at most ${most} pixels per inch, got “${text}”.`,
  'colour/hex': ({ text }) => `“${text}” is not a colour. Write six digits such as #24402f.`,
  'width/not-positive': ({ text }) => `A width must be more than nothing, got “${text}”.`,
  'width/too-wide': ({ text, most }) => `“${text}” is wider than ${most} mm, the widest band here.`,
  'slope/none': () => 'A slope of 0/0 goes nowhere. Write its rise over its run, such as 7/10.',
  'slope/text': ({ text }) =>
    `“${text}” is not a slope. Write down, across, or its rise over its run, such as 7/10.`,
  'slope/range': ({ rise, run, most }) =>
    `A slope of ${rise}/${run} is too fine: rise and run go up to ${most}.`,
  'slope/degrees': ({ text, most }) => `An angle goes from −${most}° to ${most}°, got “${text}”.`,
  'slope/no-offer': ({ text }) =>
    `No slope near ${text}° repeats within 10 m with these bands. Make them narrower, or choose lines that run down or across.`,
  'number/not-whole': ({ text, least, most }) =>
    `This must be a whole number from ${least} to ${most}, got ${text}.`,
} satisfies Partial<Sentences>;
