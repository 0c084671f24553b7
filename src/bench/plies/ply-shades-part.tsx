import { parseDegrees } from '../../core/design/motif/motif-numbers.ts';
import type { DesignContent, PlyContent } from '../../core/design/plies/plies-schema.ts';
import { toText } from '../../core/exact/rational.ts';
import { MAX_FADE_SHADES } from '../../core/shape/fade-way.ts';
import { FadeShades } from '../../kit/fields/fade-shades.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { FoldOut } from '../../kit/fold-out.tsx';
import { plural } from '../../wording/measures.ts';
import { FADE_AGAIN } from '../../wording/motif-words.ts';
import type { PlyPartProps } from './ply-part.tsx';
import { putPly } from './put-plies.ts';

/** Which shades of this design a ply shows. */
export function PlyShadesPart({ design, ply, at }: PlyPartProps) {
  const { content } = ply;
  const { shades } = design;
  const put = (next: PlyContent, tag?: string) => putPly(at, { content: next }, tag);
  switch (content.kind) {
    case 'shade':
      return (
        <ShadeSelect
          label="Shade of the ply"
          shade={content.shade}
          shades={shades}
          onChange={(shade) => put({ ...content, shade })}
        />
      );
    case 'fade':
      return (
        <>
          <FadeShades
            keys={content.shades}
            shades={shades}
            most={MAX_FADE_SHADES}
            onChange={(keys) => put({ ...content, shades: keys })}
          />
          <NumberField
            label="Direction, degrees"
            text={content.angle}
            resolve={(text) => toText(parseDegrees(text))}
            onChange={(angle) => put({ ...content, angle: angle.trim() }, 'fade-angle')}
          />
          <p className="hint">{FADE_AGAIN}</p>
        </>
      );
    case 'design':
      return <Recolour content={content} shades={shades} onChange={put} />;
    default:
      return content satisfies never;
  }
}

interface RecolourProps {
  readonly content: DesignContent;
  readonly shades: PlyPartProps['design']['shades'];
  readonly onChange: (content: DesignContent) => void;
}

function Recolour({ content, shades, onChange }: RecolourProps) {
  const { design, tint } = content;
  const hexOf = (key: string | undefined) => shades.find((shade) => shade.key === key)?.hex;
  const changed = design.shades.filter(({ key, hex }) => hexOf(content.shades[key]) !== hex).length;
  const state = tint !== null ? 'in one shade' : changed > 0 ? plural(changed, 'shade') : '';
  return (
    <FoldOut title="Recolour" state={state}>
      <ShadeSelect
        label="All in one shade, by lightness"
        shade={tint ?? ''}
        shades={shades}
        none="No: each shade by itself"
        onChange={(key) => onChange({ ...content, tint: key === '' ? null : key })}
      />
      {tint === null &&
        design.shades.map(({ key, name }) => (
          <ShadeSelect
            key={key}
            label={`${name} is shown as`}
            shade={content.shades[key] ?? ''}
            shades={shades}
            onChange={(next) => onChange({ ...content, shades: { ...content.shades, [key]: next } })}
          />
        ))}
    </FoldOut>
  );
}
