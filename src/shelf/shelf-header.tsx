import { Search, Send, Trash2 } from 'lucide-react';
import type { RefObject } from 'react';
import { FileButton } from '../kit/fields/file-button.tsx';
import { IconButton } from '../kit/icon-button.tsx';
import { Mark } from '../kit/mark.tsx';
import { BackupsLink } from './backups-link.tsx';

interface ShelfHeaderProps {
  /** Designs in the bin. */
  readonly binned: number;
  readonly picker: RefObject<HTMLInputElement | null>;
  readonly onSearch: () => void;
  readonly onBin: () => void;
  readonly onImport: (files: readonly File[]) => void;
  readonly onNew: () => void;
}

/** The top of the shelf: what brings designs in, and what searches them. */
export function ShelfHeader({ binned, picker, onSearch, onBin, onImport, onNew }: ShelfHeaderProps) {
  return (
    <header className="flex h-12 items-center gap-3.5 border-rule border-b bg-paper px-[18px]">
      <Mark />
      <span className="font-[650] font-heading text-[20px]">Vetro</span>
      <b className="font-semibold">Shelf</b>
      <span className="flex-1" />
      <BackupsLink />
      <a href="/sent" className="button button-plain no-underline">
        <Send size={15} aria-hidden="true" /> Sent
      </a>
      <IconButton name="Search everything" keys="Ctrl K" icon={Search} onClick={onSearch} />
      {binned > 0 && (
        <button type="button" className="button button-plain" onClick={onBin}>
          <Trash2 size={15} aria-hidden="true" /> Bin ({binned})
        </button>
      )}
      <FileButton
        text="Import"
        label="Files to import"
        accept=".json,.csv,.txt,.wif,.zip,image/jpeg,image/png,image/webp"
        several
        picker={picker}
        onFiles={onImport}
      />
      <button type="button" className="button button-go" onClick={onNew}>
        New design
      </button>
    </header>
  );
}
