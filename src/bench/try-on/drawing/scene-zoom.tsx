import { Minus, Plus, Scan } from 'lucide-react';
import { ZoomBar } from '../../cloth/zoom-bar.tsx';
import { fitScene, zoomScene } from './scene-actions.ts';

const BUTTONS = [
  { label: 'Zoom out (−)', Icon: Minus, onClick: () => zoomScene(0.8) },
  { label: 'All of it (2)', Icon: Scan, onClick: fitScene },
  { label: 'Zoom in (+)', Icon: Plus, onClick: () => zoomScene(1.25) },
] as const;

/** Nearer, farther, and all of the drawing again. */
export function SceneZoom() {
  return <ZoomBar buttons={BUTTONS} />;
}
