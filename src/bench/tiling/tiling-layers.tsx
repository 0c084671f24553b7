import { useMemo } from 'react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { tilingOf } from '../../core/design/tiling/shape-of-tiling.ts';
import { sideKinds } from '../../core/faces/face-lines.ts';
import { foldTiling } from '../../core/faces/torus.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { polygonText } from '../../wording/tiling-words.ts';
import { FadePart } from './tiling-fade-part.tsx';
import { GapsPart } from './tiling-gaps-part.tsx';
import { LettersPart } from './tiling-letters-part.tsx';
import { LinesPart } from './tiling-lines-part.tsx';
import { PicturePart } from './tiling-picture-part.tsx';
import { StarPart } from './tiling-star-part.tsx';

/** Numbers of sides that the faces have, and the kinds of sides between them. */
function useKinds({ construction }: TilingDesign) {
  return useMemo(() => {
    const tiling = valueIfAny(() => tilingOf(construction));
    if (tiling === undefined) return { faces: [], sides: [] };
    const faces = [...new Set(tiling.faces.map(({ length }) => length))].sort((a, b) => a - b);
    return { faces, sides: sideKinds(foldTiling(tiling)) };
  }, [construction]);
}

/** What lies over the faces: a fade, a picture, gaps, stars, lines, letters. */
export function TilingLayers({ design }: { design: TilingDesign }) {
  const kinds = useKinds(design);
  const all = { value: '', text: 'All faces' };
  const faceOptions = [
    all,
    ...kinds.faces.map((sides) => ({ value: String(sides), text: polygonText(sides) })),
  ];
  return (
    <>
      <FadePart design={design} faceOptions={faceOptions} />
      <PicturePart design={design} faceOptions={faceOptions} />
      <GapsPart design={design} />
      <StarPart design={design} faces={kinds.faces} />
      <LinesPart design={design} faceOptions={faceOptions} sides={kinds.sides} />
      <LettersPart design={design} faceOptions={faceOptions} />
    </>
  );
}
