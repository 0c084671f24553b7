import { Minus, Plus, Scan } from 'lucide-react';
import { zoomByLevel, zoomToThree } from './cloth-actions.ts';
import { ZoomBar } from './zoom-bar.tsx';

const BUTTONS = [
  { label: 'Zoom out (−)', Icon: Minus, onClick: () => zoomByLevel(-1) },
  { label: 'Three repeats (2)', Icon: Scan, onClick: zoomToThree },
  { label: 'Zoom in (+)', Icon: Plus, onClick: () => zoomByLevel(1) },
] as const;

/** Nearer, farther, and three repeats again. */
export function ZoomButtons() {
  return <ZoomBar buttons={BUTTONS} />;
}
