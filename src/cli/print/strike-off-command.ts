import { compile } from '../../core/design/compile-design.ts';
import { pitchOf } from '../../core/design/lay/lay-schema.ts';
import { orderPicture, pixelSize } from '../../core/formats/picture-order.ts';
import { strikeOffPng } from '../../core/formats/png/strike-off-png.ts';
import { parseSheet } from '../../core/formats/sheet.ts';
import { type ShadePrint, shadePrints } from '../../core/print/shade-prints.ts';
import { leftOf, substrateOf } from '../../core/print/substrate.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { nodeCompressor } from '../../server/sending/node-compressor.ts';
import { writeStream } from '../../server/sending/write-stream.ts';
import { picturesOf } from '../pictures-of.ts';
import { readDesignFile } from '../read-design-file.ts';
import { EXIT } from '../run.ts';

export interface StrikeOffOptions {
  readonly output: string;
  readonly substrate: string;
  readonly size: string;
  readonly dpi: string;
  readonly washed?: boolean;
}

/** `vetro strike-off`: a picture of the print as it would come out on a cloth, and what becomes of each shade. */
export async function strikeOffCommand(path: string, options: StrikeOffOptions): Promise<number> {
  const design = readDesignFile(path);
  const substrate = substrateOf(options.substrate);
  const unit = compile(design, await picturesOf(design));
  const scale = { dpi: parseResolution(options.dpi) };
  const sheet = parseSheet(options.size, design.lay.unit, pixelSize(scale, pitchOf(design.lay)));
  const order = orderPicture(unit, scale, sheet, options.washed === true ? leftOf(substrate) : undefined);
  await writeStream(options.output, strikeOffPng(unit, order, substrate, nodeCompressor));
  process.stdout.write(tableOf(shadePrints(design.shades, substrate)));
  return EXIT.fine;
}

/** A line for each shade: its name, its colour, its colour in print, their difference. */
function tableOf(prints: readonly ShadePrint[]): string {
  const wide = Math.max(...prints.map(({ shade }) => shade.name.length));
  return prints
    .map(
      ({ shade, printed, difference }) =>
        `${shade.name.padEnd(wide)}  ${shade.hex}  ${printed}  ΔE ${difference.toFixed(1)}\n`,
    )
    .join('');
}
