import { alg, Graph } from '@dagrejs/graphlib';
import { parse } from 'ini';
import { designFromWif } from '../src/core/design/exchange/wif-design.ts';
import { designToWif } from '../src/core/design/exchange/write-file.ts';
import { newPlaid } from '../src/core/design/new-design.ts';
import type { Interlacing } from '../src/core/thread/weave.ts';
import { buildWeave } from '../src/core/thread/weaves/build-weave.ts';
import { drawdown } from '../src/core/thread/weaves/draft.ts';
import { faceFacts, floatCounts } from '../src/core/thread/weaves/float-counts.ts';
import { layersOf } from '../src/core/thread/weaves/layers.ts';
import type { Draft } from '../src/core/thread/weaves/weave-spec.ts';
import { line, race } from './timing.ts';

/** The drawdown of 4096 × 4096 threads on 32 shafts, against copying as many bytes. */
const THREADS = 4096;
const SHAFTS = 32;
const draft: Draft = {
  threading: Array.from({ length: THREADS }, (_, end) => 1 + ((end * 7 + (end >> 5)) % SHAFTS)),
  tieup: Array.from({ length: 40 }, (_, treadle) =>
    Array.from({ length: SHAFTS }, (__, shaft) => shaft + 1).filter(
      (shaft) => ((shaft * 13 + treadle * 5) >> 2) % 2 === 0,
    ),
  ),
  treadling: Array.from({ length: THREADS }, (_, pick) => 1 + ((pick * 3 + (pick >> 4)) % 40)),
};
const source = Buffer.alloc(THREADS * THREADS, 1);
const target = Buffer.alloc(THREADS * THREADS);
const woven = race(7, { ours: () => drawdown(draft), copy: () => source.copy(target) });
console.log(`\nDrawdown of ${THREADS} × ${THREADS} on ${SHAFTS} shafts (${woven.ours.toFixed(0)} ms)`);
line('time, as a multiple of Buffer.copy of as many bytes', woven.ours / woven.copy, 'at most 6');

/** Floats, share and soundness of 512 × 512, against a plain triple loop and a graph library. */
const SIDE = 512;
const structure: Interlacing = {
  ends: SIDE,
  picks: SIDE,
  up: Uint8Array.from({ length: SIDE * SIDE }, (_, at) => ((at * 2_654_435_761) >>> 13) & 1),
};

/** The same size as people weave it: 8-end satin and sateen in blocks. */
const damask = buildWeave({
  kind: 'blocks',
  profile: Array.from({ length: SIDE / 8 }, (_, row) =>
    Array.from({ length: SIDE / 8 }, (__, column) => ((column ^ row) & 4 ? 'A' : 'B')).join(''),
  ),
  weaves: [
    { letter: 'A', weave: { kind: 'satin', ends: 8, step: 3, face: 'warp' } },
    { letter: 'B', weave: { kind: 'satin', ends: 8, step: 3, face: 'weft' } },
  ],
});

/** The longest float from every cell on, each counted out. */
function plainLoop(structure: Interlacing): number {
  let longest = 0;
  for (let pick = 0; pick < SIDE; pick += 1) {
    for (let end = 0; end < SIDE; end += 1) {
      const here = structure.up[pick * SIDE + end];
      let run = 0;
      while (run < SIDE && structure.up[((pick + run) % SIDE) * SIDE + end] === here) run += 1;
      longest = Math.max(longest, run);
      run = 0;
      while (run < SIDE && structure.up[pick * SIDE + ((end + run) % SIDE)] === here) run += 1;
      longest = Math.max(longest, run);
    }
  }
  return longest;
}

function graphLibrary(): number {
  const graph = new Graph({ directed: true });
  structure.up.forEach((up, at) => {
    const [end, pick] = [`e${at % SIDE}`, `p${Math.floor(at / SIDE)}`];
    if (up === 1) graph.setEdge(end, pick);
    else graph.setEdge(pick, end);
  });
  return alg.tarjan(graph).length;
}

const facts = race(5, {
  floats: () => [floatCounts(structure), faceFacts(structure)],
  plainly: () => plainLoop(structure),
  damaskFloats: () => [floatCounts(damask), faceFacts(damask)],
  damaskPlainly: () => plainLoop(damask),
  layers: () => layersOf(structure),
});
const graph = race(1, { graph: graphLibrary });
console.log(`\nFacts of ${SIDE} × ${SIDE} (${(facts.floats + facts.layers).toFixed(1)} ms)`);
line(
  'floats and shares of a damask: times faster than counting out every cell',
  facts.damaskPlainly / facts.damaskFloats,
  'at least 5',
);
line('the same of cells by chance, whose floats are short', facts.plainly / facts.floats, 'at least 5');
line('soundness: times faster than a graph library (graphlib)', graph.graph / facts.layers, 'at least 5');

/** A weave file of 4096 ends and picks, read and written, against a general INI package reading it. */
const design = newPlaid({
  name: 'Large',
  shades: [
    { key: 'A', name: 'Dark', hex: '#202020' },
    { key: 'B', name: 'Light', hex: '#f0f0f0' },
  ],
  warp: {
    bands: [
      { shade: 'A', count: 4000 },
      { shade: 'B', count: 96 },
    ],
    mirror: 'none',
  },
  weave: { kind: 'draft', ...draft },
});
const text = designToWif(design);
const files = race(5, { ours: () => designToWif(designFromWif(text, 'x')), ini: () => parse(text) });
console.log(`\nA weave file of ${(text.length / 1e3).toFixed(0)} kB (${files.ours.toFixed(0)} ms)`);
line(
  'read and written: times faster than an INI package (ini) reads it',
  files.ini / files.ours,
  'more than 1',
);
