import { RadioGroup } from 'radix-ui';
import { SCENES } from '../../core/scene/scenes.ts';
import { dispatch } from '../state/bench-store.ts';
import { fitScene } from './drawing/scene-actions.ts';
import { SceneIcon } from './scene-icon.tsx';
import { setScene } from './try-on-edits.ts';
import { useTryOn } from './try-on-store.ts';

/** What cloth is tried on, chosen by its picture. */
export function SceneChooser({ chosen }: { chosen: string }) {
  return (
    <RadioGroup.Root
      aria-label="Tried on"
      value={chosen}
      onValueChange={(scene) => {
        dispatch({ kind: 'edit', edit: setScene(scene) });
        useTryOn.setState({ part: undefined, bend: 0 });
        fitScene();
      }}
      className="grid grid-cols-[repeat(auto-fill,minmax(45px,1fr))] gap-1.5"
    >
      {SCENES.map((scene) => (
        <RadioGroup.Item
          key={scene.key}
          value={scene.key}
          aria-label={scene.name}
          title={scene.name}
          className="grid h-[40px] place-items-center rounded-lg border border-rule bg-white hover:bg-linen data-[state=checked]:border-2 data-[state=checked]:border-woad data-[state=checked]:bg-woad-pale data-[state=checked]:text-woad"
        >
          <SceneIcon scene={scene} />
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
