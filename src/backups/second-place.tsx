import { useState } from 'react';
import type { BackupsState } from '../contracts/backups.ts';

interface SecondPlaceProps {
  readonly state: BackupsState;
  readonly busy: boolean;
  readonly onName: (folder: string) => void;
}

/** Where backups are copied to; while there is no such place, that is said and asked for. */
export function SecondPlace({ state: { second, sameDisk }, busy, onName }: SecondPlaceProps) {
  const [folder, setFolder] = useState('');
  const [changing, setChanging] = useState(false);
  if (second !== '' && !changing) {
    return (
      <>
        <p className="m-0 break-all font-mono text-[13px]">{second}</p>
        {sameDisk && (
          <p className="mt-1 mb-0 text-[13px] text-weld">
            This is on the same disk as the first place, and goes with it.
          </p>
        )}
        <p className="mt-2 mb-0 flex gap-2">
          <button type="button" className="button" onClick={() => setChanging(true)}>
            Change
          </button>
          <button type="button" className="button button-plain" disabled={busy} onClick={() => onName('')}>
            Copy there no more
          </button>
        </p>
      </>
    );
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        setChanging(false);
        onName(folder.trim());
      }}
    >
      {second === '' && (
        <p className="mt-0 mb-2 rounded-card bg-weld-pale px-3 py-2 text-[13.5px] text-weld">
          Backups lie in one place only. When its disk fails, they go with it.
        </p>
      )}
      <label className="block text-[13px] text-ash" htmlFor="second-place">
        A folder on another disk, or a shared one
      </label>
      <span className="mt-1 flex gap-2">
        <input
          id="second-place"
          className="field min-w-0 flex-1 font-mono text-[13px]"
          placeholder="/media/backup"
          value={folder}
          onChange={(event) => setFolder(event.target.value)}
        />
        <button type="submit" className="button" disabled={busy || folder.trim() === ''}>
          Copy there
        </button>
      </span>
    </form>
  );
}
