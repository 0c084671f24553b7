import type { Design } from '../../core/design/design-schema.ts';
import type { Command } from '../../kit/commands/command.ts';
import { send } from './send-file.ts';
import { FILE_NAMES, filesFor } from './send-names.ts';
import { useSend } from './send-store.ts';

/** A command for each file that a design may be sent as: it is made at once, as the Send step has it. */
export function sendCommands(design: Design): readonly Omit<Command, 'group'>[] {
  return filesFor(design).map((file) => ({
    text: `Send as ${FILE_NAMES[file]}`,
    also: 'download export save file',
    run: () => {
      useSend.setState({ file });
      void send();
    },
  }));
}
