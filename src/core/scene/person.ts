import type { Contour } from '../shape/contour.ts';
import { both, drawn } from './drawn.ts';

/** Height of the person as it is drawn below. */
const HEIGHT = 1720;

/** From the crown down the right of the middle: head, neck, shoulder, arm, and up again to the armpit; then leg to crotch. */
const HALF =
  'M0 1720C58 1720 92 1678 92 1618C92 1566 70 1522 44 1500L46 1462C60 1444 110 1434 168 1418C214 1406 232 1370 238 1316C250 1214 268 1120 282 1030C290 976 300 930 304 880C306 846 296 806 280 796C268 790 262 806 260 836L256 872C244 960 216 1080 196 1180C190 1210 186 1240 184 1262C176 1200 164 1130 166 1080C168 1020 184 960 184 890C182 760 164 600 152 470C144 350 138 200 126 84C124 66 132 52 160 34C174 24 172 6 154 4C130 0 92 0 76 6C66 10 64 24 64 40C66 170 62 300 52 440C44 560 24 700 6 800L0 806';

/**
 * The outline of a person who stands and is seen from the front, its feet on a line, round an upright middle at 0.
 * @param height  millimetres
 */
export function person(height: number): Contour {
  const scale = height / HEIGHT;
  return both(drawn(HALF, scale, scale)[0]!, 0);
}
