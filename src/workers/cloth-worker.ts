import './no-eval.ts';

import * as Comlink from 'comlink';
import type { Proof } from '../core/colour/proof.ts';
import { checkDesign } from '../core/design/check-design.ts';
import { compile } from '../core/design/compile-design.ts';
import type { BuiltBox } from '../core/design/construction.ts';
import type { Design, MotifDesign, PliesDesign } from '../core/design/design-schema.ts';
import { boxOnCloth, builtBox } from '../core/design/lay/laid-box.ts';
import { mostTurnedRepeats, turnOffers } from '../core/design/lay/turn-offers.ts';
import { markedUnit } from '../core/design/marked-unit.ts';
import { type MotifFacts, motifFacts } from '../core/design/motif/motif-facts.ts';
import { type PlyReport, pliesReport } from '../core/design/plies/plies-report.ts';
import type { PlySpec } from '../core/design/plies/plies-schema.ts';
import { type OffersWish, type PlyOffers, plyOffersOf } from '../core/design/plies/ply-offers-of.ts';
import { wholeToLowest } from '../core/design/plies/whole-to-lowest.ts';
import type { StrapReport } from '../core/design/strap/strap-report.ts';
import { strapsOfDesign } from '../core/design/strap/straps-of-design.ts';
import type { TryOnOrder } from '../core/design/try-on/order-try-on.ts';
import { isWhole, toNumber } from '../core/exact/rational.ts';
import { surdToNumber } from '../core/exact/surd.ts';
import type { Rectangle, Vector } from '../core/exact/vector.ts';
import {
  orderPicture,
  type PictureOrder,
  type PictureScale,
  type SheetFacts,
  sheetFacts,
} from '../core/formats/picture-order.ts';
import type { Sheet } from '../core/formats/sheet.ts';
import { type Look, paintRows, preparePainting } from '../core/paint/painting.ts';
import type { RepeatReport } from '../core/repeat/check-repeat.ts';
import type { RepeatSlope } from '../core/repeat/lay/exact-turn.ts';
import { pixelFits } from '../core/repeat/pixel-fit.ts';
import { proofed } from '../core/repeat/proofed.ts';
import { nearSize, type RepeatUnit, repeatSize } from '../core/repeat/repeat-unit.ts';
import type { Pictures } from '../core/shape/picture.ts';
import type { Place } from '../core/shape/places.ts';
import type { ClothMarks } from '../core/thread/mark-cells.ts';
import { parseResolution, pixelsIn } from '../core/units/resolution.ts';
import { loadPictures } from '../kit/pictures/load-pictures.ts';
import { type Attempt, attempt, attemptLater } from '../wording/attempt.ts';
import {
  type PaintedScene,
  paintSceneOrder,
  type SceneFile,
  type SceneOrder,
  sceneFile,
} from './try-on-work.ts';

/** What of the endless cloth is to be painted, in device pixels. */
export interface PatchOrder {
  readonly design: Design;
  readonly tile: { readonly width: number; readonly height: number };
  readonly look: Look;
  /** How it is seen; it changes nothing of the design. */
  readonly proof: Proof;
  readonly marks: ClothMarks;
  /** Pixels of the screen that one painted pixel stands for each way; 1 paints all of them. */
  readonly coarse: number;
  /** The piece of the cloth, from the repeat's upper left corner; the whole tile when it is not too large. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

let compiled: { readonly design: string; readonly unit: RepeatUnit } | undefined;

/** The unit of the design asked for last is kept: panning and zooming paint it again and again. */
function unitOf(design: Design, pictures: Pictures): RepeatUnit {
  const { shades, construction, lay, resolution } = design;
  const name = JSON.stringify([shades, construction, lay, resolution, pictures.size]);
  if (compiled?.design !== name) compiled = { design: name, unit: compile(design, pictures) };
  return compiled.unit;
}

/** Does some work with the unit of a design, when its pictures are there. */
async function withUnit<T>(design: Design, work: (unit: RepeatUnit) => T): Promise<Attempt<T>> {
  const pictures = await loadPictures(design);
  return attempt(() => work(unitOf(design, pictures)));
}

/** One repeat on the cloth, in steps: threads, or millimetres where there are none. */
export interface Measured {
  readonly ends: number;
  readonly picks: number;
  /** Millimetres of a step across. */
  readonly step: number;
  /** Corners of the box, and what carries the cloth onto itself, in steps. */
  readonly box: readonly Place[];
  readonly lattice: readonly [Place, Place];
  /** Cells of the lattice in one repeat, and by what the design is scaled. */
  readonly cells: number;
  readonly factor: number;
}

let measured: { readonly unit: RepeatUnit; readonly value: Measured } | undefined;

function measureUnit(design: Design, unit: RepeatUnit): Measured {
  const { grid, pitch } = unit;
  const { corners, lattice, cells, factor } = boxOnCloth(design, unit);
  if (grid.step === 'thread') {
    const step = { x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) };
    const inThreads = ({ x, y }: Place): Place => ({ x: x / step.x, y: y / step.y });
    return {
      ends: grid.ends,
      picks: grid.picks,
      step: step.x,
      box: corners.map(inThreads),
      lattice: [inThreads(lattice[0]), inThreads(lattice[1])],
      cells,
      factor,
    };
  }
  const size = nearSize(repeatSize(unit)!);
  const [ends, picks] = [toNumber(size.width), toNumber(size.height)];
  return { ends, picks, step: 1, box: corners, lattice, cells, factor };
}

/** A design in a small picture, and what one repeat of it is. */
export interface Swatch {
  readonly image: ImageBitmap;
  /** Millimetres. */
  readonly size: { readonly width: number; readonly height: number };
  /** Left out where it has none. */
  readonly threads?: { readonly ends: number; readonly picks: number };
  /** Whole pixels at its own resolution; undefined where one is smaller than that. */
  readonly pixels: { readonly width: number; readonly height: number } | undefined;
  /** Whether its threads can be kept whole. */
  readonly closes: boolean;
}

function pixelsOf({ width, height }: Rectangle, { resolution }: Design): Rectangle {
  const dpi = parseResolution(resolution);
  return { width: pixelsIn(width, dpi), height: pixelsIn(height, dpi) };
}

/** A turn as it is offered; sizes in millimetres. */
export interface ShownTurn {
  readonly slope: RepeatSlope;
  readonly degrees: number;
  readonly error: number;
  readonly repeats: number;
  readonly size: { readonly width: number; readonly height: number };
}

/** Turns near an angle, and how many repeats one may hold to be among them. */
export interface ShownTurns {
  readonly turns: readonly ShownTurn[];
  readonly most: number;
}

/** The same piece in fewer pixels. */
function coarser({ tile, x, y, width, height, coarse }: PatchOrder) {
  const fewer = (pixels: number) => Math.max(1, Math.round(pixels / coarse));
  return {
    tile: { width: fewer(tile.width), height: fewer(tile.height) },
    x: Math.round(x / coarse),
    y: Math.round(y / coarse),
    width: fewer(width),
    height: fewer(height),
  };
}

const api = {
  /** Size of one repeat in threads; in millimetres where there are none; and how its box lies there. */
  measure: (design: Design): Promise<Attempt<Measured>> =>
    withUnit(design, (unit) => {
      if (measured?.unit !== unit) measured = { unit, value: measureUnit(design, unit) };
      return measured.value;
    }),

  paint: async (order: PatchOrder): Promise<Attempt<ImageBitmap>> => {
    const answer = await withUnit(order.design, (plain) => {
      const { design, look, width, height } = order;
      const unit = markedUnit(proofed(plain, order.proof), design, order.marks);
      const small = coarser(order);
      const painting = preparePainting(unit, {
        tile: small.tile,
        look,
        width: small.width,
        offset: { x: small.x, y: small.y },
      });
      const image = new ImageData(small.width, small.height);
      paintRows(painting, 0, small.height, new Uint32Array(image.data.buffer));
      const canvas = new OffscreenCanvas(small.width, small.height);
      canvas.getContext('2d')!.putImageData(image, 0, 0);
      if (order.coarse === 1) return canvas.transferToImageBitmap();
      const whole = new OffscreenCanvas(width, height);
      whole.getContext('2d')!.drawImage(canvas, 0, 0, width, height);
      return whole.transferToImageBitmap();
    });
    return 'value' in answer ? Comlink.transfer(answer, [answer.value]) : answer;
  },

  /** Whole-pixel sizes of a picture that is to be sent. */
  order: (
    design: Design,
    {
      scale,
      sheet,
      stretch,
      isTrue,
    }: {
      readonly scale: PictureScale;
      readonly sheet: Sheet | undefined;
      readonly stretch: Vector;
      readonly isTrue: boolean;
    },
  ): Promise<Attempt<SheetFacts & { readonly order: PictureOrder }>> =>
    withUnit(design, (unit) => {
      const order = orderPicture(unit, scale, sheet, stretch, isTrue);
      return { order, ...sheetFacts(unit, order, sheet) };
    }),

  /** The cloth in so many device pixels, and what its repeat becomes. */
  swatch: async (
    design: Design,
    { width, height }: { readonly width: number; readonly height: number },
    perMillimetre: number,
  ): Promise<Attempt<Swatch>> => {
    const pictures = await loadPictures(design);
    const answer = attempt((): Swatch => {
      const unit = compile(design, pictures);
      const exact = nearSize(repeatSize(unit)!);
      const size = { width: toNumber(exact.width), height: toNumber(exact.height) };
      const pixels = (side: number) => Math.max(1, Math.round(side * perMillimetre));
      const tile = { width: pixels(size.width), height: pixels(size.height) };
      const painting = preparePainting(unit, { tile, width, offset: { x: 0, y: 0 }, look: 'flat' });
      const image = new ImageData(width, height);
      paintRows(painting, 0, height, new Uint32Array(image.data.buffer));
      const canvas = new OffscreenCanvas(width, height);
      canvas.getContext('2d')!.putImageData(image, 0, 0);
      return {
        image: canvas.transferToImageBitmap(),
        size,
        ...(unit.grid.step === 'thread' && { threads: { ends: unit.grid.ends, picks: unit.grid.picks } }),
        pixels: pixelFits(pixelsOf(exact, design), 1)[0],
        closes: unit.lattice.every(({ x, y }) => unit.grid.step === 'mm' || (isWhole(x) && isWhole(y))),
      };
    });
    return 'value' in answer ? Comlink.transfer(answer, [answer.value.image]) : answer;
  },

  /** What of a design is drawn once, whichever way it is laid; its width in millimetres. */
  built: (design: Design): Attempt<{ millimetres: number; counted: BuiltBox['counted'] } | undefined> =>
    attempt(() => {
      const box = builtBox(design);
      return box && { millimetres: surdToNumber(box.width), counted: box.counted };
    }),

  /** Turns near an angle after which the design repeats upright, as it is laid. */
  turns: (design: Design, degrees: number): Attempt<ShownTurns> =>
    attempt(() => {
      const level = compile({ ...design, lay: { ...design.lay, slope: null } });
      const turns = turnOffers(level, degrees).map(({ slope, degrees: met, error, repeats, size }) => ({
        slope,
        degrees: met,
        error,
        repeats,
        size: { width: surdToNumber(size.width), height: surdToNumber(size.height) },
      }));
      return { turns, most: mostTurnedRepeats(level) };
    }),

  check: async (design: Design): Promise<Attempt<RepeatReport>> => {
    const pictures = await loadPictures(design);
    return attempt(() => checkDesign(design, { pictures }));
  },

  straps: (design: Design): Attempt<StrapReport | null> => attempt(() => strapsOfDesign(design)),

  plies: (design: PliesDesign): Attempt<readonly PlyReport[]> => attempt(() => pliesReport(design)),

  /** What is offered for each of some plies, near an angle of each. */
  plyOffers: (design: PliesDesign, wished: readonly OffersWish[]): Attempt<readonly PlyOffers[]> =>
    attempt(() => plyOffersOf(design, wished)),

  /** At which scale a design goes a whole number of times into the lowest of plies. */
  wholeToLowest: (below: PliesDesign, over: Design): Attempt<PlySpec['scale']> =>
    attempt(() => wholeToLowest(below, over)),

  /** The cloth of a scene as it is looked at, and what is told of it. */
  tryOn: async (order: SceneOrder): Promise<Attempt<PaintedScene>> => {
    const pictures = await loadPictures({ ...order.design, tryOn: order.tryOn });
    const answer = attempt(() => paintSceneOrder(order, pictures));
    return 'value' in answer ? Comlink.transfer(answer, [answer.value.image]) : answer;
  },

  /** A scene as a file. */
  tryOnFile: async (
    tried: Pick<SceneOrder, 'design' | 'tryOn'>,
    order: TryOnOrder,
    kind: SceneFile,
  ): Promise<Attempt<Blob>> => {
    const pictures = await loadPictures({ ...tried.design, tryOn: tried.tryOn });
    return attemptLater(() => sceneFile(tried, order, kind, pictures));
  },

  motifFacts: (design: MotifDesign): Attempt<MotifFacts> => attempt(() => motifFacts(design)),
};

export type ClothWorker = typeof api;

Comlink.expose(api);
