import { asWoven } from '../core/design/design-facts.ts';
import { weaveFacts } from '../core/design/weave-facts.ts';
import { yarnNeeds } from '../core/design/yarn.ts';
import { toNumber } from '../core/exact/rational.ts';
import { floatsText, hangsText } from '../wording/weave-words.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT } from './run.ts';

/** `vetro facts`: floats, soundness and what a loom needs, in words or as JSON. */
export function factsCommand(path: string, options: { json?: boolean }): number {
  const design = asWoven(readDesignFile(path));
  const facts = weaveFacts(design);
  const { floats, layers, warpShare, intersections, shafts, treadles } = facts;
  const text =
    options.json === true
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
          hangsText(facts),
          floatsText(facts),
          `Intersections: ${intersections} in ${facts.ends} × ${facts.picks}.`,
        ].join('\n');
  process.stdout.write(`${text}\n`);
  return EXIT.fine;
}
