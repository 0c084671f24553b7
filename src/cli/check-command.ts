import { checkDesign } from '../core/design/check-design.ts';
import { inThreads } from '../core/design/design-facts.ts';
import type { Design } from '../core/design/design-schema.ts';
import { toDecimal } from '../core/exact/rational.ts';
import type { RepeatReport } from '../core/repeat/check-repeat.ts';
import { wordsFor } from '../wording/construction-words.ts';
import { wholeLayText } from '../wording/lay-words.ts';
import { ppmText, sizeText } from '../wording/measures.ts';
import {
  groupTest,
  hairlineTest,
  joinTest,
  numbersTest,
  offerSentence,
  perThreadText,
  seamTest,
  verdictSentence,
} from '../wording/verdict.ts';
import { jsonReport } from './json-report.ts';
import { picturesOf } from './pictures-of.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT } from './run.ts';

/** `vetro check`: the verdict and its reasons, in words or as JSON. */
export async function checkCommand(path: string, options: { json?: boolean; dpi?: string }): Promise<number> {
  const design = readDesignFile(path);
  const report = checkDesign(design, {
    pictures: await picturesOf(design),
    ...(options.dpi !== undefined && { resolution: options.dpi }),
  });
  const text =
    options.json === true ? JSON.stringify(jsonReport(design, report), null, 2) : wordReport(design, report);
  process.stdout.write(`${text}\n`);
  return report.verdict === 'Open' ? EXIT.open : EXIT.fine;
}

function wordReport(design: Design, report: RepeatReport): string {
  const { size, pixels } = report;
  const { unit } = design.lay;
  const fit = pixels.fits[0];
  const lines = [
    `${report.verdict}. ${verdictSentence(report)}`,
    ...wordsFor(design.construction)
      .checked(design)
      .map(([name, words]) => `${name}: ${words}`),
    `Lay: ${wholeLayText(design.lay)}`,
    size && `Size: ${sizeText(size, unit)}`,
    fit &&
      `Pixels at ${toDecimal(report.dpi, 3)} dpi: ${fit.width} × ${fit.height} (${ppmText(fit.errorX)}, ${ppmText(fit.errorY)})${inThreads(design) ? `, ${perThreadText(pixels)}` : ''}`,
    ...[numbersTest, groupTest, joinTest, seamTest, hairlineTest]
      .map((test) => test(report))
      .map((words) => words && `${words.meaning} ${words.details}`),
    ...report.offers.map((offer) => `Offer: ${offerSentence(offer)}`),
  ];
  return lines.filter((line) => typeof line === 'string').join('\n');
}
