import type { PliesDesign } from '../../core/design/design-schema.ts';
import { inShades } from '../../core/design/plies/in-shades.ts';
import { outcomeOf, valueIfAny } from '../../wording/attempt.ts';
import { useWorked } from '../state/use-worked.ts';

/** Room of a thumbnail in CSS pixels, and millimetres of cloth across it. */
export const THUMBNAIL = { width: 40, height: 30, millimetres: 16 } as const;

/**
 * A small picture of each ply's design, painted in a worker; undefined for shades and fades, for what makes no cloth, and
 * until it is there.
 */
export function usePlyThumbnails(
  { construction, shades }: PliesDesign,
  ratio: number,
): readonly (ImageBitmap | undefined)[] {
  const contents = construction.plies.map(({ content }) => content);
  const designs = contents.map((content) =>
    content.kind === 'design' ? valueIfAny(() => inShades(content, shades)) : undefined,
  );
  const room = {
    width: Math.round(THUMBNAIL.width * ratio),
    height: Math.round(THUMBNAIL.height * ratio),
  };
  const answer = useWorked(
    designs,
    async (api, wished) => {
      const made: (ImageBitmap | undefined)[] = [];
      for (const design of wished) {
        const swatch =
          design === undefined
            ? undefined
            : await api.swatch(design, room, room.width / THUMBNAIL.millimetres);
        made.push(outcomeOf(swatch)?.image);
      }
      return { value: made };
    },
    JSON.stringify(designs),
  );
  return outcomeOf(answer) ?? [];
}
