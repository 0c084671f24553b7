import { writeFileSync } from 'node:fs';
import { type PrintAnswer, standingOf } from '../../contracts/print-house.ts';
import { CoreError } from '../../core/error.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { type House, orderPrint } from '../../server/print-house/order-print.ts';
import { printOrderOf, tileQuery } from '../../server/print-house/print-wish.ts';
import { makeFile } from '../../server/sending/make-file.ts';
import { standsWords } from '../../wording/print-words.ts';
import { picturesOf } from '../pictures-of.ts';
import { readDesignFile } from '../read-design-file.ts';
import { EXIT, tell } from '../run.ts';

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
  const wish = {
    design,
    kind: options.output === undefined ? 'run' : 'strike-off',
    query: new URLSearchParams({ substrate: options.substrate, length: options.length, dpi: options.dpi }),
  } as const;
  const order = printOrderOf(wish, pictures);
  const { pieces } = makeFile({ design, file: 'tile.png', query: tileQuery(wish), pictures });
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

/** Says on the error output how the order stands, each thing once. */
function teller(): (answer: PrintAnswer) => void {
  let last = '';
  return (answer) => {
    const { state, printed, length, trouble } = answer;
    const tenths = Math.floor((10 * printed) / length);
    const name = `${state} ${trouble} ${tenths}`;
    if (name !== last) tell(standsWords({ stands: standingOf(answer), made: printed, of: length }) || state);
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
