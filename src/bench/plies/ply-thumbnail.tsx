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

const LOOK = 'block flex-none rounded border border-rule bg-white';

/** What lies in a ply, small. */
export function PlyThumbnail({ content, shades, image }: PlyThumbnailProps) {
  if (content.kind === 'design') return <Picture image={image} />;
  return (
    <span
      aria-hidden="true"
      className={LOOK}
      style={{ ...THUMBNAIL, background: groundOf(content, shades) }}
    />
  );
}

function Picture({ image }: Pick<PlyThumbnailProps, 'image'>) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = canvas.current!;
    element.width = image?.width ?? 1;
    element.height = image?.height ?? 1;
    if (image !== undefined) element.getContext('2d')!.drawImage(image, 0, 0);
  }, [image]);
  return <canvas ref={canvas} aria-hidden="true" className={LOOK} style={{ ...THUMBNAIL }} />;
}

type Painted = Exclude<PlyContent, { readonly kind: 'design' }>;

/** A shade or a fade as CSS, which counts degrees clockwise from upward. */
function groundOf(content: Painted, shades: readonly Shade[]): string {
  const hexOf = (key: string) => shades.find((shade) => shade.key === key)?.hex ?? '#ffffff';
  if (content.kind === 'shade') return hexOf(content.shade);
  return `linear-gradient(${90 - Number.parseFloat(content.angle)}deg, ${content.shades.map(hexOf).join(', ')})`;
}
