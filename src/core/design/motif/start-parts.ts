import type { MotifOrder } from '../new-design.ts';
import type { LineShape, Piece, PieceShape } from './motif-schema.ts';

type Order = Omit<MotifOrder, 'name' | 'shades' | 'pieces'> & { readonly pieces: readonly Piece[] };

export interface MotifStart {
  readonly key: string;
  readonly name: string;
  readonly what: string;
  /** Letters of its shades. */
  readonly letters: string;
  readonly order: (seed: number) => Order;
}

export const disc = (across: string): PieceShape => ({ kind: 'disc', across });
export const rectangle = (width: string, height: string, radii = '0'): PieceShape => ({
  kind: 'rectangle',
  width,
  height,
  radii,
});

/** A line through corners, each as its steps across and up. */
export function line(corners: string, more: Partial<LineShape> = {}): PieceShape {
  return through(corners, 'corner', more);
}

/** A line that curves through points. */
export function curved(places: string, more: Partial<LineShape> = {}): PieceShape {
  return through(places, 'curve', more);
}

function through(places: string, bend: 'corner' | 'curve', more: Partial<LineShape>): PieceShape {
  const points = places.split(' ').map((place) => {
    const [x = '', y = ''] = place.split(',');
    return { x, y, bend, radius: '0' };
  });
  return {
    kind: 'line',
    points,
    run: 'onward',
    width: '1/2',
    ends: 'sharp',
    dashes: null,
    strap: null,
    ...more,
  };
}
