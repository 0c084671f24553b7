import type { Sentences } from '../sentence.ts';

/** What a print house says when it refuses. */
const REFUSED: Readonly<Record<string, string>> = {
  substrate: 'The print house has no such cloth.',
  resolution: 'The print house refuses the file: it is coarser than 100 dpi. Choose a finer resolution.',
  width: 'The print house refuses the file: it is wider than its table. Choose a narrower sheet.',
  repeat:
    'The print house refuses the file: it does not repeat, and is shorter than the cloth. Send whole repeats.',
  file: 'The print house cannot read the file. Send it again.',
  colours: 'The print house refuses the file: its inks do not reach most of its colours on this cloth.',
};

/** What may be wrong with pictures, drawings and sheets. */
export const PICTURES = {
  'paint/drawn': ({ text, known }) => `“${text}” is no way of drawing cloth. There are: ${known}.`,
  'send/no-threads': () => 'Pixels a thread are for cloth with threads. Choose a resolution instead.',
  'picture/bands': ({ bands, most }) =>
    `That line makes ${bands} bands; at most ${most} fit. Choose larger blocks, merge more, or give them more room.`,
  'picture/carried': ({ hash }) =>
    `The picture ${hash}… in this file is not the one that its name says. Have the file sent again.`,
  'picture/heavy': ({ most }) =>
    `As a file that picture is larger than ${most} MB, whatever is done to it. Make it smaller first.`,
  'picture/missing': ({ name }) => `The picture “${name}” is not kept here. Choose it again.`,
  'picture/not-one': () => 'That is not a picture. A JPEG, a PNG or a WebP can be read.',
  'picture/kind': ({ kind, kinds }) =>
    `A picture of kind ${kind} is not read here. Kinds that are: ${kinds}.`,
  'picture/broken': ({ reason }) => `This picture is broken and cannot be read to its end: ${reason}.`,
  'picture/too-large': ({ width, height, most }) =>
    `That picture has ${width} × ${height} pixels; at most ${most} million are read. Make it smaller first.`,
  'svg/too-many': ({ boxes, most }) =>
    `As a drawing this repeat has over ${boxes} boxes (at most ${most}). Send it as a PNG.`,
  'svg/no-repeat': () => 'A design that does not repeat cannot be sent as a tile.',
  'paint/size': ({ width, height }) => `A tile of ${width} × ${height} pixels cannot be painted.`,
  'send/too-large': ({ width, height, most }) =>
    `That would be ${width} × ${height} pixels; a side may have at most ${most}. Choose a smaller size or resolution.`,
  'send/true-scale': ({ most }) =>
    `At true scale the repeats that come out whole together are more than ${Math.floor(Number(most) / 1e6)} million pixels. Choose a resolution at which one repeat is a whole number of pixels, a smaller sheet, or repeats that are rounded.`,
  'send/vanishes': ({ dpi }) =>
    `At ${dpi} dpi one repeat is smaller than a pixel. Choose a finer resolution.`,
  'send/size': ({ text }) =>
    `“${text}” is not a size. Write one such as 12inx12in, 300 x 200 mm, 1.5 m or 1200 x 800 px.`,
  'pdf/bleed': ({ bleed }) =>
    `A bleed of ${bleed} mm leaves nothing of the page. It is usually 3 mm; choose less, or a larger paper.`,
  'pdf/pages': ({ pages, most }) =>
    `That would be ${pages} pages; at most ${most} fit in a file. Choose a larger paper or a smaller size.`,
  'pdf/paper': ({ text, known }) =>
    `“${text}” is no paper. There are ${known}, each with “landscape” too, or write a size such as 12in x 18in.`,
  'pdf/small': ({ least }) =>
    `Pages that are put together are wider than ${least} mm each way. Choose a larger paper.`,
  'print/called-off': () => 'The order was called off.',
  'print/length': ({ text }) =>
    `“${text}” is no length of cloth. Write one from 1 mm to 1 km, such as 500 mm or 12 m.`,
  'print/no-answer': ({ address }) =>
    `No print house answers at ${address}. Is it running? “npx vetro print-house” starts one.`,
  'print/not-taken': ({ address }) =>
    `The print house at ${address} takes no such order, or knows it no more. Cloth is from 1 mm to 1 km long; order it again.`,
  'print/port': ({ port }) => `Port ${port} is taken. Name another with --port.`,
  'print/refused': ({ refusal }) => REFUSED[String(refusal)] ?? 'The print house refuses the order.',
  'print/table': ({ file }) =>
    `What the print house keeps in “${file}” is damaged, and so is the copy beside it. Move the folder away to begin anew.`,
  'print/substrate': ({ text, known }) => `“${text}” is no cloth that is printed here. There are: ${known}.`,
  'print/too-heavy': ({ megabytes }) =>
    `The print house takes no file as large as this (${megabytes} MB). Choose fewer dpi, or a smaller repeat.`,
  'print/too-large': ({ width, height, most }) =>
    `A strike-off of ${width} × ${height} pixels is too large; at most ${most} a side. Choose a smaller piece or a coarser resolution.`,
  'send/shrink': ({ text }) =>
    `“${text}” is not what cloth shrinks by. Write parts of its length in warp and weft, from 0 to 50 %, such as 4%, 2%.`,
  'send/quality': ({ text }) => `A quality is a whole number from 1 to 100, got “${text}”.`,
  'send/chroma': ({ text }) => `Colour detail is full or half, got “${text}”.`,
  'send/compression': ({ text }) => `A TIFF is packed by lzw or deflate, got “${text}”.`,
  'send/kind-side': ({ kind, width, height, most }) =>
    `A ${kind} holds at most ${most} pixels a side; this would have ${width} × ${height}. Choose PNG, or a coarser resolution.`,
  'send/tile-too-large': ({ kind, width, height }) =>
    `One repeat of ${width} × ${height} pixels is too large for a ${kind}. Choose a picture, which has no such limit, or a coarser resolution.`,
  'send/tiff-too-large': ({ gibibytes }) =>
    `This TIFF would have about ${gibibytes} GiB; a TIFF holds less than 4. Choose PNG, or a coarser resolution.`,
  'send/repeats': ({ text, most }) =>
    `“${text}” is no number of repeats. Write whole numbers such as 3 x 2, each from 1 to ${most}.`,
  'send/per-thread': ({ text, most }) =>
    `Pixels a thread must be a whole number from 1 to ${most}, got “${text}”.`,
} satisfies Partial<Sentences>;
