import { useMemo } from 'react';
import { inColourway } from '../../core/design/colourway.ts';
import { ClothSwatch } from '../../kit/cloth-swatch.tsx';
import { problemOf } from '../state/bench-state.ts';
import { useBenchState, useDesign } from '../state/bench-store.ts';

/** The cloth in all its colourways, side by side at one scale. */
export function ColourwaysView() {
  const design = useDesign();
  const problem = useBenchState(problemOf);
  const all = useMemo(
    () =>
      ['', ...design.colourways.map(({ name }) => name)].map((name) => ({
        name,
        design: inColourway(design, name),
      })),
    [design],
  );
  if (problem !== undefined) return <p className="p-10 text-center text-madder">{problem}</p>;
  return (
    <section aria-label="All colourways" className="min-h-0 overflow-y-auto bg-linen p-6">
      <ul className="m-0 grid list-none grid-cols-[repeat(auto-fill,minmax(250px,1fr))] gap-5 p-0">
        {all.map(({ name, design: other }) => (
          <li key={name}>
            <ClothSwatch design={other} width={250} height={190} perThread={2} />
            <p className="mt-1 truncate font-semibold" title={name}>
              {name === '' ? 'As it is' : name}
            </p>
            <p className="flex gap-1" aria-hidden="true">
              {other.shades.slice(0, 10).map(({ key, hex }) => (
                <span key={key} className="chip h-4 w-4" style={{ backgroundColor: hex }} />
              ))}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
