import { useEffect, useRef } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import type { PlyContent } from '../../core/design/plies/plies-schema.ts';
import { THUMBNAIL } from './use-ply-thumbnails.ts';

interface PlyThumbnailProps {
  readonly content: PlyContent;
  readonly shades: readonly Shade[];
  /** Of a design. */
  readonly image: ImageBitmap | undefined;
}

/** What lies in a ply, small. */
export function PlyThumbnail({ content, shades, image }: PlyThumbnailProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { width, height } = THUMBNAIL;
  useEffect(() => {
    const element = canvas.current!;
    element.width = image?.width ?? 1;
    element.height = image?.height ?? 1;
    if (image !== undefined) element.getContext('2d')!.drawImage(image, 0, 0);
  }, [image]);
  return (
    <canvas
      ref={canvas}
      aria-hidden="true"
      className="block flex-none rounded border border-rule bg-white"
      style={{ width, height, background: groundOf(content, shades) }}
    />
  );
}

function groundOf(content: PlyContent, shades: readonly Shade[]): string | undefined {
  const hexOf = (key: string) => shades.find((shade) => shade.key === key)?.hex ?? '#ffffff';
  switch (content.kind) {
    case 'design':
      return undefined;
    case 'shade':
      return hexOf(content.shade);
    case 'fade':
      // CSS counts degrees clockwise from upward.
      return `linear-gradient(${90 - Number.parseFloat(content.angle)}deg, ${content.shades.map(hexOf).join(', ')})`;
    default:
      return content satisfies never;
  }
}
