import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { designFromText } from '../src/core/design/exchange/counts-text.ts';
import { writeDesignText } from '../src/core/design/read-design.ts';
import { designFromStart } from '../src/core/design/starts.ts';
import { line, median } from './timing.ts';

/**
 * Large sheets as PNG, each as a whole run of its own: ours by the command line; an image library (sharp) that is handed
 * our tile, repeats it lazily and writes at its fastest level. Memory is the process's peak.
 */
const DPI = '300';
const folder = mkdtempSync(join(tmpdir(), 'vetro-perf-'));
const output = join(folder, 'sheet.png');

/** Says a process's peak of memory when it ends. */
const TELL_PEAK = `data:text/javascript,${encodeURIComponent(
  "process.on('exit', () => process.stderr.write('peak ' + process.resourceUsage().maxRSS + '\\n'))",
)}`;

interface Run {
  readonly seconds: number;
  readonly megabytes: number;
}

function run(args: readonly string[]): Run {
  const start = performance.now();
  const { status, stderr } = spawnSync('node', ['--import', TELL_PEAK, ...args], { encoding: 'utf8' });
  const seconds = (performance.now() - start) / 1000;
  if (status !== 0) throw new Error(stderr);
  return { seconds, megabytes: Number(/peak (\d+)/.exec(stderr)![1]) / 1024 };
}

function render(design: string, file: string, size?: string): Run {
  return run([
    'bin/vetro.mjs',
    'render',
    design,
    '-o',
    file,
    '--dpi',
    DPI,
    ...(size === undefined ? [] : ['--size', size]),
  ]);
}

function ofThree(make: () => Run): Run {
  const runs = [make(), make(), make()];
  return {
    seconds: median(runs.map(({ seconds }) => seconds)),
    megabytes: Math.max(...runs.map(({ megabytes }) => megabytes)),
  };
}

const PEER = `
  import sharp from 'sharp';
  const [tile, output, side] = process.argv.slice(1);
  const { width, height } = await sharp(tile).metadata();
  await sharp(tile, { limitInputPixels: false })
    .extend({ right: side - width, bottom: side - height, extendWith: 'repeat' })
    .png({ compressionLevel: 1 })
    .toFile(output);
`;

function peer(tile: string, side: number): Run {
  return run(['--input-type=module', '-e', PEER, tile, output, String(side)]);
}

const DESIGNS = [
  ['threads', designFromText('A/12 B6 C4 D/10', 'Sheet'), 50],
  ['hexagons', designFromStart('tiling', '6.6.6'), 10],
] as const;

try {
  for (const [name, design, aim] of DESIGNS) {
    const file = join(folder, `${name}.json`);
    writeFileSync(file, writeDesignText(design));
    const tile = join(folder, `${name}.png`);
    render(file, tile);
    const small = ofThree(() => render(file, output, '36000px'));
    const bytes = statSync(output).size;
    const theirs = peer(tile, 36_000);
    const theirBytes = statSync(output).size;
    const large = ofThree(() => render(file, output, '100000px'));
    const largeBytes = statSync(output).size;
    const largeTheirs = peer(tile, 100_000);
    const told = ({ seconds }: Run, size: number) => `${seconds.toFixed(2)} s, ${(size / 1e6).toFixed(1)} MB`;
    console.log(
      `\nA sheet of ${name}: 36 000² px ${told(small, bytes)}, theirs ${told(theirs, theirBytes)};` +
        ` 100 000² px ${told(large, largeBytes)}, theirs ${told(largeTheirs, statSync(output).size)}`,
    );
    line('36 000² px, times faster than an image library', theirs.seconds / small.seconds, `at least ${aim}`);
    line('100 000² px, times faster', largeTheirs.seconds / large.seconds, '');
    line('100 000² px, times the time of 36 000²', large.seconds / small.seconds, 'under 3');
    line('megabytes at most', Math.max(small.megabytes, large.megabytes), 'under 150');
  }
} finally {
  rmSync(folder, { recursive: true });
}
