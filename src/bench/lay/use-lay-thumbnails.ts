import { useEffect, useRef, useState } from 'react';
import type { Design } from '../../core/design/design-schema.ts';
import type { Arrangement } from '../../core/design/lay/lay-schema.ts';
import { latest } from '../../kit/latest.ts';
import type { Swatch } from '../../workers/cloth-worker.ts';
import { openClothWorker } from '../../workers/open-worker.ts';

/** This design laid another way, small, or why it cannot be laid so. */
export type LayThumbnail = Swatch | { readonly problem: string };

interface Ask {
  /** Neither scaled nor turned. */
  readonly design: Design;
  readonly lays: readonly Arrangement[];
  /** Device pixels. */
  readonly room: { readonly width: number; readonly height: number };
  readonly perMillimetre: number;
}

/** How many thumbnails are painted before those that are there are shown. */
const AT_ONCE = 6;

/** Paints a design in several lays one after another, in a worker; the newest design first. */
export function useLayThumbnails({ design, lays, room, perMillimetre }: Ask): readonly LayThumbnail[] {
  const [shown, setShown] = useState<readonly LayThumbnail[]>([]);
  const request = useRef<(ask: Ask) => void>(undefined);
  const newest = useRef<Ask>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    const paintAll = async (ask: Ask) => {
      const made: LayThumbnail[] = [];
      for (const arrangement of ask.lays) {
        // A newer design is waited for: what is left of this one is not worth painting.
        if (newest.current !== ask) break;
        const laid = { ...ask.design, lay: { ...ask.design.lay, arrangement } };
        const answer = await worker.ask(async (api) => api.swatch(laid, ask.room, ask.perMillimetre));
        made.push('value' in answer ? answer.value : answer);
        if (made.length % AT_ONCE === 0 && newest.current === ask) setShown([...made]);
      }
      return made;
    };
    request.current = latest(
      paintAll,
      (made, ask) => {
        if (newest.current === ask) setShown(made);
      },
      (error) => {
        console.error(error);
        setShown([]);
      },
    );
    return worker.close;
  }, []);
  const { width, height } = room;
  useEffect(() => {
    const ask = { design, lays, room: { width, height }, perMillimetre };
    newest.current = ask;
    request.current?.(ask);
  }, [design, lays, width, height, perMillimetre]);
  return shown;
}
