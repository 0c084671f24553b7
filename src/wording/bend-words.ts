import type { BendKind, BendSpec } from '../core/design/try-on/try-on-schema.ts';

/** What each bend is called. */
export const BEND_WORDS: Readonly<Record<BendKind, string>> = {
  arc: 'Along an arc',
  waist: 'Waisted',
  ripple: 'Rippled',
  folds: 'In folds',
  form: 'Round a form',
  perspective: 'In perspective',
};

/** The numbers of a bend in a line. */
export function bendText(bend: BendSpec): string {
  switch (bend.kind) {
    case 'arc':
      return bend.degrees;
    case 'waist':
      return `${bend.share} at ${bend.at}`;
    case 'ripple':
      return `${bend.length}, ${bend.height} high`;
    case 'folds':
      return `${bend.count}, ${bend.depth} deep`;
    case 'form':
      return `${bend.across} × ${bend.up}`;
    case 'perspective':
      return 'four corners';
    default:
      return bend satisfies never;
  }
}
