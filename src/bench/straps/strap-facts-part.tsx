import type { Design } from '../../core/design/design-schema.ts';
import { type StrapOrdering, strapLines } from '../../wording/strap-words.ts';
import { useStraps } from './use-straps.ts';

/** How straps cross, whether their order comes out, and whether they hang together. */
export function StrapFactsPart({ design, straps }: { design: Design; straps: StrapOrdering }) {
  const report = useStraps(design);
  if (report === undefined || report === null) return null;
  return (
    <section aria-label="Straps" className="flex flex-col gap-2 border-rule border-t pt-3">
      <h3 className="text-[14px]">Straps</h3>
      <ul className="m-0 flex list-none flex-col gap-1 p-0 text-[13px]">
        {strapLines(report, straps).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}
