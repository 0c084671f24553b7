import { HUE_BLENDS } from '../../colour/blend-hues.ts';
import { hexOf, type Rgb, rgbOf } from '../../colour/hex.ts';
import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import type { Design } from '../design-schema.ts';
import type { DesignContent } from './plies-schema.ts';

/** A design in the shades of the one that it is a ply of. @throws CoreError "band/shade" {shade} */
export function inShades(content: DesignContent, shades: readonly Shade[]): Design {
  const { design, shades: taken, tint } = content;
  const tinted = tint === null ? undefined : rgbOf(shadeOf(shades, tint).hex);
  const recoloured = design.shades.map((shade) => ({
    ...shade,
    hex:
      tinted === undefined
        ? shadeOf(shades, taken[shade.key] ?? '').hex
        : hexOf(asLight(tinted, rgbOf(shade.hex))),
  }));
  return { ...design, shades: recoloured };
}

/** A colour as light as another: the blend of luminosity (W3C Compositing and Blending Level 1, §10.2). */
function asLight(colour: Rgb, light: Rgb): Rgb {
  const [red, green, blue] = HUE_BLENDS.luminosity(colour, light).map((level) => Math.floor(level + 0.5));
  return [red!, green!, blue!];
}

/** @throws CoreError "band/shade" {shade} */
export function shadeOf(shades: readonly Shade[], key: string): Shade {
  const found = shades.find((shade) => shade.key === key);
  if (found === undefined) throw new CoreError('band/shade', { shade: key });
  return found;
}
