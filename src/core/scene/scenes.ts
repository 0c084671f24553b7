import { CoreError } from '../error.ts';
import type { Scene } from './scene.ts';
import { apron } from './scenes/apron.ts';
import { blind } from './scenes/blind.ts';
import { compartment } from './scenes/compartment.ts';
import { curtain } from './scenes/curtain.ts';
import { cushion } from './scenes/cushion.ts';
import { dress } from './scenes/dress.ts';
import { floor } from './scenes/floor.ts';
import { lettersScene, pathScene } from './scenes/given-shapes.ts';
import { disc, plainEllipse, plainRectangle, regularPolygon, ring } from './scenes/plain-shapes.ts';
import { scarf } from './scenes/scarf.ts';
import { seat } from './scenes/seat.ts';
import { shirt } from './scenes/shirt.ts';
import { splashback } from './scenes/splashback.ts';
import { swatch } from './scenes/swatch.ts';
import { tableCloth } from './scenes/table-cloth.ts';
import { tie } from './scenes/tie.ts';
import { toteBag } from './scenes/tote-bag.ts';
import { wall } from './scenes/wall.ts';

/** All that cloth may be tried on, in the order in which it is offered. A new scene is one file and a line here. */
export const SCENES: readonly Scene[] = [
  swatch,
  plainRectangle,
  disc,
  plainEllipse,
  ring,
  regularPolygon,
  lettersScene,
  pathScene,
  shirt,
  dress,
  apron,
  scarf,
  tie,
  toteBag,
  cushion,
  curtain,
  blind,
  seat,
  tableCloth,
  wall,
  floor,
  splashback,
  compartment,
];

/** @throws CoreError "scene/unknown" {scene, known} */
export function sceneOf(key: string): Scene {
  const found = SCENES.find((scene) => scene.key === key);
  if (found === undefined) {
    throw new CoreError('scene/unknown', { scene: key.slice(0, 60), known: SCENES.map((each) => each.key) });
  }
  return found;
}
