import { useEffect, useRef, useState } from 'react';
import type { Design } from '../../core/design/design-schema.ts';
import { type Drawn, threadLook } from '../../core/paint/cells/thread-light.ts';
import { NO_MARKS } from '../../core/thread/mark-cells.ts';
import { latest } from '../../kit/latest.ts';
import { openClothWorker } from '../../workers/open-worker.ts';
import type { Size } from '../cloth/cloth-camera.ts';
import { type SendNumbers, type SendOrder, useSendOrder } from './send-store.ts';

/** A picture that is to be sent, at a size that fits the view. */
export interface SendPreview {
  readonly ordered: SendOrder;
  /** Device pixels on the screen for one of the picture's. */
  readonly scale: number;
  /** One repeat, painted at about that scale. */
  readonly tile: ImageBitmap;
}

interface Ask {
  readonly design: Design;
  readonly numbers: SendNumbers;
  readonly drawn: Drawn;
  /** Room for the picture, in device pixels. */
  readonly room: Size;
}

/** Largest enlargement of a small tile. */
const MOST_TIMES = 12;

/** Paints what will be sent whenever the wish changes; a wish that cannot be met gives the sentence instead. */
export function useSendPreview(ask: Ask | undefined): SendPreview | { problem: string } | undefined {
  const [preview, setPreview] = useState<SendPreview | { problem: string }>();
  const request = useRef<(ask: Ask) => void>(undefined);
  const newest = useRef<Ask>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    const paint = async ({ design, numbers, drawn, room }: Ask) => {
      const ordered = await worker.ask(async (api) => api.order(design, numbers));
      if ('problem' in ordered) return ordered;
      const { order } = ordered.value;
      const scale = fitScale(order, room);
      const tile = {
        width: Math.max(1, Math.round((order.tile.width * scale) / order.block.across)),
        height: Math.max(1, Math.round((order.tile.height * scale) / order.block.down)),
      };
      const answer = await worker.ask(async (api) =>
        api.paint({
          design,
          coarse: 1,
          tile,
          look: threadLook(drawn) ?? 'flat',
          proof: 'none',
          marks: NO_MARKS,
          x: 0,
          y: 0,
          ...tile,
        }),
      );
      return 'problem' in answer ? answer : { ordered: ordered.value, scale, tile: answer.value };
    };
    request.current = latest(
      paint,
      (result, asked) => {
        useSendOrder.setState({
          ordered: 'ordered' in result ? result.ordered : undefined,
          isDue: asked !== newest.current,
        });
        setPreview((old) => {
          if (old !== undefined && 'tile' in old) old.tile.close();
          return result;
        });
      },
      (error) => {
        console.error(error);
        setPreview({ problem: 'The picture could not be painted here; it can still be sent.' });
      },
    );
    return worker.close;
  }, []);
  useEffect(() => {
    newest.current = ask;
    useSendOrder.setState({ isDue: true });
    if (ask === undefined || ask.room.width === 0) return;
    request.current?.(ask);
  }, [ask]);
  return ask === undefined ? undefined : preview;
}

/** Shrinks to the room; enlarges by a whole number, so that pixels stay square. */
export function fitScale({ width, height }: Size, room: Size): number {
  const fit = Math.min(room.width / width, room.height / height);
  return fit < 1 ? fit : Math.min(MOST_TIMES, Math.floor(fit));
}
