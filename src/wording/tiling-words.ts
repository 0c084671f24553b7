import type { FormSpec, TilingSpec } from '../core/design/tiling/tiling-schema.ts';

/** A form in a few words: "4.8.8", "rhombuses 3 : 4". */
export function formText(form: FormSpec): string {
  switch (form.kind) {
    case 'regular':
    case 'two-kinds':
      return form.name;
    case 'rows':
      return `rows of squares and triangles, ${form.squares} and ${form.triangles}`;
    case 'rhombus':
      return `rhombuses ${form.across} : ${form.up}`;
    case 'bricks':
      return `bricks 1 : ${form.height}, stepped ${form.step}`;
    case 'basket':
      return `basket of ${form.count}`;
    case 'squares':
      return `two squares, 1 and ${form.small}`;
    case 'octagons':
      return `octagons and squares, 1 : ${form.slant}`;
    case 'triangles':
      return `triangles, ${form.height} high`;
    case 'hexagons':
      return `hexagons, ${form.across} : ${form.up}`;
    default:
      return form satisfies never;
  }
}

/** "dual of 3.6.3.6, turned by 90°". */
export function tilingText({ form, dual, turn }: Pick<TilingSpec, 'form' | 'dual' | 'turn'>): string {
  return `${dual ? 'dual of ' : ''}${formText(form)}${turn === 0 ? '' : `, turned by ${turn * 15}°`}`;
}

const POLYGONS: Readonly<Record<number, string>> = {
  3: 'Triangles',
  4: 'Four-sided faces',
  5: 'Pentagons',
  6: 'Hexagons',
  8: 'Octagons',
  12: 'Dodecagons',
};

/** "Octagons", "Faces of 10 sides". */
export function polygonText(sides: number): string {
  return POLYGONS[sides] ?? `Faces of ${sides} sides`;
}
