import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** Property tests take long on a machine that does other work meanwhile. */
const TIMEOUT = 120_000;

export default defineConfig({
  test: {
    maxWorkers: availableParallelism(),
    // Files share what is imported, which takes longer than most of their tests; none of them changes a module.
    isolate: false,
    projects: [
      {
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'tests/{arch,sameness}/**/*.test.ts'],
          testTimeout: TIMEOUT,
        },
      },
      { test: { name: 'reference', include: ['tests/reference/**/*.test.ts'], testTimeout: TIMEOUT } },
    ],
  },
});
