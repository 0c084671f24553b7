import type { Direction } from '../../core/design/construction.ts';
import { pitchOf } from '../../core/design/lay/lay-schema.ts';
import { multiply, rational } from '../../core/exact/rational.ts';
import { formatThreadCount, parseThreadCount } from '../../core/formats/thread-count.ts';
import { typedThreads } from '../../core/thread/band.ts';
import { threadCount } from '../../core/thread/sequence.ts';
import { LiveTextField } from '../../kit/fields/live-text-field.tsx';
import { lengthText, plural } from '../../wording/measures.ts';
import { useTypedCard } from '../bands/use-typed-card.ts';
import { sequenceOf, setSequence } from '../state/band-edits.ts';
import { dispatch } from '../state/bench-store.ts';
import { onCard } from '../state/shade-edits.ts';
import { useDesignOf } from '../state/use-construction.ts';

/** A sequence as thread counts; of a print, as steps of a length. */
export function ThreadCountField({ direction }: { direction: Direction }) {
  const design = useDesignOf('plaid');
  const { construction, lay, shades } = design;
  const typing = useTypedCard(shades);
  const sequence = sequenceOf(design, direction);
  const typed = typedThreads(sequence.bands);
  const laidOut = threadCount(sequence);
  const printed = construction.crossing === 'printed';
  const one = printed ? 'step' : 'thread';
  const pitch = direction === 'warp' ? pitchOf(lay).x : pitchOf(lay).y;
  const counted = typed === laidOut ? plural(typed, one) : `${typed} typed, ${plural(laidOut, one)} laid out`;
  return (
    <LiveTextField
      label={direction === 'warp' ? 'Warp' : 'Weft, upward'}
      note={
        printed
          ? `${counted}, ${lengthText(multiply(rational(laidOut), pitch), lay.unit)} ${lay.unit}`
          : counted
      }
      written={formatThreadCount(sequence)}
      read={(text) => {
        const card = typing.cardFor(text);
        const pivots = sequence.mirror === 'doubled' ? 'doubled' : 'shared';
        return { card, sequence: parseThreadCount(text, { card, pivots }) };
      }}
      write={(read) => formatThreadCount(read.sequence)}
      onChange={(read) => {
        typing.typed();
        const edit = onCard(read.card, setSequence(direction, read.sequence));
        dispatch({ kind: 'edit', edit, tag: `text-${direction}` });
      }}
      onLeave={() => {
        typing.leave();
        dispatch({ kind: 'settle' });
      }}
    />
  );
}
