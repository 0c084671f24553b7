import { releaseProxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Proof } from '../core/colour/proof.ts';
import type { Design } from '../core/design/design-schema.ts';
import type { ThreadLook } from '../core/paint/thread-light.ts';
import type { ClothMarks } from '../core/thread/mark-cells.ts';
import { latest } from '../kit/latest.ts';
import type { PatchOrder } from '../workers/cloth-worker.ts';
import { openClothWorker } from '../workers/open-worker.ts';
import { dispatch } from './bench-store.ts';
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

/** Keeps a painted piece of the cloth for what is looked at; the newest wish wins. */
export function useClothPainter(wish: Wish | undefined): Patch | undefined {
  const [patch, setPatch] = useState<Patch>();
  const painted = useRef<{ readonly wish: Wish; readonly piece: Piece }>(undefined);
  const ask = useRef<(wish: Wish) => void>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    const paint = async (next: Wish) => {
      const measured = await worker.measure(next.design);
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
      };
      const answer = await worker.paint(order);
      return 'problem' in answer ? answer : { bitmap: answer.value, geometry, piece, repeat: measured.value };
    };
    ask.current = latest(
      paint,
      (result, next) => {
        if ('problem' in result) {
          dispatch({ kind: 'problem', problem: result.problem });
          return;
        }
        const { repeat, ...fresh } = result;
        painted.current = { wish: next, piece: result.piece };
        if (!sameRepeat(useCloth.getState().repeat, repeat)) useCloth.setState({ repeat });
        setPatch((old) => {
          old?.bitmap.close();
          return { ...fresh, serial: (old?.serial ?? 0) + 1 };
        });
        dispatch({ kind: 'problem', problem: undefined });
      },
      (error) => {
        console.error(error);
        dispatch({
          kind: 'problem',
          problem: 'The cloth could not be painted. Undo the last change, or reload.',
        });
      },
    );
    return () => worker[releaseProxy]();
  }, []);
  useEffect(() => {
    if (wish === undefined || wish.view.width === 0) return;
    if (!needsPaint(painted.current, wish, patch?.geometry)) return;
    ask.current?.(wish);
  }, [wish, patch]);
  return patch;
}

function sameRepeat(
  a: { ends: number; picks: number } | undefined,
  b: { ends: number; picks: number },
): boolean {
  return a?.ends === b.ends && a.picks === b.picks;
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
