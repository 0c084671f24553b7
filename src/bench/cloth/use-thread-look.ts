import { useMemo } from 'react';
import { wovenOf } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { threadThickness } from '../../core/design/setting-facts.ts';
import type { ThreadLook } from '../../core/paint/cells/thread-light.ts';
import { useCloth } from './cloth-store.ts';

/** CSS pixels an end from which the interlacing is drawn as threads when nobody chose a look. */
const THREADS_FROM = 8;

/** How threads of a design are drawn at a size, or undefined for a flat look. */
export function useThreadLook(design: Design, perEnd: number): ThreadLook | undefined {
  const { look, light, yarnThick } = useCloth();
  const drawn = look === 'auto' ? perEnd >= THREADS_FROM : look !== 'flat';
  return useMemo(() => {
    const woven = drawn ? wovenOf(design) : undefined;
    if (woven === undefined) return undefined;
    const full = { warp: 1, weft: 1 };
    return { ...(yarnThick ? threadThickness(woven) : full), light, finished: look === 'finished' };
  }, [design, drawn, look, light, yarnThick]);
}
