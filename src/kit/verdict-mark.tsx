import { Check, CircleDashed, CircleHelp, LoaderCircle, Ruler } from 'lucide-react';
import type { Summary } from '../contracts/shelf.ts';

const LOOK = {
  Exact: { Icon: Check, colour: 'text-verdigris' },
  Fitted: { Icon: Ruler, colour: 'text-weld' },
  Open: { Icon: CircleDashed, colour: 'text-madder' },
  Checking: { Icon: LoaderCircle, colour: 'text-ash' },
  Unchecked: { Icon: CircleHelp, colour: 'text-ash' },
} as const;

/** A verdict as a word and a mark, never by colour alone. */
export function VerdictMark({ verdict, size = 16 }: { verdict: Summary['verdict']; size?: number }) {
  const { Icon, colour } = LOOK[verdict];
  return (
    <span className={`inline-flex items-center gap-1.5 font-semibold ${colour}`}>
      <Icon size={size} strokeWidth={2.6} aria-hidden="true" />
      {verdict === 'Checking' ? 'Checking…' : verdict}
    </span>
  );
}
