import type { PliesDesign } from '../../core/design/design-schema.ts';
import { plyName } from '../../core/design/plies/plies-report.ts';
import type { PlySpec } from '../../core/design/plies/plies-schema.ts';
import { PlyLookPart } from './ply-look-part.tsx';
import { PlyPlacePart } from './ply-place-part.tsx';
import { PlyShadesPart } from './ply-shades-part.tsx';
import { PlySourcePart } from './ply-source-part.tsx';

export interface PlyPartProps {
  readonly design: PliesDesign;
  readonly ply: PlySpec;
  /** Counted from the lowest. */
  readonly at: number;
}

/** The numbers of the chosen ply. */
export function PlyPart(props: PlyPartProps) {
  const { design, ply, at } = props;
  const name = plyName(ply.content, design.shades);
  return (
    <section
      aria-label={`Ply ${at + 1}`}
      className="flex flex-col gap-3 rounded-lg border border-woad/40 bg-woad-pale/30 p-3"
    >
      <h3 className="text-[14px]">
        Ply {at + 1} · {name}
      </h3>
      {ply.content.kind === 'design' && <PlySourcePart {...props} content={ply.content} />}
      <PlyLookPart {...props} />
      {ply.content.kind === 'design' && <PlyPlacePart {...props} />}
      <PlyShadesPart {...props} />
    </section>
  );
}
