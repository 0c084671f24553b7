import type { Sentences } from '../sentence.ts';

/** Straps that go over and under each other. */
export const STRAPS = {
  'knot/break': ({ x, y }) =>
    `At ${x},${y} no strands cross: count half cells from the lower left, one number odd and one even, inside the panel.`,
  'knot/breaks': ({ text }) => `Broken crossings are written as “3,2| 4,5-”; got “${text}”.`,
  'knot/closed': ({ column, row }) =>
    `Walls close the cell in column ${column}, row ${row} all round. Take one of them away.`,
  'knot/size': ({ columns, rows, most }) =>
    `A knot panel has 1 to ${most} columns and rows, and two cells or more; got ${columns} × ${rows}.`,
  'star/angle': ({ text }) => `Star lines leave a side at more than 0° and less than 90°; got “${text}”.`,
  'star/apart': ({ text }) => `Lines start apart by a part of the side from 0 to 9/10; got “${text}”.`,
  'star/gap': () => 'The gap is larger than the straps are wide. Make the gap smaller, or the straps wider.',
  'star/narrow': () =>
    'The lines along the straps are wider than the straps themselves. Make them narrower, or the straps wider.',
  'straps/crossings': ({ most }) =>
    `One box would hold more than ${most} crossings. Make it smaller, or take fewer straps.`,
  'straps/families': () =>
    'A weave needs straps of two families that run through the cloth: those of one may not cross each other. Let them go over and under in turn instead.',
  'straps/gap': ({ piece }) =>
    `The gap of ${piece} is larger than the strap is wide. Make the gap smaller, or the strap wider.`,
  'straps/links': ({ links, most }) =>
    `The straps come to ${links} straight pieces; at most ${most} are followed. Take fewer, or smaller ones.`,
  'straps/made': ({ piece, making }) =>
    `${piece} is a strap: it can be copied and mirrored, but not ${making}. Take that away, or let it be no strap.`,
  'straps/narrow': ({ piece }) =>
    `The lines along ${piece} are wider than the strap itself. Make them narrower, or the strap wider.`,
  'straps/outline': ({ piece }) =>
    `${piece} is a strap: lines along both edges take the place of its outline. Take the outline away.`,
  'straps/rank': () =>
    'Straps that cross are of one family, so none of them lies over the other. Let them go over and under in turn, or make pieces of their own of them.',
} satisfies Partial<Sentences>;
