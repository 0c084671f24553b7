import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

const SHARED = {
  /** Property tests take long on a machine that does other work meanwhile. */
  testTimeout: 120_000,
  /** Files share what is imported, which takes longer than most of their tests; none of them changes a module. */
  isolate: false,
};

export default defineConfig({
  test: {
    maxWorkers: availableParallelism(),
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
