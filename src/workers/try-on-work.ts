import { compile } from '../core/design/compile-design.ts';
import type { Design } from '../core/design/design-schema.ts';
import { compileTryOn, type TriedScene } from '../core/design/try-on/compile-try-on.ts';
import type { TryOnOrder } from '../core/design/try-on/order-try-on.ts';
import { type TryOnFacts, tryOnFacts } from '../core/design/try-on/try-on-facts.ts';
import { clothLayers, type Remember } from '../core/design/try-on/try-on-layers.ts';
import { tryOnPage } from '../core/design/try-on/try-on-page.ts';
import { tryOnPng } from '../core/design/try-on/try-on-png.ts';
import type { TryOn } from '../core/design/try-on/try-on-schema.ts';
import { tryOnSvg } from '../core/design/try-on/try-on-svg.ts';
import type { ClothLight } from '../core/paint/seen/cloth-light.ts';
import { lightOfUnit } from '../core/paint/seen/cloth-tile.ts';
import { prepareScene } from '../core/paint/seen/paint-scene.ts';
import { rowMemory } from '../core/paint/seen/remembered-rows.ts';
import type { SeenWindow } from '../core/paint/seen/seen-window.ts';
import type { RepeatUnit } from '../core/repeat/repeat-unit.ts';
import type { Pictures } from '../core/shape/picture.ts';
import { browserBase64, browserCompressor } from './browser-compressor.ts';

/** A design in a scene, and what of it is looked at. */
export interface SceneOrder {
  readonly design: Design;
  readonly tryOn: TryOn;
  readonly window: SeenWindow;
  /** Pixels of the screen that one painted pixel stands for each way; 1 paints all of them. */
  readonly coarse: number;
}

export interface PaintedScene {
  readonly image: ImageBitmap;
  readonly facts: TryOnFacts;
}

/** Files that a scene is sent as. */
export type SceneFile = 'png' | 'svg' | 'page';

/** Repeats and their lights that are kept: a scene has few cloths, and is painted again and again. */
const MOST_UNITS = 10;
const MOST_LIGHTS = 4;

/** Bytes of painted parts that are kept. */
const MOST_REMEMBERED = 96_000_000;

const units = new Map<string, RepeatUnit>();
const lights = new WeakMap<RepeatUnit, Map<string, ClothLight>>();

function sceneOf(design: Design, tryOn: TryOn, pictures: Pictures): TriedScene {
  return compileTryOn(design, tryOn, { unitOf: (each) => keptUnit(each, pictures) });
}

function keptUnit(design: Design, pictures: Pictures): RepeatUnit {
  const { shades, construction, lay, resolution } = design;
  const name = JSON.stringify([shades, construction, lay, resolution, pictures.size]);
  const known = units.get(name);
  if (known !== undefined) return known;
  const unit = compile(design, pictures);
  if (units.size >= MOST_UNITS) units.clear();
  units.set(name, unit);
  return unit;
}

function keptLight(unit: RepeatUnit, tile: { readonly width: number; readonly height: number }): ClothLight {
  const kept = lights.get(unit) ?? new Map<string, ClothLight>();
  lights.set(unit, kept);
  const name = `${tile.width} × ${tile.height}`;
  const known = kept.get(name);
  if (known !== undefined) return known;
  const light = lightOfUnit(unit, tile);
  if (kept.size >= MOST_LIGHTS) kept.clear();
  kept.set(name, light);
  return light;
}

/** What parts looked like: a drag changes one of them. */
const memory = rowMemory(MOST_REMEMBERED);
const unitNames = new WeakMap<RepeatUnit, number>();
let named = 0;

const remembered: Remember = (name, unit, rows) => {
  const known = unitNames.get(unit) ?? named;
  if (known === named) {
    unitNames.set(unit, named);
    named += 1;
  }
  return memory.remember(`${known} ${name}`, rows);
};

/** Paints the cloth of a scene as far as it is looked at. @throws CoreError as `compileTryOn` */
export function paintSceneOrder(
  { design, tryOn, window, coarse }: SceneOrder,
  pictures: Pictures,
): PaintedScene {
  const scene = sceneOf(design, tryOn, pictures);
  const fewer: SeenWindow = {
    corner: window.corner,
    width: Math.max(1, Math.ceil(window.width / coarse)),
    height: Math.max(1, Math.ceil(window.height / coarse)),
    perMillimetre: window.perMillimetre / coarse,
  };
  const image = new ImageData(fewer.width, fewer.height);
  prepareScene(clothLayers(scene, fewer, keptLight, remembered), fewer).paintRows(
    0,
    fewer.height,
    image.data,
  );
  const canvas = new OffscreenCanvas(fewer.width, fewer.height);
  canvas.getContext('2d')!.putImageData(image, 0, 0);
  return { image: canvas.transferToImageBitmap(), facts: tryOnFacts(scene) };
}

/** A scene as a file. @throws CoreError as `orderTryOn` */
export async function sceneFile(
  { design, tryOn }: Pick<SceneOrder, 'design' | 'tryOn'>,
  order: TryOnOrder,
  kind: SceneFile,
  pictures: Pictures,
): Promise<Blob> {
  const scene = sceneOf(design, tryOn, pictures);
  const files = { lightOf: keptLight, compressor: browserCompressor, base64: browserBase64 };
  const pieces: (Uint8Array<ArrayBuffer> | string)[] = [];
  if (kind === 'png') {
    for await (const piece of tryOnPng(scene, order, files)) pieces.push(Uint8Array.from(piece));
    return new Blob(pieces, { type: 'image/png' });
  }
  const written =
    kind === 'svg'
      ? tryOnSvg(scene, order, { title: design.name, ...files })
      : tryOnPage(scene, order, { design, ...files });
  for await (const piece of written) pieces.push(piece);
  return new Blob(pieces, { type: 'image/svg+xml' });
}
