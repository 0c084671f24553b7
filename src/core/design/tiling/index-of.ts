import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';

/** Where on a card the shade of a key stands. @throws CoreError "band/shade" {shade} */
export function indexOf(key: string, shades: readonly Shade[]): number {
  const index = shades.findIndex((shade) => shade.key === key);
  if (index < 0) throw new CoreError('band/shade', { shade: key });
  return index;
}
