import type { Sentences } from '../sentence.ts';

/** What may be wrong with motifs and their pieces. Lengths are in millimetres. */
export const MOTIFS = {
  'figure/band': ({ band, most }) =>
    `A ring’s band must be below its radius of ${short(most)} mm, got ${short(band)} mm.`,
  'figure/bend': ({ radius, most }) =>
    `A corner of that line can be rounded by at most ${short(most)} mm, got ${short(radius)} mm.`,
  'figure/capsule': ({ width, most }) =>
    `A bar with round ends is at most as wide as it is long: ${short(most)} mm, got ${short(width)} mm.`,
  'figure/inner': ({ inner, most }) =>
    `The inner size must be below the outer one of ${short(most)} mm, got ${short(inner)} mm.`,
  'figure/letters': ({ letters }) => `The font has no “${letters}”. Take other letters, or another font.`,
  'figure/no-letters': () => 'Type at least one letter.',
  'figure/points': ({ points, least }) => `Such a line needs at least ${least} points, got ${points}.`,
  'figure/radius': ({ radius, most }) =>
    `A corner’s radius is at most half of the side, ${short(most)} mm here, got ${short(radius)} mm.`,
  'figure/same-point': ({ point }) =>
    `Point ${point} of the line lies where the next one does. Move one of them, or take it away.`,
  'figure/sector': ({ turn }) =>
    `A sector goes counterclockwise by more than 0° and at most 360°, got ${short(turn)}°.`,
  'figure/star': ({ points, skip }) =>
    `The sides of a star of ${points} points go on by fewer than half of them, got ${skip}.`,
  'motif-text/bare': (facts) => `${spot(facts)} behind “${facts.text}” stand = and its value.`,
  'motif-text/key': (facts) => `${spot(facts)} “${facts.text}” is not known here; known are ${facts.known}.`,
  'motif-text/long': ({ length, most }) => `The text has ${length} characters; at most ${most} are read.`,
  'motif-text/part': (facts) =>
    `${spot(facts)} behind a bar stands one of ${facts.known}; got “${facts.text}”.`,
  'motif-text/shape': (facts) => `${spot(facts)} “${facts.text}” is no shape; known are ${facts.known}.`,
  'motif-text/sign': (facts) => `${spot(facts)} “${facts.text}” cannot stand here. Put blanks into quotes.`,
  'motif-text/value': (facts) => `${spot(facts)} “${facts.text}” is no value for this.`,
  'motif/box': ({ text }) => `A box is so many steps wide and high, such as 8x4; got “${text}”.`,
  'motif/circular': ({ piece }) =>
    `${piece} is made of itself. Take it out of the pieces that it is made with.`,
  'motif/copies': ({ copies, most }) => `A piece has at most ${most} copies, got ${copies}.`,
  'motif/degrees': ({ text, most }) => `An angle is a number of degrees, at most ${most}, got “${text}”.`,
  'motif/far': ({ text, most }) => `A length is at most ${most} m, got “${text}”.`,
  'motif/missing': ({ piece, other }) => `${piece} is made with piece ${other}, which is not there.`,
  'motif/radii': ({ text }) =>
    `Give one radius, or four between commas from the upper left clockwise; got “${text}”.`,
  'motif/picture': ({ piece }) =>
    `${piece} goes on into the next box, so it has no edges that a picture fits into. Give it a shade, or let it end.`,
  'motif/reach': ({ piece, repeats, most }) =>
    `${piece} reaches over ${repeats} repeats; at most ${most} are painted. Make it smaller or less soft, or the box larger.`,
  'motif/share': ({ text }) => `A share is above 0 and at most all, such as 40%; got “${text}”.`,
  'motif/too-large': ({ width, height, most }) =>
    `One repeat would be ${width} × ${height} mm; at most ${most} m is made. Make the box smaller.`,
  'motif/too-many': ({ figures, most }) =>
    `One repeat would hold ${figures} shapes; at most ${most} are painted. Make fewer copies.`,
  'motif/vanished': ({ piece }) => `Nothing is left of ${piece}. Take less away from it.`,
} satisfies Partial<Sentences>;

/** Where in a text something stands. */
export function spot({ line, column }: { readonly line: string; readonly column: string }): string {
  return `Line ${line}, character ${column}:`;
}

/** A number of a few places. */
function short(value: string): string {
  return String(Number(Number(value).toFixed(3)));
}
