import { useEffect, useRef, useState } from 'react';
import type { Proof } from '../../core/colour/proof.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { ThreadLook } from '../../core/paint/cells/thread-light.ts';
import type { ClothMarks } from '../../core/thread/mark-cells.ts';
import { latest } from '../../kit/latest.ts';
import type { Measured, PatchOrder } from '../../workers/cloth-worker.ts';
import { openFirstClothWorker } from '../../workers/open-worker.ts';
import { dispatch } from '../state/bench-store.ts';
import {
  type Camera,
  type ClothGeometry,
  covers,
  layGeometry,
  type Piece,
  pieceFor,
  type Size,
} from './cloth-camera.ts';
import { useCloth } from './cloth-store.ts';
import type { Patch } from './draw-cloth.ts';

interface Wish {
  /** The design on the bench, and as it is seen: from behind it is another. */
  readonly onBench: Design;
  readonly design: Design;
  readonly proof: Proof;
  readonly marks: ClothMarks;
  /** Threads as they are drawn, or undefined for a flat look. */
  readonly threads: ThreadLook | undefined;
  readonly perEnd: number;
  readonly ratio: number;
  readonly pixelRatio: number;
  readonly camera: Camera;
  readonly view: Size;
}

/** A piece as the worker painted it. */
interface Painted extends Omit<Patch, 'serial'> {
  readonly piece: Piece;
  readonly repeat: Measured;
  readonly onBench: Design;
}

/** Milliseconds of painting from which the next piece is shown coarsely first, and how coarsely. */
const SLOW = 150;
const COARSE = 4;

/** Keeps a painted piece of the cloth for what is looked at; the newest wish wins. */
export function useClothPainter(wish: Wish | undefined): Patch | undefined {
  const [patch, setPatch] = useState<Patch>();
  const painted = useRef<{ readonly wish: Wish; readonly piece: Piece }>(undefined);
  const ask = useRef<(wish: Wish) => void>(undefined);
  const asked = useRef<Wish>(undefined);
  const lasted = useRef(0);
  useEffect(() => {
    const worker = openFirstClothWorker();
    const paint = async (next: Wish) => {
      const measured = await worker.ask(async (api) => api.measure(next.design));
      if ('problem' in measured) return measured;
      const geometry = layGeometry(measured.value, next.perEnd, next.ratio, next.pixelRatio);
      const piece = pieceFor(next.camera, next.view, geometry, next.pixelRatio);
      const order: PatchOrder = {
        design: next.design,
        tile: geometry.tile,
        look: next.threads ?? 'flat',
        proof: next.proof,
        marks: next.marks,
        ...piece,
        coarse: 1,
      };
      const paintBy = async (coarse: number) => {
        const answer = await worker.ask(async (api) => api.paint({ ...order, coarse }));
        return 'problem' in answer
          ? answer
          : { bitmap: answer.value, geometry, piece, repeat: measured.value, onBench: next.onBench };
      };
      if (lasted.current > SLOW) {
        const coarse = await paintBy(COARSE);
        if (!('problem' in coarse)) show(coarse, undefined);
      }
      const began = performance.now();
      const fine = await paintBy(1);
      lasted.current = performance.now() - began;
      return fine;
    };
    const show = ({ repeat, onBench, ...fresh }: Painted, done: Wish | undefined) => {
      // What is shown coarsely is still wished for.
      if (done !== undefined) painted.current = { wish: done, piece: fresh.piece };
      const cloth = useCloth.getState();
      useCloth.setState({ measured: onBench, repeat: isSame(cloth.repeat, repeat) ? cloth.repeat : repeat });
      setPatch((old) => {
        old?.bitmap.close();
        return { ...fresh, serial: (old?.serial ?? 0) + 1 };
      });
    };
    ask.current = latest(
      paint,
      (result, next) => {
        if ('problem' in result) {
          dispatch({ kind: 'problem', design: next.onBench, sentence: result.problem });
          return;
        }
        show(result, next);
        dispatch({ kind: 'painted' });
      },
      (error, next) => {
        console.error(error);
        dispatch({
          kind: 'problem',
          design: next.onBench,
          sentence: 'The cloth could not be painted. Undo the last change, or reload.',
        });
      },
    );
    return worker.close;
  }, []);
  useEffect(() => {
    if (wish === undefined || wish.view.width === 0) return;
    if (!needsPaint(painted.current, wish, patch?.geometry)) return;
    // A coarse piece comes while the fine one is still on its way.
    if (asked.current === wish) return;
    asked.current = wish;
    ask.current?.(wish);
  }, [wish, patch]);
  return patch;
}

function isSame(a: Measured | undefined, b: Measured): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Panning over what is painted already needs nothing new. */
function needsPaint(
  painted: { readonly wish: Wish; readonly piece: Piece } | undefined,
  wish: Wish,
  geometry: ClothGeometry | undefined,
): boolean {
  if (painted === undefined || geometry === undefined) return true;
  const { design, proof, marks, threads, perEnd, ratio, pixelRatio } = painted.wish;
  const same =
    design === wish.design &&
    proof === wish.proof &&
    marks === wish.marks &&
    threads === wish.threads &&
    perEnd === wish.perEnd &&
    ratio === wish.ratio &&
    pixelRatio === wish.pixelRatio;
  return !same || !covers(painted.piece, wish.camera, wish.view, geometry.tile, wish.pixelRatio);
}
