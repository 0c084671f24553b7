import { writeFileSync } from 'node:fs';
import type { PrintAnswer, PrintOrder } from '../contracts/print-house.ts';
import { compile } from '../core/design/compile-design.ts';
import type { Design } from '../core/design/design-schema.ts';
import { pixelOf } from '../core/design/lay/lay-schema.ts';
import { CoreError } from '../core/error.ts';
import { parseExact } from '../core/exact/parse-exact.ts';
import { toNumber } from '../core/exact/rational.ts';
import { holdsWhole, orderPicture } from '../core/formats/picture-order.ts';
import { parseLength } from '../core/units/length.ts';
import { parseResolution } from '../core/units/resolution.ts';
import { type House, orderPrint } from '../server/print-house/order-print.ts';
import { makeFile } from '../server/sending/make-file.ts';
import { picturesOf } from './pictures-of.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT, tell } from './run.ts';

export interface OrderOptions {
  readonly output?: string;
  readonly substrate: string;
  readonly length: string;
  readonly dpi: string;
  readonly mark: string;
  readonly house: string;
  readonly patience: string;
}

/** `vetro order`: has one repeat printed along some cloth, and follows that to its end; for a strike-off, its picture. */
export async function orderCommand(path: string, options: OrderOptions): Promise<number> {
  const design = readDesignFile(path);
  const pictures = await picturesOf(design);
  const picture = orderPicture(compile(design, pictures), { dpi: parseResolution(options.dpi) }, undefined);
  const order: PrintOrder = {
    name: design.name,
    kind: options.output === undefined ? 'run' : 'strike-off',
    substrate: options.substrate,
    length: lengthOf(design, options.length),
    dpi: toNumber(parseResolution(options.dpi)),
    width: picture.width,
    height: picture.height,
    repeats: holdsWhole(picture),
  };
  const query = new URLSearchParams({ dpi: options.dpi });
  const { pieces } = makeFile({ design, file: 'tile.png', query, pictures });
  const bytes: Uint8Array[] = [];
  for await (const piece of pieces) bytes.push(piece as Uint8Array);
  const printing = { order, file: Uint8Array.from(Buffer.concat(bytes)), mark: options.mark };
  const strikeOff = await orderPrint(printing, house(options), teller());
  if (strikeOff !== undefined && options.output !== undefined) write(options.output, strikeOff);
  return EXIT.fine;
}

/** @throws CoreError as `parseExact` */
function house({ house: address, patience }: OrderOptions): House {
  return { address, patience: 1000 * toNumber(parseExact(patience)) };
}

function lengthOf(design: Design, text: string): number {
  return toNumber(parseLength(text, 'mm', pixelOf(design.resolution)));
}

const WORDS: Readonly<Record<PrintAnswer['state'], string>> = {
  taken: 'taken',
  checked: 'checked, waits its turn',
  'on-the-table': 'on the table',
  printing: 'printing',
  done: 'done',
  refused: 'refused',
};

const TROUBLES: Readonly<Record<PrintAnswer['trouble'], string>> = {
  '': '',
  jam: ': it stands still, the cloth is jammed',
  ink: ': it stands still, out of ink',
};

/** Says on the error output how the order stands, each thing once. */
function teller(): (answer: PrintAnswer) => void {
  let last = '';
  return ({ state, printed, length, trouble }) => {
    const much = state === 'printing' ? ` at ${Math.floor(printed)} of ${Math.round(length)} mm` : '';
    const tenths = Math.floor((10 * printed) / length);
    const name = `${state} ${trouble} ${tenths}`;
    if (name !== last) tell(`${WORDS[state]}${much}${TROUBLES[trouble]}`);
    last = name;
  };
}

function write(path: string, bytes: Uint8Array): void {
  try {
    writeFileSync(path, bytes);
  } catch {
    throw new CoreError('file/unwritable', { name: path });
  }
}
