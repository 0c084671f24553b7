import { asPlaid, isPlaid, type PlaidDesign } from '../core/design/design-schema.ts';
import { weaveFacts } from '../core/design/weave-facts.ts';
import { yarnNeeds } from '../core/design/yarn.ts';
import { CoreError } from '../core/error.ts';
import { toNumber } from '../core/exact/rational.ts';
import { floatsText, hangsText } from '../wording/weave-words.ts';
import { EXIT, readDesignFile } from './run.ts';

/** `vetro facts`: floats, soundness and what a loom needs, in words or as JSON. */
export function factsCommand(path: string, options: { json?: boolean }): number {
  const design = readDesignFile(path);
  const facts = isPlaid(design) ? weaveFacts(asPlaid(design)) : undefined;
  if (facts === undefined) throw new CoreError('weave/none', {});
  const { floats, layers, warpShare, intersections, loom } = facts;
  const text =
    options.json === true
      ? JSON.stringify(
          {
            floats,
            hangsTogether: layers.length === 1,
            layers: layers.length,
            warpShare: toNumber(warpShare),
            shafts: loom?.shafts ?? null,
            treadles: loom?.treadles ?? null,
            intersections,
            yarn: yarnNeeds(design as PlaidDesign).map(({ direction, shade, threads, metres, grams }) => ({
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
          hangsText(facts),
          floatsText(facts),
          `Intersections: ${intersections} in ${facts.ends} × ${facts.picks}.`,
        ].join('\n');
  process.stdout.write(`${text}\n`);
  return EXIT.fine;
}
