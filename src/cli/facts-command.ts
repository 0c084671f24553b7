import { asWoven } from '../core/design/design-facts.ts';
import type { Design, MotifDesign, PlaidDesign } from '../core/design/design-schema.ts';
import { motifReport, strapsReport } from '../core/design/motif/motif-facts.ts';
import { isKind } from '../core/design/of-kind.ts';
import { strapJson } from '../core/design/strap/strap-report.ts';
import { IN_TURN } from '../core/design/strap/strap-schema.ts';
import { strapsOfDesign } from '../core/design/strap/straps-of-design.ts';
import { weaveFacts } from '../core/design/weave-facts.ts';
import { yarnNeeds } from '../core/design/yarn.ts';
import { toNumber } from '../core/exact/rational.ts';
import { groupText } from '../wording/group-words.ts';
import { percentText } from '../wording/measures.ts';
import { thinText } from '../wording/motif-words.ts';
import { strapLines } from '../wording/strap-words.ts';
import { floatsText, loosenessText } from '../wording/weave-words.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT } from './run.ts';

/** `vetro facts`: of a weave its floats, soundness and what a loom needs, of a motif its shares, of straps how they cross; in words or as JSON. */
export function factsCommand(path: string, options: { json?: boolean }): number {
  const design = readDesignFile(path);
  const asJson = options.json === true;
  const text = textOf(design, asJson);
  process.stdout.write(`${text}\n`);
  return EXIT.fine;
}

function textOf(design: Design, asJson: boolean): string {
  if (isKind('motif', design)) return motifText(design, asJson);
  const straps = strapsOfDesign(design);
  if (straps === null) return weaveText(asWoven(design), asJson);
  return asJson ? JSON.stringify(strapJson(straps), null, 2) : strapLines(straps, IN_TURN).join('\n');
}

function motifText(design: MotifDesign, asJson: boolean): string {
  const report = motifReport(design);
  if (asJson) return JSON.stringify(report, null, 2);
  const straps = strapsReport(design);
  return [
    `Pieces: ${report.pieces}.`,
    ...(straps === null ? [] : strapLines(straps, design.construction.straps)),
    ...report.overEdges.map(
      ({ piece, edges }) => `${piece} goes over ${edges.join(', ')} and comes in again.`,
    ),
    `Smallest width: ${thinText(report.smallestWidth)}. Smallest gap: ${thinText(report.smallestGap)}.`,
    ...(report.group === null ? [] : [`Symmetry: ${groupText(report.group)}.`]),
    ...Object.entries(report.shares).map(([key, share]) => `${key}: ${percentText(share)}`),
  ].join('\n');
}

function weaveText(design: PlaidDesign, asJson: boolean): string {
  const facts = weaveFacts(design);
  const { floats, layers, warpShare, intersections, shafts, treadles } = facts;
  return asJson
    ? JSON.stringify(
        {
          floats,
          hangsTogether: layers.length === 1,
          layers: layers.length,
          warpShare: toNumber(warpShare),
          shafts,
          treadles,
          intersections,
          yarn: yarnNeeds(design).map(({ direction, shade, threads, metres, grams }) => ({
            direction,
            shade: shade.name,
            threads,
            metres: toNumber(metres),
            grams: toNumber(grams),
          })),
        },
        null,
        2,
      )
    : [
        loosenessText(facts),
        floatsText(facts),
        `Intersections: ${intersections} in ${facts.ends} × ${facts.picks}.`,
      ].join('\n');
}
