import type { ReactNode } from 'react';
import type { Shade } from '../core/colour/shade.ts';

/** A shade in a table: its chip and its name, with what is to be said of it. */
export function ShadeName({ shade, more }: { shade: Shade; more?: ReactNode }) {
  return (
    <span className="flex items-center gap-2 font-text">
      <span className="chip h-4 w-4" style={{ backgroundColor: shade.hex }} />
      <span className="min-w-0 max-w-36 truncate" title={shade.name}>
        {shade.name}
        {more}
      </span>
    </span>
  );
}

/** Two shades side by side, with what is between them. */
export function TwoShades({ one, other, children }: { one: Shade; other: Shade; children: ReactNode }) {
  return (
    <li className="flex items-center gap-2 py-1">
      <span className="flex flex-none overflow-hidden rounded" aria-hidden="true">
        <span className="h-6 w-6" style={{ backgroundColor: one.hex }} />
        <span className="h-6 w-6" style={{ backgroundColor: other.hex }} />
      </span>
      <span className="min-w-0 flex-1 truncate" title={`${one.name} and ${other.name}`}>
        {one.name}, {other.name}
      </span>
      {children}
    </li>
  );
}
