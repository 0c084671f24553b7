import { useRef, useState } from 'react';
import { FileButton } from '../kit/fields/file-button.tsx';

interface MoveShelfProps {
  readonly busy: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

/** The shelf as one file, and such a file, or a folder of designs, onto the shelf. */
export function MoveShelf({ busy, onFiles }: MoveShelfProps) {
  const [bin, setBin] = useState(false);
  const folder = useRef<HTMLInputElement>(null);
  return (
    <>
      <p className="mt-0 mb-3 text-[13.5px] text-ash">
        All designs with their earlier states, ranges, favourites, notes and pictures, as open JSON in a zip.
      </p>
      <p className="m-0 flex items-center gap-3">
        <a className="button no-underline" href={`/api/archive${bin ? '?bin' : ''}`} download>
          Export the shelf
        </a>
        <label className="flex items-center gap-1.5 text-[13.5px]">
          <input type="checkbox" checked={bin} onChange={(event) => setBin(event.target.checked)} />
          with the bin
        </label>
      </p>
      <p className="mt-3 mb-0 flex flex-wrap gap-2">
        <FileButton
          text="Import an archive"
          label="Archive to import"
          accept=".zip"
          className="button"
          onFiles={onFiles}
        />
        <input
          ref={(field) => {
            folder.current = field;
            field?.setAttribute('webkitdirectory', '');
          }}
          type="file"
          multiple
          className="hidden"
          aria-label="Folder to import"
          onChange={(event) => {
            const files = [...(event.target.files ?? [])];
            event.target.value = '';
            if (files.length > 0) onFiles(files);
          }}
        />
        <button
          type="button"
          className="button button-plain"
          disabled={busy}
          onClick={() => folder.current?.click()}
        >
          Import a folder of designs
        </button>
      </p>
    </>
  );
}
