import type { PlaneGroup } from '../core/tiling/plane-group.ts';

/** What each plane group has beside its shifts. */
const GROUP_WORDS: Readonly<Record<PlaneGroup, string>> = {
  p1: 'Shifts alone',
  p2: 'Half turns',
  pm: 'Mirrored one way',
  pg: 'Mirrored and slid, one way',
  cm: 'Mirrored one way, in rows that are moved by half',
  p2mm: 'Mirrored both ways',
  p2mg: 'Mirrored one way, half turns between',
  p2gg: 'Half turns, mirrored and slid both ways',
  c2mm: 'Mirrored both ways, in rows that are moved by half',
  p4: 'Quarter turns',
  p4mm: 'Quarter turns, mirrored four ways',
  p4gm: 'Quarter turns, mirrors beside them',
  p3: 'Third turns',
  p3m1: 'Third turns, mirrors through all of them',
  p31m: 'Third turns, mirrors through some of them',
  p6: 'Sixth turns',
  p6mm: 'Sixth turns, mirrored six ways',
};

/** "Half turns (p2)"; the symbol is that of International Tables for Crystallography, vol. A. */
export function groupText(group: PlaneGroup): string {
  return `${GROUP_WORDS[group]} (${group})`;
}
