import { spawnSync } from 'node:child_process';
import { line, median } from './timing.ts';

/** How long the command line takes to say what it can do, beside a Node that does nothing. */
function seconds(args: readonly string[]): number {
  return median(
    Array.from({ length: 9 }, () => {
      const start = performance.now();
      spawnSync('node', [...args]);
      return (performance.now() - start) / 1000;
    }),
  );
}

const bare = seconds(['-e', '0']);
console.log(`\nThe command line (bare node: ${bare.toFixed(3)} s)`);
line('vetro --help, times bare node', seconds(['bin/vetro.mjs', '--help']) / bare, 'under 2');
line('a mistake in one line, times bare node', seconds(['bin/vetro.mjs', 'check']) / bare, 'under 2');
line(
  'vetro new plaid --help, times bare node',
  seconds(['bin/vetro.mjs', 'new', 'plaid', '--help']) / bare,
  '',
);
