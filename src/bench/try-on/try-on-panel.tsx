import { readSceneNumber } from '../../core/design/try-on/try-on-numbers.ts';
import { sceneOf } from '../../core/scene/scenes.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { Panel } from '../../kit/panel.tsx';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { BesideFields } from './beside-fields.tsx';
import { useChosenPart, useDrawnScene } from './drawing/use-drawn-scene.ts';
import { GivenShape } from './given-shape.tsx';
import { PartList } from './part-list.tsx';
import { PartPanel } from './part-panel.tsx';
import { SceneChooser } from './scene-chooser.tsx';
import { SeamsPart } from './seams-part.tsx';
import { SendScene } from './send-scene.tsx';
import { type Beside, setSceneNumber, tryOnOf, waysToSee } from './try-on-edits.ts';
import { useTryOn } from './try-on-store.ts';

/** How the cloth looks in use. */
export function TryOnPanel() {
  const design = useDesign();
  const tryOn = tryOnOf(design);
  const scene = sceneOf(tryOn.scene);
  const drawn = useDrawnScene(design);
  const beside = useTryOn((look) => look.beside);
  const parts = drawn?.tried.parts ?? [];
  const ways = waysToSee(design);
  const part = useChosenPart(design, drawn);
  return (
    <Panel title="Try on" purpose="How the cloth looks in use. The design stays as it is.">
      <SceneChooser chosen={tryOn.scene} />
      <h3 className="border-rule border-t pt-3 text-[15px]">{scene.name}</h3>
      <GivenShape design={design} needs={scene.needs} />
      <div className="-mt-1 grid grid-cols-2 gap-3">
        {scene.numbers.map(({ key, label, usual, in: unit }) => (
          <NumberField
            key={`${tryOn.scene}-${key}`}
            label={label}
            text={tryOn.numbers[key] ?? (unit === 'mm' ? `${usual} mm` : String(usual))}
            resolve={(text) => {
              const value = readSceneNumber(tryOn.scene, key, text);
              return unit === 'mm' ? `${Number(value.toFixed(2))} mm` : String(value);
            }}
            onChange={(text) =>
              dispatch({ kind: 'edit', edit: setSceneNumber(key, text.trim(), usual), tag: `scene-${key}` })
            }
          />
        ))}
      </div>
      {ways.length > 1 && (
        <Choice
          label="Seen"
          value={ways.includes(beside) ? beside : 'one'}
          options={ways.map((value) => ({ value, text: WAYS[value] }))}
          onChange={(next) => useTryOn.setState({ beside: next })}
        />
      )}
      {parts.length > 1 && <PartList design={design} parts={parts} chosen={part?.drawn.part.key} />}
      {part !== undefined && (
        <PartPanel
          key={part.drawn.part.key}
          design={design}
          part={part}
          all={parts.map(({ drawn: each }) => each.part.key)}
        />
      )}
      <SeamsPart />
      <BesideFields tryOn={tryOn} />
      <SendScene design={design} />
    </Panel>
  );
}

const WAYS: Readonly<Record<Beside, string>> = {
  one: 'One',
  colourways: 'In each colourway',
  designs: 'In each design',
};
