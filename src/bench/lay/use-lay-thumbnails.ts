import { useEffect, useRef, useState } from 'react';
import type { Design } from '../../core/design/design-schema.ts';
import type { Arrangement } from '../../core/design/lay/lay-schema.ts';
import { latest } from '../../kit/latest.ts';
import type { Swatch } from '../../workers/cloth-worker.ts';
import { openClothWorker } from '../../workers/open-worker.ts';

/** This design laid another way, small, or why it cannot be laid so. */
export type LayThumbnail = Swatch | { readonly problem: string };

/** Thumbnails of one design, by the lays that they show. */
type Thumbnails = ReadonlyMap<Arrangement, LayThumbnail>;

interface Ask {
  /** Neither scaled nor turned. */
  readonly design: Design;
  readonly lays: readonly Arrangement[];
  /** Device pixels. */
  readonly room: { readonly width: number; readonly height: number };
  readonly perMillimetre: number;
}

/** How many thumbnails are painted before those that are there are shown. */
const AT_ONCE = 3;

const NONE: Thumbnails = new Map();

/**
 * Paints a design in several lays one after another, in a worker; the newest design first. What was painted of a design stays
 * while other lays of it are asked for.
 */
export function useLayThumbnails({ design, lays, room, perMillimetre }: Ask): Thumbnails {
  const [shown, setShown] = useState<{ readonly of: Design; readonly made: Thumbnails }>();
  const request = useRef<(ask: Ask) => void>(undefined);
  const newest = useRef<Ask>(undefined);
  const kept = useRef<{ readonly of: Design; readonly made: Thumbnails }>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    const show = (of: Design, made: Thumbnails) => {
      kept.current = { of, made };
      setShown(kept.current);
    };
    const paintAll = async (ask: Ask) => {
      const made = new Map(kept.current?.of === ask.design ? kept.current.made : NONE);
      const lacking = ask.lays.filter((lay) => !made.has(lay));
      for (const [at, arrangement] of lacking.entries()) {
        // A newer design is waited for: what is left of this one is not worth painting.
        if (newest.current !== ask) break;
        const laid = { ...ask.design, lay: { ...ask.design.lay, arrangement } };
        const answer = await worker.ask(async (api) => api.swatch(laid, ask.room, ask.perMillimetre));
        made.set(arrangement, 'value' in answer ? answer.value : answer);
        if ((at + 1) % AT_ONCE === 0 && newest.current?.design === ask.design)
          show(ask.design, new Map(made));
      }
      return made;
    };
    request.current = latest(
      paintAll,
      (made, ask) => {
        if (newest.current?.design === ask.design) show(ask.design, made);
      },
      (error) => console.error(error),
    );
    return worker.close;
  }, []);
  const { width, height } = room;
  useEffect(() => {
    const ask = { design, lays, room: { width, height }, perMillimetre };
    newest.current = ask;
    request.current?.(ask);
  }, [design, lays, width, height, perMillimetre]);
  return shown?.made ?? NONE;
}
