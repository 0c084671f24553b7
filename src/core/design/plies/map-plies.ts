import type { ShadePath } from '../construction.ts';
import type { PliesSpec, PlyContent } from './plies-schema.ts';

/** Plies with another shade in the place of each that they name; those of the designs in them stay as they are. */
export function mapPlies(spec: PliesSpec, to: (key: string, path: ShadePath) => string): PliesSpec {
  return {
    ...spec,
    plies: spec.plies.map((ply, at) => ({
      ...ply,
      content: mapContent(ply.content, (key, path) => to(key, ['plies', at, 'content', ...path])),
    })),
  };
}

function mapContent(content: PlyContent, to: (key: string, path: ShadePath) => string): PlyContent {
  switch (content.kind) {
    case 'shade':
      return { ...content, shade: to(content.shade, ['shade']) };
    case 'fade':
      return { ...content, shades: content.shades.map((key, at) => to(key, ['shades', at])) };
    case 'design': {
      const taken = Object.entries(content.shades).map(([own, key]) => [own, to(key, ['shades', own])]);
      const { tint } = content;
      return { ...content, shades: Object.fromEntries(taken), tint: tint && to(tint, ['tint']) };
    }
    default:
      return content satisfies never;
  }
}
