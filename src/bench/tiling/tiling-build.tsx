import { CheckField } from '../../kit/fields/check-field.tsx';
import { Panel } from '../../kit/panel.tsx';
import { useDesignOf } from '../state/use-construction.ts';
import { FaceRings } from './face-rings.tsx';
import { putTiling } from './put-tiling.ts';
import { TilingChooser } from './tiling-chooser.tsx';
import { TilingColours } from './tiling-colours.tsx';
import { TilingForm } from './tiling-form.tsx';
import { TilingLayers } from './tiling-layers.tsx';
import { TilingPart } from './tiling-part.tsx';
import { TilingShape } from './tiling-shape.tsx';

/** The unit of a tiling: which one, how large, how it lies, which faces are alike, and what lies over them. */
export function TilingBuild() {
  const design = useDesignOf('tiling');
  const { form, dual } = design.construction;
  return (
    <Panel title="Build" purpose="Polygons that cover the plane, in exact sides.">
      <TilingChooser design={design} />
      <TilingForm form={form} />
      <CheckField
        text="Dual tiling: middles of faces become corners"
        on={dual}
        onChange={(on) => putTiling({ dual: on })}
      />
      <TilingPart design={design} />
      <TilingShape design={design} />
      <TilingColours design={design} />
      <FaceRings design={design} />
      <TilingLayers design={design} />
    </Panel>
  );
}
