import type { PaintPicture } from '../core/design/picture-schema.ts';
import { Choice } from '../kit/fields/choice.tsx';
import { FileButton } from '../kit/fields/file-button.tsx';
import { RemoveButton } from '../kit/remove-button.tsx';
import { SHIPPED } from './picture-source.ts';
import { useKeeper } from './use-keeper.ts';

export const PICTURE_ACCEPT = 'image/jpeg,image/png,image/webp';

const FITS = [
  { value: 'filling', text: 'Fills it' },
  { value: 'fitted', text: 'All of it fits in' },
] as const;

interface PictureFieldProps {
  /** Null while there is none. */
  readonly picture: PaintPicture | null;
  /** What it fills or fits into. */
  readonly within: string;
  readonly onChange: (picture: PaintPicture | null) => void;
}

/** A picture that something is painted with: from a file, dropped or chosen, or one that ships with Vetro. */
export function PictureField({ picture, within, onChange }: PictureFieldProps) {
  const { isBusy, problem, notes, keep, keepFile } = useKeeper((kept) =>
    onChange({ ...kept, fit: picture?.fit ?? 'filling' }),
  );
  return (
    <section
      aria-label="Picture"
      aria-busy={isBusy}
      className="flex flex-col gap-3 rounded-lg border border-rule p-3"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        event.stopPropagation();
        keepFile(event.dataTransfer.files[0]);
      }}
    >
      {picture === null ? (
        <div className="grid grid-cols-3 gap-2">
          {SHIPPED.map(({ name, file }) => (
            <button
              key={file}
              type="button"
              className="rounded text-left text-[13px] hover:bg-linen"
              disabled={isBusy}
              onClick={() => void keep(name, async () => (await fetch(file)).blob())}
            >
              <img src={file} alt="" className="block h-14 w-full rounded object-cover" />
              {name}
            </button>
          ))}
        </div>
      ) : (
        <div className="flex items-center gap-3">
          <img
            src={`/api/pictures/kept/${picture.hash}`}
            alt={picture.name}
            className="block h-14 w-20 rounded border border-rule object-contain"
          />
          <p className="m-0 min-w-0 flex-1">
            <span className="block truncate">{picture.name}</span>
            <span className="number hint">
              {picture.width} × {picture.height} px
            </span>
          </p>
          <RemoveButton label="Remove the picture" onClick={() => onChange(null)} />
        </div>
      )}
      <FileButton
        text={isBusy ? 'Reading it…' : picture === null ? 'Choose a file' : 'Choose another file'}
        label="A picture to paint with"
        accept={PICTURE_ACCEPT}
        onFiles={([file]) => keepFile(file)}
      />
      {problem !== '' && (
        <p role="alert" className="m-0 text-madder">
          {problem}
        </p>
      )}
      {notes.map((note) => (
        <p key={note} className="hint">
          {note}
        </p>
      ))}
      {picture !== null && (
        <Choice
          label={`In ${within}`}
          value={picture.fit}
          options={FITS}
          onChange={(fit) => onChange({ ...picture, fit })}
        />
      )}
    </section>
  );
}
