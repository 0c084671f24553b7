import { useMemo } from 'react';
import type { Design } from '../core/design/design-schema.ts';
import { bandScale } from '../core/design/lay/lay-schema.ts';
import { newPlaid, newStripe } from '../core/design/new-design.ts';
import { readDesign } from '../core/design/read-design.ts';
import { STRIPE_STARTS } from '../core/design/stripe/stripe-starts.ts';
import { PictureDialog } from '../picture/picture-dialog.tsx';
import { type PictureBand, widthOf, withColours } from '../picture/picture-wish.ts';

interface NewFromPictureProps {
  readonly file?: File;
  readonly onClose: () => void;
  readonly onMake: (design: Design) => void;
}

/** Begins a stripe, or in threads a plaid, from a line over a picture. */
export function NewFromPicture({ file, onClose, onMake }: NewFromPictureProps) {
  const scale = useMemo(() => bandScale(STRIPE_STARTS[0]!.design(0)), []);
  return (
    <PictureDialog
      title="Bands from a picture"
      action="Create"
      card={NO_SHADES}
      bands={FIRST}
      scale={scale}
      {...(file !== undefined && { file })}
      onClose={onClose}
      onTake={({ bands, wish: { unit } }) => onMake(designOf(bands, unit))}
    />
  );
}

const NO_SHADES: never[] = [];

/** A hand’s width, so that the bands can be seen on the cloth. */
const FIRST = { unit: 'mm', total: 100 } as const;

function designOf(bands: readonly PictureBand[], unit: Parameters<typeof widthOf>[1]): Design {
  const shades = withColours([], new Set(bands.map(({ hex }) => hex)));
  const keyOf = (hex: string) => shades.find((shade) => shade.hex === hex)!.key;
  const name = 'From a picture';
  if (unit === 'thread') {
    const counted = bands.map(({ hex, count }) => ({ shade: keyOf(hex), count }));
    return readDesign(newPlaid({ name, shades, warp: { bands: counted, mirror: 'none' } }));
  }
  const wide = bands.map((band) => ({ shade: keyOf(band.hex), width: widthOf(band, unit) }));
  return readDesign(newStripe({ name, shades, bands: wide, unit }));
}
