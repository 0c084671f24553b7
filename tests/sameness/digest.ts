import { createHash } from 'node:crypto';
import { inflateSync } from 'node:zlib';
import { jsonReport } from '../../src/cli/json-report.ts';
import { checkDesign } from '../../src/core/design/check-design.ts';
import { compile } from '../../src/core/design/compile-design.ts';
import type { Design } from '../../src/core/design/design-schema.ts';
import { designToCsv, designToText, designToWif } from '../../src/core/design/exchange/write-file.ts';
import { writeDesignText } from '../../src/core/design/read-design.ts';
import { CoreError } from '../../src/core/error.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { surdText } from '../../src/core/exact/surd-text.ts';
import { cornerAt } from '../../src/core/faces/check-partition.ts';
import { orderPicture } from '../../src/core/formats/picture-order.ts';
import { unitToPng } from '../../src/core/formats/png/unit-png.ts';
import { unitToSvg } from '../../src/core/formats/svg/unit-svg.ts';
import { paintTile } from '../../src/core/paint/painting.ts';
import type { RepeatReport } from '../../src/core/repeat/check-repeat.ts';
import { partitionIn } from '../../src/core/repeat/contents.ts';
import { nearSize, type RepeatUnit, repeatSize } from '../../src/core/repeat/repeat-unit.ts';
import { nodeCompressor } from '../../src/server/sending/node-compressor.ts';
import { picturesOf } from '../pictures-of.ts';

/** What must stay the same of a design while the code behind it is rearranged, each as a short digest. */
export interface Digests {
  readonly repeat: string;
  readonly painted: readonly string[];
  readonly svg: string;
  readonly png: string;
  readonly check: string;
  readonly files: Readonly<Record<'txt' | 'csv' | 'wif' | 'json', string>>;
}

/** Widths in pixels at which a tile is painted; none divides the others. */
const WIDTHS = [61, 256, 601] as const;

function digest(...parts: readonly (string | Uint8Array)[]): string {
  const hash = createHash('sha256');
  for (const part of parts) hash.update(part);
  return hash.digest('base64url').slice(0, 16);
}

/** What it says, or the code by which it is refused. */
function said(write: () => string): string {
  try {
    return digest(write());
  } catch (error) {
    if (error instanceof CoreError) return error.code;
    throw error;
  }
}

/** What is worked out of a design, once for all that asks about it. */
export interface Sample {
  readonly design: Design;
  readonly unit: RepeatUnit;
  readonly report: RepeatReport;
  /** What is told of it as JSON. */
  readonly told: ReturnType<typeof jsonReport>;
}

export function sampleOf(design: Design): Sample {
  const pictures = picturesOf(design);
  const report = checkDesign(design, { resolution: '60', pictures });
  return { design, unit: compile(design, pictures), report, told: jsonReport(design, report) };
}

export async function digestsOf({ design, unit, told }: Sample): Promise<Digests> {
  return {
    repeat: digest(repeatText(unit)),
    painted: WIDTHS.map((width) => digest(paintTile(unit, tileOf(unit, width)))),
    svg: said(() => unitToSvg(unit, design.name)),
    png: await pngDigest(unit),
    check: digest(JSON.stringify(told)),
    files: {
      txt: said(() => designToText(design)),
      csv: said(() => designToCsv(design)),
      wif: said(() => designToWif(design)),
      json: said(() => writeDesignText(design)),
    },
  };
}

/** A repeat in words that do not depend on how it is held: its size, its cells or its faces. */
function repeatText(unit: RepeatUnit): string {
  const size = repeatSize(unit);
  const sides = size === null ? 'none' : `${surdText(size.width)} × ${surdText(size.height)}`;
  const { content } = unit;
  if (content.kind === 'cells') {
    const rows = [...content.rowAt].map((row) => content.rows[row]!.join());
    return [sides, content.shades.map(({ hex }) => hex).join(), ...rows].join('\n');
  }
  if (content.kind === 'plies') {
    return [sides, ...content.plies.map((ply) => repeatText(ply.unit))].join('\n');
  }
  const base = partitionIn({ content });
  const faces = base.faces.map(({ corners, fill }) =>
    [
      base.shades[fill.shade]!.hex,
      ...corners.map((corner) => cornerAt(base, corner)).map(({ x, y }) => `${surdText(x)} ${surdText(y)}`),
    ].join(';'),
  );
  return [sides, ...faces].join('\n');
}

/** A tile of that width, nearly in its true proportions. */
function tileOf(unit: RepeatUnit, width: number): { width: number; height: number } {
  const size = repeatSize(unit);
  if (size === null) return { width, height: width };
  const { width: x, height: y } = nearSize(size);
  const ratio = Number((y.n * x.d * 1000n) / (y.d * x.n)) / 1000;
  return { width, height: Math.min(1200, Math.max(1, Math.round(width * ratio))) };
}

/** Chunks as they are and pixels as they were before they were compressed: compressors differ from Node to Node. */
async function pngDigest(unit: RepeatUnit): Promise<string> {
  const order = orderPicture(unit, { dpi: rational(72) }, undefined);
  const pieces: Uint8Array[] = [];
  for await (const piece of unitToPng(unit, order, nodeCompressor)) pieces.push(piece);
  const bytes = Buffer.concat(pieces);
  const plain: (string | Uint8Array)[] = [];
  const packed: Uint8Array[] = [];
  for (let at = 8; at < bytes.length; ) {
    const length = bytes.readUInt32BE(at);
    const name = bytes.toString('latin1', at + 4, at + 8);
    const data = bytes.subarray(at + 8, at + 8 + length);
    if (name === 'IDAT') packed.push(data);
    else plain.push(name, data);
    at += 12 + length;
  }
  return digest(...plain, inflateSync(Buffer.concat(packed)));
}
