import type { BackupsState } from '../contracts/backups.ts';
import { bytesText } from '../wording/job-words.ts';
import { clockText, plural } from '../wording/measures.ts';

interface BackupListProps {
  readonly state: BackupsState;
  /** The one that is looked into. */
  readonly opened: string | undefined;
  readonly busy: boolean;
  readonly onOpen: (name: string) => void;
}

/** Backups, newest first; each can be looked into. */
export function BackupList({ state: { backups, second }, opened, busy, onOpen }: BackupListProps) {
  if (backups.length === 0) return <p className="text-ash">There is none yet.</p>;
  return (
    <ul className="m-0 max-h-[46vh] list-none overflow-y-auto p-0">
      {backups.map(({ name, at, bytes, pictureBytes, designs, places }) => (
        <li key={name}>
          <button
            type="button"
            aria-pressed={name === opened}
            disabled={busy}
            className="flex w-full items-baseline gap-3 rounded-sm px-2 py-1.5 text-left hover:bg-linen aria-pressed:bg-woad-pale aria-pressed:text-woad"
            onClick={() => onOpen(name)}
          >
            <span className="flex-1 font-semibold">{clockText(at)}</span>
            <span className="text-[13px] text-ash">{plural(designs, 'design')}</span>
            <span className="w-[72px] text-right font-mono text-[13px] text-ash">
              {bytesText(bytes + pictureBytes)}
            </span>
            {second !== '' && (
              <span className="w-[62px] text-[12.5px] text-ash">{places === 2 ? '2 places' : '1 place'}</span>
            )}
          </button>
        </li>
      ))}
    </ul>
  );
}
