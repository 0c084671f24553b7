import { toast } from 'sonner';
import type { Design } from '../../core/design/design-schema.ts';
import type { Command } from '../../kit/commands/command.ts';
import { startCommands } from '../../kit/commands/shelf-commands.ts';
import { HELP_LINES } from '../../wording/help-lines.ts';
import { showLayOver } from '../plies/plies-store.ts';
import { sendCommands } from '../send/send-commands.ts';
import { saveNow } from '../state/autosave.ts';
import { STEPS } from '../state/bench-state.ts';
import { dispatch } from '../state/bench-store.ts';
import { sceneCommands } from '../try-on/scene-commands.ts';
import { duplicate } from './duplicate.ts';
import { ANYWHERE, KEYS } from './keys.ts';

/** What the frame shows on request. */
export interface Shows {
  readonly showKeys: () => void;
  readonly showTour: () => void;
}

/** Everything that can be done on the bench, with its key. */
export function benchCommands(design: Design, shows: Shows): readonly Command[] {
  const actions: readonly Omit<Command, 'group'>[] = [
    { text: 'Go to the shelf', run: () => void saveNow().finally(() => window.location.assign('/')) },
    { text: 'Duplicate this design', also: 'copy', run: () => void duplicate() },
    {
      text: 'Lay something over this design',
      also: 'ply plies blend multiply texture',
      run: () => {
        dispatch({ kind: 'step', step: 'Build' });
        showLayOver(true);
      },
    },
    { text: 'Take the tour of the steps', also: 'help tour', run: shows.showTour },
    ...sendCommands(design),
    ...sceneCommands(),
    ...ANYWHERE.map(({ what, keys, act }) => ({
      text: capital(what),
      keys,
      run: () => act(shows),
    })),
  ];
  return [
    ...actions.map((action) => ({ group: 'Actions', ...action })),
    ...STEPS.map((step) => ({
      group: 'Steps',
      text: `Go to ${step}`,
      run: () => dispatch({ kind: 'step', step }),
    })),
    ...HELP_LINES.map(({ text, step }) => ({
      group: 'Help',
      text,
      run: () => dispatch({ kind: 'step', step }),
    })),
    ...KEYS.slice(1).flatMap(({ where, keys }) =>
      keys.map(({ keys: key, what }) => ({
        group: 'Help',
        text: `${where}: ${what}`,
        keys: key,
        run: shows.showKeys,
      })),
    ),
    ...startCommands((sentence) => toast.error(sentence)),
  ];
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
