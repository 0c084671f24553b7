import { PNG } from 'pngjs';
import { picturesUsed } from '../src/core/design/compile-design.ts';
import type { Design } from '../src/core/design/design-schema.ts';
import type { Picture, Pictures } from '../src/core/shape/picture.ts';

/** The pictures that a design carries, all of them PNGs, read by another package than Vetro does. */
export function picturesOf(design: Design): Pictures {
  return new Map(
    picturesUsed(design).map(({ hash }): readonly [string, Picture] => {
      const file = design.pictures[hash]!;
      const { width, height, data } = PNG.sync.read(Buffer.from(file.base64, 'base64'));
      return [hash, { width, height, rgba: new Uint8Array(data), file }];
    }),
  );
}
