import { useMemo } from 'react';
import { drawTryOn, inkOf } from '../../core/design/try-on/compile-try-on.ts';
import { usualTryOn } from '../../core/design/try-on/usual-try-on.ts';
import type { Scene } from '../../core/scene/scene.ts';
import { pathIn } from './drawing/scene-ink.tsx';

/** Room of an icon in CSS pixels. */
const WIDTH = 40;
const HEIGHT = 34;

/** A scene as a small drawing: the outlines of its parts, and what else is drawn in its heaviest line. */
export function SceneIcon({ scene }: { scene: Scene }) {
  const path = useMemo(() => iconPath(scene), [scene]);
  return (
    <svg aria-hidden="true" width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`}>
      <path d={path} fill="none" stroke="currentColor" strokeWidth={1.1} strokeLinejoin="round" />
    </svg>
  );
}

function iconPath({ key }: Scene): string {
  const letters = { text: 'A', font: 'bricolage-bold' } as const;
  const tried = drawTryOn({ resolution: '300' }, { ...usualTryOn(key), letters });
  const { ink, bounds } = inkOf({ ...tried, drawing: { ...tried.drawing, dimensions: [] } });
  const lines = ink.filter(({ weight }) => weight === 'outline').flatMap((each) => each.lines);
  const wide = bounds.right - bounds.left;
  const high = bounds.top - bounds.bottom;
  const perMillimetre = Math.min((WIDTH - 4) / wide, (HEIGHT - 4) / high);
  return pathIn(
    {
      perMillimetre,
      corner: {
        x: (bounds.left + bounds.right) / 2 - WIDTH / 2 / perMillimetre,
        y: (bounds.bottom + bounds.top) / 2 + HEIGHT / 2 / perMillimetre,
      },
    },
    lines,
  );
}
