import { Check, CircleDashed, CircleHelp, LoaderCircle, Ruler } from 'lucide-react';
import type { Summary } from '../contracts/shelf.ts';

const LOOK = {
  Exact: { Icon: Check, colour: 'text-verdigris' },
  Fitted: { Icon: Ruler, colour: 'text-weld' },
  Open: { Icon: CircleDashed, colour: 'text-madder' },
  Checking: { Icon: LoaderCircle, colour: 'text-ash' },
  Unchecked: { Icon: CircleHelp, colour: 'text-ash' },
} as const;

/** What stands behind a verdict that does not say it by itself. */
const NOTES: Readonly<Partial<Record<Summary['verdict'], string>>> = { Fitted: 'rounded to pixels' };

interface VerdictMarkProps {
  readonly verdict: Summary['verdict'];
  readonly size?: number;
  /** Where there is no room for more than the word. */
  readonly short?: boolean;
}

/** A verdict as a word and a mark, never by colour alone. */
export function VerdictMark({ verdict, size = 16, short = false }: VerdictMarkProps) {
  const { Icon, colour } = LOOK[verdict];
  const note = NOTES[verdict];
  return (
    <span
      title={note && `${verdict}: ${note}`}
      className={`inline-flex items-center gap-1.5 font-semibold ${colour}`}
    >
      <Icon size={size} strokeWidth={2.6} aria-hidden="true" />
      {verdict === 'Checking' ? 'Checking…' : verdict}
      {note !== undefined && !short && <span className="font-normal">{note}</span>}
    </span>
  );
}
