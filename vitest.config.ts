import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Files that take longest, in their order: they are begun first, so that no core waits for one that was begun last. */
const LONG = [
  'tests/sameness/motif.test.ts',
  'src/core/repeat/lay/lay.test.ts',
  'src/core/paint/sweep/sweep.test.ts',
  'tests/reference/try-on.test.ts',
  'src/core/design/constructions.test.ts',
  'src/cli/command-line.test.ts',
  'src/core/paint/light-rows.test.ts',
  'src/server/print-house/print-house.test.ts',
  'src/cli/new/new-straps.test.ts',
  'src/server/work/pools.test.ts',
  'src/server/db/tables.test.ts',
];

class LongFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = ({ moduleId }: TestSpecification) => {
      const found = LONG.findIndex((name) => moduleId.endsWith(name));
      return found === -1 ? LONG.length : found;
    };
    return (await super.sort(files)).sort((one, other) => place(one) - place(other));
  }
}

const SHARED = {
  /** Property tests take long on a machine that does other work meanwhile. */
  testTimeout: 120_000,
  /** Files share what is imported, which takes longer than most of their tests; none of them changes a module. */
  isolate: false,
};

export default defineConfig({
  test: {
    maxWorkers: availableParallelism(),
    sequence: { sequencer: LongFirst },
    projects: [
      {
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'tests/{arch,sameness}/**/*.test.ts'],
          ...SHARED,
        },
      },
      { test: { name: 'reference', include: ['tests/reference/**/*.test.ts'], ...SHARED } },
    ],
  },
});
