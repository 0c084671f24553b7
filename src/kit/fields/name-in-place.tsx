import { useRef, useState } from 'react';

interface NameInPlaceProps {
  readonly label: string;
  readonly name: string;
  readonly className: string;
  readonly style?: React.CSSProperties;
  /** Whether all of it is selected when it appears. */
  readonly selected?: boolean;
  /** Told at every change that is a name. */
  readonly onType?: (name: string) => void;
  /** Told when it is left; undefined when nothing new was typed, or Escape left it. */
  readonly onDone: (name: string | undefined) => void;
}

/** Longest name. */
const MOST = 120;

/** A name edited where it stands: Enter keeps it, Escape leaves it; an empty one is not taken. */
export function NameInPlace({
  label,
  name,
  className,
  style,
  selected = false,
  onType,
  onDone,
}: NameInPlaceProps) {
  const [draft, setDraft] = useState<string>();
  const escaped = useRef(false);
  const typed = draft?.trim() ?? '';
  return (
    <input
      aria-label={label}
      className={className}
      style={style}
      value={draft ?? name}
      maxLength={MOST}
      ref={selected ? selectOnce : undefined}
      onChange={(event) => {
        setDraft(event.target.value);
        const next = event.target.value.trim();
        if (next !== '') onType?.(next);
      }}
      onBlur={() => {
        onDone(escaped.current || typed === '' ? undefined : typed);
        escaped.current = false;
        setDraft(undefined);
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== 'Escape') return;
        escaped.current = event.key === 'Escape';
        event.currentTarget.blur();
      }}
    />
  );
}

/** Selects all of a field when it first appears. */
function selectOnce(element: HTMLInputElement | null): void {
  if (element === null || element.dataset['ready'] !== undefined) return;
  element.dataset['ready'] = '';
  element.select();
}
