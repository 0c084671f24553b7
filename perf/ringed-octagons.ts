import { newTiling } from '../src/core/design/new-design.ts';

export const SHADES = [
  { key: 'A', name: 'Dark', hex: '#203040' },
  { key: 'B', name: 'Light', hex: '#f0e8d0' },
  { key: 'C', name: 'Red', hex: '#a04030' },
];

/** 4.8.8 with three rings, its slanting sides free. */
export function ringedOctagons() {
  return newTiling({
    name: 'Octagons',
    shades: SHADES,
    form: { kind: 'octagons', slant: '7/8' },
    rings: [
      { share: '7/8', shade: 'B' },
      { share: '3/4', shade: 'C' },
      { share: '1/2', shade: null },
    ],
    size: '20 mm',
  });
}
