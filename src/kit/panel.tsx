import type { ReactNode } from 'react';

/** One step's panel: its name, what it is for, and its parts. */
export function Panel({ title, purpose, children }: { title: string; purpose: string; children: ReactNode }) {
  return (
    <section
      aria-label={title}
      className="flex flex-col gap-4 px-[18px] py-4 max-[900px]:mx-auto max-[900px]:max-w-[560px]"
    >
      <div>
        <h2 className="text-[21px]">{title}</h2>
        <p className="text-[13px] text-ash">{purpose}</p>
      </div>
      {children}
    </section>
  );
}

/** A measure and its value, on one line of a ticket or a panel. */
export function Measure({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="flex items-baseline justify-between gap-3">
      <dt className="text-[12.5px] text-ash">{name}</dt>
      <dd className="numbers m-0 text-right">{children}</dd>
    </div>
  );
}
