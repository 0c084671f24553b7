import { compile } from '../core/design/compile-design.ts';
import { kindFor } from '../core/design/constructions.ts';
import { inThreads } from '../core/design/design-facts.ts';
import type { Design } from '../core/design/design-schema.ts';
import { symmetryOf } from '../core/design/lay/lay-symmetry.ts';
import { toNumber, toText } from '../core/exact/rational.ts';
import type { RepeatReport } from '../core/repeat/check-repeat.ts';
import { toMillionth } from '../core/units/to-millionth.ts';
import { exactSideText } from '../wording/measures.ts';

/** The report as docs/formats.md describes it. Exact numbers travel as text; ratios are also given as doubles. */
export function jsonReport(
  design: Design,
  { verdict, repeat, size, pixels, painted, laid, joins, offers, dpi }: RepeatReport,
) {
  const { lay } = design;
  const fit = pixels.fits[0];
  return {
    verdict,
    repeat: {
      ...(inThreads(design) && {
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
      perThread: inThreads(design) && { x: toText(pixels.perStep.x), y: toText(pixels.perStep.y) },
      errorPpm: fit === undefined ? null : { x: toNumber(fit.errorX) * 1e6, y: toNumber(fit.errorY) * 1e6 },
    },
    lay: {
      arrangement: lay.arrangement,
      scale: lay.scale,
      slope: lay.slope,
      asked: laid?.asked ?? null,
      images: laid?.images ?? null,
    },
    group: laid?.found ?? symmetryOf(compile(design))?.group ?? null,
    ...kindFor(design.construction).reportOf?.(design),
    joins: joins.joins.map(({ difference, at, ...join }) => ({
      ...join,
      difference: toMillionth(difference),
      at: { x: toMillionth(at.x), y: toMillionth(at.y) },
    })),
    joinsClosed: joins.closed,
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
