import type { Sentences } from '../sentence.ts';

/** Scenes that cloth is tried on, and the shapes that they are given. */
export const TRY_ON = {
  'path/crosses': ({ x, y }) =>
    `The path crosses itself ${round(x)} mm from its left, ${round(y)} mm from its top edge. Draw it so that no line crosses another.`,
  'path/empty': () => 'There is no path. Paste what stands in the “d” of an SVG’s path.',
  'path/flat': () => 'The path has no inside. Draw an outline that goes round something.',
  'path/long': ({ length, most }) =>
    `The path is ${length} characters long; at most ${most} are read. Simplify it where it was drawn.`,
  'path/open': () => 'A line of the path is open. Close every outline with Z.',
  'path/pieces': ({ pieces, most }) =>
    `The path has ${pieces} pieces; at most ${most} are taken. Simplify it where it was drawn.`,
  'path/text': ({ why }) => `This is not the data of an SVG path: ${why}.`,
  'scene/no-number': ({ scene, number }) => `The scene “${scene}” has no number “${number}”.`,
  'scene/number': ({ label, text, least, most }) =>
    `${label} lies between ${least} and ${most}; got “${text}”.`,
  'scene/part': ({ part, known }) => `The scene has no part “${part}”; it has ${known}.`,
  'scene/too-large': ({ width, height, most }) =>
    `The picture would be ${width} × ${height} pixels; at most ${most} a side are painted. Take fewer dpi or a smaller scene.`,
  'scene/unknown': ({ scene, known }) => `There is no scene “${scene}”. Those there are: ${known}.`,
  'try-on/bend': ({ text }) =>
    `A bend is written as “arc 30deg”, “waist -30% 50% 50%”, “ripple 200mm 20mm”, “folds 7 60mm”, “form 80 80” or “perspective 0,0 300,0 260,200 40,200”; got “${text}”.`,
  'try-on/from': ({ text, least, most }) =>
    `A scene is looked at from between ${Number(least) / 1000} and ${Number(most) / 1000} m away; got “${text}”.`,
  'try-on/part': ({ text }) => `Light and shade are between 0 and 100 %; got “${text}”.`,
  'try-on/person': ({ text, least, most }) =>
    `A person is between ${least} and ${most} mm tall; got “${text}”.`,
  'try-on/smaller': ({ text, most }) =>
    `A drawing’s scale is written as “1:10”, at most ${most} times smaller or larger; got “${text}”.`,
} satisfies Partial<Sentences>;

function round(value: unknown): string {
  return String(Number(Number(value).toFixed(1)));
}
