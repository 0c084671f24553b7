import { create } from 'zustand';
import type { TryOnFacts } from '../../core/design/try-on/try-on-facts.ts';
import type { Box } from '../../core/shape/figure-box.ts';
import type { Size } from '../../kit/use-size.ts';
import { FITTED, type SceneCamera } from './drawing/scene-camera.ts';
import type { Beside } from './try-on-edits.ts';

/** What is looked at of a scene; it belongs to the bench, not to the design. */
interface TryOnLook {
  /** Key of the part that is worked on; undefined for the first. */
  readonly part: string | undefined;
  /** The bend of it whose handles are shown. */
  readonly bend: number;
  readonly camera: SceneCamera;
  readonly view: Size;
  /** A box that holds all that is drawn, in millimetres. */
  readonly bounds: Box;
  /** One scene, the same in every colourway, or in each of the designs that it holds. */
  readonly beside: Beside;
  /** What the painter found of the scene. */
  readonly facts: TryOnFacts | undefined;
  /** Why there is no cloth in it. */
  readonly problem: string | undefined;
}

export const useTryOn = create<TryOnLook>(() => ({
  part: undefined,
  bend: 0,
  camera: FITTED,
  view: { width: 0, height: 0 },
  bounds: { left: 0, right: 1, bottom: 0, top: 1 },
  beside: 'one',
  facts: undefined,
  problem: undefined,
}));

export function choosePart(part: string): void {
  useTryOn.setState({ part, bend: 0 });
}
