import type { ReactNode } from 'react';
import { Mark } from './mark.tsx';

/** The top of a page beside the shelf: where one is, and the way back. */
export function PageHeader({ here, children }: { readonly here: string; readonly children?: ReactNode }) {
  return (
    <header className="flex h-12 items-center gap-3.5 border-rule border-b bg-paper px-[18px]">
      <a href="/" className="flex items-center gap-3 text-ink no-underline" aria-label="Vetro: to the shelf">
        <Mark />
        <span className="font-[650] font-heading text-[20px]">Vetro</span>
      </a>
      <nav aria-label="Where you are" className="flex items-center gap-1.5">
        <a href="/" className="text-ash no-underline hover:text-ink">
          Shelf
        </a>
        <span aria-hidden="true" className="text-ash">
          ›
        </span>
        <b className="font-semibold">{here}</b>
      </nav>
      {children}
    </header>
  );
}
