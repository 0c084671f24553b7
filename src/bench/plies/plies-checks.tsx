import { useMemo } from 'react';
import type { PliesDesign } from '../../core/design/design-schema.ts';
import { plyName } from '../../core/design/plies/plies-report.ts';
import { DataTable } from '../../kit/data-table.tsx';
import { shortSizeText } from '../../wording/measures.ts';
import { useKeptFacts, usePliesFacts, usePlyOffers } from './plies-facts.ts';
import { hasOffers, PlyOffersList } from './ply-offers-list.tsx';

/** How often each ply goes into the repeat of all, and for those that make it larger what is offered. */
export function PliesChecks({ design }: { design: PliesDesign }) {
  useKeptFacts(design);
  const report = usePliesFacts((facts) => facts.report);
  const { plies } = design.construction;
  const lowest = plies.findIndex(({ content }) => content.kind === 'design');
  const closes = report !== undefined && isOnce(report[lowest]?.times);
  const wished = useMemo(
    () =>
      closes
        ? []
        : plies.flatMap(({ content }, ply) =>
            content.kind === 'design' && ply !== lowest ? [{ ply, degrees: 0 }] : [],
          ),
    [closes, plies, lowest],
  );
  const { offers, wished: offered, isDue } = usePlyOffers(design, wished);
  const closable = offered.flatMap(({ ply }, index) =>
    offers?.[index] !== undefined && hasOffers(offers[index]) && ply < plies.length ? [{ ply, index }] : [],
  );
  const { unit } = design.lay;
  return (
    <section aria-label="Plies" className="flex flex-col gap-3 border-rule border-t pt-3">
      <h3 className="text-[14px]">Plies</h3>
      {report !== undefined && report.length === plies.length && (
        <DataTable
          small
          head={['Ply', 'Its repeat', 'Times']}
          rows={report.map(({ name, size, times }, at) => ({
            key: String(at),
            cells: [`${at + 1} ${name}`, shortSizeText(size, unit), `${times.across} × ${times.down}`],
          }))}
        />
      )}
      {offers !== undefined && wished.length > 0 && (
        <div className="found flex flex-col gap-3" aria-busy={isDue} inert={isDue}>
          <p className="hint">{offersHint(report !== undefined, closable.length > 0)}</p>
          {closable.map(({ ply, index }) => (
            <div key={ply}>
              <h4 className="text-[13px]">
                Ply {ply + 1}, {plyName(plies[ply]!.content, design.shades)}
              </h4>
              <PlyOffersList offers={offers[index]!} ply={plies[ply]!} at={ply} unit={unit} />
            </div>
          ))}
        </div>
      )}
    </section>
  );
}

function offersHint(comesTogether: boolean, isOffered: boolean): string {
  if (comesTogether) {
    return isOffered ? 'All repeat together sooner at one of these:' : 'No size near theirs closes sooner.';
  }
  return isOffered
    ? 'They come together at one of these:'
    : 'No size closes both across and up. Lay it over a design whose height is a fraction of its width.';
}

function isOnce(times: { readonly across: number; readonly down: number } | undefined): boolean {
  return times === undefined || (times.across === 1 && times.down === 1);
}
