import { type Command, Option } from 'commander';
import { TAKING_RULES } from '../contracts/taking-rule.ts';
import { run } from './run.ts';

/** The commands that copy a shelf, bring it back and move it. */
export function addShelfCommands(program: Command): void {
  program
    .command('backup')
    .description('make a backup of the shelf now')
    .action(() => run(async () => (await import('./shelf-commands.ts')).backupCommand()));

  program
    .command('restore')
    .description('list backups, what one holds that is missing or different now, or bring it back')
    .argument('[backup]', 'its name, or “last”; left out, all are listed')
    .option(
      '--design <name>',
      'a design by its name or number; may be said again',
      (each, all: string[]) => [...all, each],
      [],
    )
    .option('--range <name>', 'all designs of a range')
    .addOption(
      new Option('--all', 'the whole shelf as it was; what came since goes into the bin').conflicts([
        'design',
        'range',
        'beside',
      ]),
    )
    .option('--beside', 'beside what is here, instead of in its place')
    .action((backup, options) =>
      run(async () => (await import('./shelf-commands.ts')).restoreCommand(backup, options)),
    );

  const shelf = program.command('shelf').description('move a whole shelf, or a range of it');
  shelf
    .command('export')
    .description('write the shelf as an archive: designs with their states, ranges, pictures, settings')
    .argument('<file>', 'zip to write')
    .option('--bin', 'with what lies in the bin')
    .option('--range <name>', 'one range alone')
    .action((path, options) =>
      run(async () => (await import('./shelf-commands.ts')).exportShelfCommand(path, options)),
    );
  shelf
    .command('import')
    .description('bring an archive, or a folder of design documents, onto the shelf')
    .argument('<archive>', 'zip or folder')
    .addOption(
      new Option('--rule <rule>', 'for designs that are here and not the same')
        .choices(TAKING_RULES)
        .default('skip'),
    )
    .option('--range <name>', 'one range of it alone')
    .option('--preview', 'list what is new, the same or changed, and take nothing')
    .action((path, options) =>
      run(async () => (await import('./shelf-commands.ts')).importShelfCommand(path, options)),
    );
}
