import { checkDesign } from '../core/design/check-design.ts';
import { threadFacts } from '../core/design/design-facts.ts';
import { type Design, isPlaid, isStripe, isTiling, type TilingDesign } from '../core/design/design-schema.ts';
import { tilingFacts } from '../core/design/tiling/tiling-facts.ts';
import { toDecimal, toNumber, toText } from '../core/exact/rational.ts';
import type { RepeatReport } from '../core/repeat/check-repeat.ts';
import { keptOneOf } from '../core/tiling/symmetry.ts';
import { linesText } from '../wording/lines.ts';
import { exactSideText, ppmText, sizeText } from '../wording/measures.ts';
import { tilingText } from '../wording/tiling-words.ts';
import {
  directionSentence,
  leaksSentence,
  numbersSentence,
  offerSentence,
  paintedSentence,
  perThreadText,
  verdictSentence,
} from '../wording/verdict.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT } from './run.ts';

/** `vetro check`: the verdict and its reasons, in words or as JSON. */
export function checkCommand(path: string, options: { json?: boolean; dpi?: string }): number {
  const design = readDesignFile(path);
  const report = checkDesign(design, options.dpi);
  const text =
    options.json === true ? JSON.stringify(jsonReport(design, report), null, 2) : wordReport(design, report);
  process.stdout.write(`${text}\n`);
  return report.verdict === 'Open' ? EXIT.open : EXIT.fine;
}

/** The report as docs/formats.md describes it. Exact numbers travel as text; ratios are also given as doubles. */
function jsonReport(design: Design, { verdict, repeat, size, pixels, painted, offers, dpi }: RepeatReport) {
  const { lay } = design;
  const fit = pixels.fits[0];
  return {
    verdict,
    repeat: {
      ...(isPlaid(design) && {
        ends: repeat && Number(repeat.width.n),
        picks: repeat && Number(repeat.height.n),
      }),
      width: size && exactSideText(size.width, lay.unit),
      height: size && exactSideText(size.height, lay.unit),
      unit: lay.unit,
    },
    pixels: {
      dpi: toText(dpi),
      width: fit?.width ?? 0,
      height: fit?.height ?? 0,
      exactWidth: pixels.exact && toText(pixels.exact.width),
      exactHeight: pixels.exact && toText(pixels.exact.height),
      perThread: isPlaid(design) && { x: toText(pixels.perStep.x), y: toText(pixels.perStep.y) },
      errorPpm: fit === undefined ? null : { x: toNumber(fit.errorX) * 1e6, y: toNumber(fit.errorY) * 1e6 },
    },
    ...(isTiling(design) && { symmetry: symmetryOf(design) }),
    painted: painted && {
      width: painted.width,
      height: painted.height,
      comparedBytes: painted.comparedBytes,
      differingBytes: painted.differingBytes,
      leakingPixels: painted.leakingPixels,
    },
    offers: offers.map((offer) => ({
      dpi: toText(offer.dpi),
      whole: offer.whole,
      width: offer.width,
      height: offer.height,
    })),
  };
}

/**
 * Plane groups of a tiling without its shades and with them, and of how many symmetries these keep one; null where a
 * cell has too many faces to look at.
 */
function symmetryOf(design: TilingDesign) {
  const { symmetry: plain, colouredSymmetry: coloured } = tilingFacts(design);
  return {
    plain: plain?.group ?? null,
    coloured: coloured?.group ?? null,
    index: plain && coloured ? keptOneOf(plain, coloured) : null,
  };
}

function wordReport(design: Design, report: RepeatReport): string {
  const facts = isPlaid(design) ? threadFacts(design) : undefined;
  const { size, pixels } = report;
  const { unit } = design.lay;
  const fit = pixels.fits[0];
  const lines = [
    `${report.verdict}. ${verdictSentence(report)}`,
    facts && `Warp: ${directionSentence(facts.warp, 'end')}`,
    facts && `Weft: ${directionSentence(facts.weft, 'pick')}`,
    isStripe(design) && `Lines: ${linesText(design.construction.slope)}`,
    isTiling(design) && `Tiling: ${tilingText(design.construction)}`,
    size && `Size: ${sizeText(size, unit)}`,
    fit &&
      `Pixels at ${toDecimal(report.dpi, 3)} dpi: ${fit.width} × ${fit.height} (${ppmText(fit.errorX)}, ${ppmText(fit.errorY)})${facts ? `, ${perThreadText(pixels)}` : ''}`,
    numbersSentence(report),
    paintedSentence(report),
    leaksSentence(report),
    ...report.offers.map((offer) => `Offer: ${offerSentence(offer)}`),
  ];
  return lines.filter((line) => typeof line === 'string').join('\n');
}
