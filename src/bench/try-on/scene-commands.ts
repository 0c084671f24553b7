import { SCENES } from '../../core/scene/scenes.ts';
import type { Command } from '../../kit/commands/command.ts';
import { dispatch } from '../state/bench-store.ts';
import { fitScene } from './drawing/scene-actions.ts';
import { setScene } from './try-on-edits.ts';
import { useTryOn } from './try-on-store.ts';

/** Every scene, as an action of the search. */
export function sceneCommands(): readonly Omit<Command, 'group'>[] {
  return SCENES.map(({ key, name }) => ({
    text: `Try it on: ${name}`,
    also: 'scene in use',
    run: () => {
      dispatch({ kind: 'step', step: 'Try on' });
      dispatch({ kind: 'edit', edit: setScene(key) });
      useTryOn.setState({ part: undefined, bend: 0 });
      fitScene();
    },
  }));
}
