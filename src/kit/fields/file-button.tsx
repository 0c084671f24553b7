import { type ReactNode, type RefObject, useRef } from 'react';

interface FileButtonProps {
  readonly text: ReactNode;
  /** What the field is called that takes the files. */
  readonly label: string;
  /** Endings or media types, between commas. */
  readonly accept: string;
  readonly several?: boolean;
  readonly className?: string;
  /** The field itself, where something else opens it too. */
  readonly picker?: RefObject<HTMLInputElement | null>;
  readonly onFiles: (files: readonly File[]) => void;
}

/** A button that asks for files. The same file can be chosen twice. */
export function FileButton(props: FileButtonProps) {
  const { text, label, accept, several = false, className = 'button', picker, onFiles } = props;
  const own = useRef<HTMLInputElement>(null);
  const field = picker ?? own;
  return (
    <>
      <input
        ref={field}
        type="file"
        multiple={several}
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
      <button type="button" className={className} onClick={() => field.current?.click()}>
        {text}
      </button>
    </>
  );
}
