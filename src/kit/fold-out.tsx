import type { ReactNode } from 'react';

/** A part of a panel that is folded away while nothing of it is used; what it holds stands beside its name. */
export function FoldOut({ title, state, children }: { title: string; state: string; children: ReactNode }) {
  return (
    <details className="group border-rule border-t pt-2" open={state === '' ? undefined : true}>
      <summary className="flex cursor-pointer items-baseline justify-between gap-3 py-1">
        <h3 className="text-[14px]">{title}</h3>
        <span className="hint">{state === '' ? 'none' : state}</span>
      </summary>
      <section aria-label={title} className="flex flex-col gap-3 pt-2">
        {children}
      </section>
    </details>
  );
}
