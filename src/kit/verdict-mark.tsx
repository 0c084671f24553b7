import { Check, CircleDashed, Ruler } from 'lucide-react';
import type { Verdict } from '../core/repeat/check-repeat.ts';

const LOOK = {
  Exact: { Icon: Check, colour: 'text-verdigris' },
  Fitted: { Icon: Ruler, colour: 'text-weld' },
  Open: { Icon: CircleDashed, colour: 'text-madder' },
} as const;

/** A verdict as a word and a mark, never by colour alone. */
export function VerdictMark({ verdict, size = 16 }: { verdict: Verdict; size?: number }) {
  const { Icon, colour } = LOOK[verdict];
  return (
    <span className={`inline-flex items-center gap-1.5 font-semibold ${colour}`}>
      <Icon size={size} strokeWidth={2.6} aria-hidden="true" />
      {verdict}
    </span>
  );
}
