import { useEffect, useRef, useState } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import type { MotifLay } from '../../core/design/motif/motif-schema.ts';
import { latest } from '../../kit/latest.ts';
import { openClothWorker } from '../../workers/open-worker.ts';

/** This design laid another way, small: its cloth and its repeat, or why it cannot be laid so. */
export type LayThumbnail =
  | { readonly image: ImageBitmap; readonly size: { readonly width: number; readonly height: number } }
  | { readonly problem: string };

interface Ask {
  readonly design: MotifDesign;
  readonly lays: readonly MotifLay[];
  /** Device pixels. */
  readonly room: { readonly width: number; readonly height: number };
  readonly perMillimetre: number;
}

/** Paints a design in several lays one after another, in a worker; the newest design first. */
export function useLayThumbnails({ design, lays, room, perMillimetre }: Ask): readonly LayThumbnail[] {
  const [shown, setShown] = useState<readonly LayThumbnail[]>([]);
  const request = useRef<(ask: Ask) => void>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    const paintAll = async (ask: Ask) => {
      const made: LayThumbnail[] = [];
      for (const lay of ask.lays) {
        const laid = { ...ask.design, construction: { ...ask.design.construction, lay } };
        const answer = await worker.ask(async (api) => api.swatch(laid, ask.room, ask.perMillimetre));
        made.push('value' in answer ? answer.value : answer);
      }
      return made;
    };
    request.current = latest(paintAll, setShown, (error) => {
      console.error(error);
      setShown([]);
    });
    return worker.close;
  }, []);
  const { width, height } = room;
  useEffect(() => {
    request.current?.({ design, lays, room: { width, height }, perMillimetre });
  }, [design, lays, width, height, perMillimetre]);
  return shown;
}
