import { useEffect, useRef } from 'react';
import type { Direction } from '../../core/design/construction.ts';
import { rational, toNumber } from '../../core/exact/rational.ts';
import { type LengthUnit, toMillimetres } from '../../core/units/length.ts';
import { useDesign } from '../state/bench-store.ts';
import { layGeometry } from './cloth-camera.ts';
import { useCloth } from './cloth-store.ts';

/** CSS pixels between two numbered marks, at least. */
const LEAST_APART = 56;

/** A measured edge of the cloth, where it has no sequence; zero is where the repeat begins. */
export function Ruler({ direction }: { direction: Direction }) {
  const { unit } = useDesign().lay;
  const canvas = useRef<HTMLCanvasElement>(null);
  const { camera, repeat, ratio, view } = useCloth();
  useEffect(() => {
    if (camera === undefined || repeat === undefined) return;
    const { stepX, stepY } = layGeometry(repeat, camera.perEnd, ratio, window.devicePixelRatio);
    const across = direction === 'warp';
    drawRuler(canvas.current!, {
      across,
      seen: across ? view.width : view.height,
      zero: across ? camera.x : camera.y,
      perMillimetre: across ? stepX : stepY,
      unit,
    });
  }, [camera, repeat, ratio, view, unit, direction]);
  return (
    <canvas
      ref={canvas}
      className="h-full w-full"
      role="img"
      aria-label={`Ruler in ${unit}, ${direction === 'warp' ? 'across' : 'up'}`}
    />
  );
}

interface Marks {
  readonly across: boolean;
  readonly seen: number;
  readonly zero: number;
  readonly perMillimetre: number;
  readonly unit: LengthUnit;
}

function drawRuler(canvas: HTMLCanvasElement, { across, seen, zero, perMillimetre, unit }: Marks): void {
  const pixelRatio = window.devicePixelRatio;
  const breadth = 36;
  canvas.width = Math.round((across ? seen : breadth) * pixelRatio);
  canvas.height = Math.round((across ? breadth : seen) * pixelRatio);
  const context = canvas.getContext('2d')!;
  context.scale(pixelRatio, pixelRatio);
  context.strokeStyle = '#6b7472';
  context.fillStyle = '#6b7472';
  context.font = '11px "Spline Sans Mono Variable", monospace';
  context.textBaseline = 'middle';
  context.textAlign = 'center';
  const perUnit = perMillimetre * toNumber(toMillimetres(rational(1), unit));
  const apart = niceStep(LEAST_APART / perUnit);
  // Down the left edge lengths grow upward.
  const at = (value: number) => zero + (across ? 1 : -1) * value * perUnit;
  const ends = [0, seen].map((place) => (across ? place - zero : zero - place) / perUnit);
  const first = Math.floor(Math.min(...ends) / apart);
  const last = Math.ceil(Math.max(...ends) / apart);
  for (let mark = first * 10; mark <= last * 10; mark += 1) {
    const place = Math.round(at((mark * apart) / 10)) + 0.5;
    const numbered = mark % 10 === 0;
    const length = numbered ? 10 : mark % 5 === 0 ? 7 : 4;
    context.beginPath();
    context.moveTo(across ? place : breadth, across ? breadth : place);
    context.lineTo(across ? place : breadth - length, across ? breadth - length : place);
    context.stroke();
    if (!numbered) continue;
    context.save();
    context.translate(across ? place : 13, across ? 14 : place);
    if (!across) context.rotate(-Math.PI / 2);
    context.fillText(String(Number(((mark / 10) * apart).toFixed(6))), 0, 0);
    context.restore();
  }
}

/** The smallest of 1, 2, 5, 10, 20 … that is not below `least`. */
export function niceStep(least: number): number {
  const power = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((times) => times * power).find((step) => step >= least * (1 - 1e-9))!;
}
