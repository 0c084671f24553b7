import { useEffect, useRef, useState } from 'react';
import { FileButton } from '../kit/fields/file-button.tsx';
import { RequestError } from '../kit/request.ts';
import { type OpenPicture, openPicture, SHIPPED } from './picture-source.ts';

type State =
  | { readonly kind: 'waiting' }
  | { readonly kind: 'sending'; readonly part: number }
  | { readonly kind: 'failed'; readonly sentence: string };

interface PictureChooserProps {
  readonly onOpen: (picture: OpenPicture) => void;
  /** Opened at once. */
  readonly file?: File;
}

/** Where a picture comes from: a file, dropped or chosen, or one that ships with Vetro. */
export function PictureChooser({ onOpen, file: given }: PictureChooserProps) {
  const [state, setState] = useState<State>({ kind: 'waiting' });
  const work = useRef<AbortController>(undefined);
  useEffect(() => () => work.current?.abort(), []);
  const open = async (name: string, bytesOf: () => Promise<Blob>) => {
    work.current?.abort();
    const control = new AbortController();
    work.current = control;
    setState({ kind: 'sending', part: 0 });
    try {
      const bytes = await bytesOf();
      const onSent = (part: number) => setState({ kind: 'sending', part });
      onOpen(await openPicture(name, bytes, { onSent, signal: control.signal }));
    } catch (error) {
      if (control.signal.aborted) return;
      const sentence =
        error instanceof RequestError ? error.message : 'The picture could not be read. Try another.';
      setState({ kind: 'failed', sentence });
    }
  };
  const take = (file: File | undefined) => {
    if (file !== undefined) void open(file.name, () => Promise.resolve(file));
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is given is opened once
  useEffect(() => take(given), [given]);
  return (
    <div className="flex flex-col gap-5">
      <section
        aria-label="A picture of your own"
        className="grid place-items-center gap-3 rounded-card border-2 border-rule border-dashed p-10 text-center"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          take(event.dataTransfer.files[0]);
        }}
      >
        {state.kind === 'sending' ? (
          <>
            <p aria-live="polite">
              {state.part < 1
                ? `Sending it: ${Math.round(state.part * 100)} %`
                : 'Sent. Averaging its blocks in linear light…'}
            </p>
            <progress className="w-72 accent-woad" max={1} {...(state.part < 1 && { value: state.part })} />
            <button
              type="button"
              className="button"
              onClick={() => {
                work.current?.abort();
                setState({ kind: 'waiting' });
              }}
            >
              Cancel
            </button>
          </>
        ) : (
          <>
            <p>Drop a JPEG, a PNG or a WebP here.</p>
            <FileButton
              text="Choose a file"
              label="A picture to open"
              accept="image/jpeg,image/png,image/webp"
              className="button button-go"
              onFiles={([file]) => take(file)}
            />
          </>
        )}
        {state.kind === 'failed' && (
          <p role="alert" className="text-madder">
            {state.sentence}
          </p>
        )}
      </section>
      <div>
        <p className="label">Or one of these, made up for trying</p>
        <div className="grid grid-cols-3 gap-4">
          {SHIPPED.map(({ name, file }) => (
            <button
              key={file}
              type="button"
              className="rounded-lg p-1.5 text-left hover:bg-linen"
              onClick={() => void open(name, async () => (await fetch(file)).blob())}
            >
              <img src={file} alt="" className="block h-36 w-full rounded object-cover" />
              <span className="mt-1 block">{name}</span>
            </button>
          ))}
        </div>
      </div>
    </div>
  );
}
