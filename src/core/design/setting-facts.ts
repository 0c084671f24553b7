import { rational, toNumber } from '../exact/rational.ts';
import { clothCover, coverFactor, diametersPerInch, firmnessOf, settingShare } from '../thread/setting.ts';
import { buildWeave } from '../thread/weaves/build-weave.ts';
import { parseDensity } from '../units/density.ts';
import { fromTex, parseYarnCount, toTex } from '../units/yarn-count.ts';
import type { PlaidDesign } from './design-schema.ts';

/** Thinnest thread that is drawn, as a share of its space. */
const THINNEST = 0.08;

/** How close one direction is set, beside how close it can be. Doubles: roots are in them. */
export interface SettingFacts {
  /** Threads per inch, as they are. */
  readonly perInch: number;
  /** Threads per inch that the yarn and the structure allow. */
  readonly suggested: number;
  readonly cover: number;
}

/** Setting and cover of a woven design. */
export function settingFacts(design: PlaidDesign): {
  readonly warp: SettingFacts;
  readonly weft: SettingFacts;
  readonly cloth: number;
} {
  const firmness = firmnessOf(buildWeave(design.construction.weave));
  const direction = (way: 'warp' | 'weft'): SettingFacts => {
    const { cotton, perInch } = settingOf(design, way);
    const share = toNumber(settingShare(way === 'warp' ? firmness.ends : firmness.picks));
    return { perInch, suggested: diametersPerInch(cotton) * share, cover: coverFactor(perInch, cotton) };
  };
  const [warp, weft] = [direction('warp'), direction('weft')];
  return { warp, weft, cloth: clothCover(warp.cover, weft.cover) };
}

/** One direction's yarn as cotton count, and its threads per inch. */
function settingOf({ lay, yarn }: PlaidDesign, way: 'warp' | 'weft'): { cotton: number; perInch: number } {
  const { count, system } = yarn[way];
  const cotton = toNumber(fromTex(toTex(parseYarnCount(count, system), system), 'Ne'));
  const density = toNumber(parseDensity(way === 'warp' ? lay.ends : lay.picks));
  return { cotton, perInch: lay.per === 'in' ? density : density * toNumber(rational(254, 100)) };
}

/** Share of its space that each direction's thread fills, by its diameter as Peirce has it; at most 1. */
export function threadThickness(design: PlaidDesign): { readonly warp: number; readonly weft: number } {
  const share = (way: 'warp' | 'weft') => {
    const { cotton, perInch } = settingOf(design, way);
    return Math.min(1, Math.max(THINNEST, perInch / diametersPerInch(cotton)));
  };
  return { warp: share('warp'), weft: share('weft') };
}
