import { rational, toNumber } from '../exact/rational.ts';
import { clothCover, coverFactor, diametersPerInch, firmnessOf, settingShare } from '../thread/setting.ts';
import { buildWeave } from '../thread/weaves/build-weave.ts';
import { parseDensity } from '../units/density.ts';
import { fromTex, parseYarnCount, toTex } from '../units/yarn-count.ts';
import type { PlaidDesign } from './design-schema.ts';

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
  const { construction, lay, yarn } = design;
  const firmness = firmnessOf(buildWeave(construction.weave));
  const direction = (way: 'warp' | 'weft'): SettingFacts => {
    const { count, system } = yarn[way];
    const cotton = toNumber(fromTex(toTex(parseYarnCount(count, system), system), 'Ne'));
    const density = toNumber(parseDensity(way === 'warp' ? lay.ends : lay.picks));
    const perInch = lay.per === 'in' ? density : density * toNumber(rational(254, 100));
    const share = toNumber(settingShare(way === 'warp' ? firmness.ends : firmness.picks));
    return { perInch, suggested: diametersPerInch(cotton) * share, cover: coverFactor(perInch, cotton) };
  };
  const [warp, weft] = [direction('warp'), direction('weft')];
  return { warp, weft, cloth: clothCover(warp.cover, weft.cover) };
}
