import type { BoxGroup } from '../core/repeat/lay/group-blocks.ts';
import type { SixtyGroup } from '../core/repeat/lay/sixty-groups.ts';
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

/** What boxes are copied by, in the words of the trade; the other way where mirrors and rows go upward. */
const BOX_GROUP_NAMES: Readonly<Record<BoxGroup, readonly [across: string, up: string]>> = {
  pm: ['Mirrored across', 'Mirrored down'],
  pg: ['Every second row flipped', 'Every second column flipped'],
  cm: ['Mirrored across, rows moved', 'Mirrored down, columns moved'],
  p2: ['Every second column turned by half', 'Every second row turned by half'],
  p2mm: ['Mirrored both ways', 'Mirrored both ways'],
  p2mg: ['Mirrored across, every second row turned', 'Mirrored down, every second column turned'],
  p2gg: ['Flipped both ways', 'Flipped both ways'],
  c2mm: ['Turned by half, mirrored both ways', 'Turned by half, mirrored both ways'],
  p4: ['Four turned about a corner', 'Four turned about a corner'],
  p4mm: ['Four turned, mirrored through it', 'Four turned, mirrored through it'],
  p4gm: ['Four turned, mirrored beside it', 'Four turned, mirrored beside it'],
};

export function boxGroupName(group: BoxGroup, way: 'across' | 'up'): string {
  return BOX_GROUP_NAMES[group][way === 'across' ? 0 : 1];
}

const SIXTY_GROUP_NAMES: Readonly<Record<SixtyGroup, string>> = {
  p3: 'Turned by thirds',
  p3m1: 'Turned by thirds, mirrored through all centres',
  p31m: 'Turned by thirds, mirrored through some centres',
  p6: 'Turned by sixths',
  p6mm: 'Turned by sixths, mirrored six ways',
};

/** The same where they are copied by third and sixth turns. */
export function sixtyGroupName(group: SixtyGroup): string {
  return SIXTY_GROUP_NAMES[group];
}
