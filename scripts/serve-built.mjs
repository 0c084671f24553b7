// Serves what was built before, for tests that start many servers: nothing is looked for and nothing built.
import { serve } from './serve.mjs';

await serve({ demo: false });
