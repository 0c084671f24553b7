import { Ellipsis, Star } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import type { Summary } from '../contracts/shelf.ts';
import { NameInPlace } from '../kit/fields/name-in-place.tsx';
import { usePixelRatio } from '../kit/use-pixel-ratio.ts';
import { VerdictMark } from '../kit/verdict-mark.tsx';
import type { ShelfActions } from './shelf-actions.ts';

/** A swatch's size in CSS pixels. */
const SWATCH = { width: 180, height: 150 } as const;

interface SwatchCardProps {
  readonly design: Summary;
  readonly actions: ShelfActions;
  readonly onMove: () => void;
}

/** One design as it hangs: a true crop of its cloth, its name and number, its repeat and verdict. */
export function SwatchCard({ design, actions, onMove }: SwatchCardProps) {
  const [renaming, setRenaming] = useState(false);
  const [broken, setBroken] = useState<string>();
  const [card, setCard] = useState<HTMLElement | null>(null);
  const { id, name, number, version, size, verdict } = design;
  const times = Math.min(4, Math.ceil(usePixelRatio()));
  const address = `/api/designs/${id}/files/swatch.png?across=${SWATCH.width}&down=${SWATCH.height}&times=${times}&v=${version}`;
  return (
    <li ref={setCard} className="unseen-card group relative w-[180px]">
      <a href={`/bench/${id}`} className="block rounded-sm text-ink no-underline" aria-label={name}>
        {broken === address ? (
          <span
            className="grid place-items-center rounded border border-rule border-dashed p-4 text-center text-ash"
            style={SWATCH}
          >
            These numbers make no cloth yet.
          </span>
        ) : (
          <img
            src={address}
            alt=""
            loading="lazy"
            {...SWATCH}
            className="pinked block transition-transform duration-150 group-hover:-translate-y-0.5"
            onError={() => setBroken(address)}
          />
        )}
      </a>
      <div className="mt-1.5">
        {renaming ? (
          <NameInPlace
            label="Name of the design"
            className="field min-h-0 px-1.5 py-0.5 font-semibold"
            selected
            name={name}
            onDone={(next) => {
              setRenaming(false);
              if (next !== undefined && next !== name) void actions.rename(design, next);
            }}
          />
        ) : (
          <p className="truncate font-semibold" title={name}>
            {name}
          </p>
        )}
      </div>
      <div className="-mt-0.5 flex items-center">
        <p className="min-w-0 flex-1 truncate text-[12.5px] text-ash">{number}</p>
        <button
          type="button"
          aria-pressed={design.favourite}
          aria-label={`Favourite: ${name}`}
          title={design.favourite ? 'A favourite' : 'Make it a favourite'}
          className={`button button-plain px-1 ${design.favourite ? 'text-weld' : 'text-ash/60'}`}
          onClick={() => void actions.favourite(design)}
        >
          <Star size={15} fill={design.favourite ? 'currentColor' : 'none'} aria-hidden="true" />
        </button>
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger
            className="button button-plain text-ash"
            aria-label={`What to do with ${name}`}
          >
            <Ellipsis size={16} aria-hidden="true" />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal container={card}>
            <DropdownMenu.Content
              align="end"
              className="z-40 min-w-40 rounded-card border border-rule bg-paper p-1.5 shadow-xl"
              onCloseAutoFocus={(event) => renaming && event.preventDefault()}
            >
              <Item onSelect={() => void actions.copy(design)}>Duplicate</Item>
              <Item onSelect={() => setRenaming(true)}>Rename</Item>
              <Item onSelect={onMove}>Move to a range…</Item>
              <Item onSelect={() => void actions.remove(design)}>Delete</Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
      <p className="-mt-1 flex items-center gap-1.5 whitespace-nowrap text-[12.5px] text-ash">
        {size}
        <span aria-hidden="true">·</span>
        <VerdictMark verdict={verdict} size={13} short />
      </p>
    </li>
  );
}

function Item({ onSelect, children }: { onSelect: () => void; children: React.ReactNode }) {
  return (
    <DropdownMenu.Item
      className="cursor-pointer rounded-md px-2.5 py-1.5 outline-none data-[highlighted]:bg-woad-pale data-[highlighted]:text-woad"
      onSelect={onSelect}
    >
      {children}
    </DropdownMenu.Item>
  );
}
