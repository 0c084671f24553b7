// npm run e2e: builds what is to be tested once, before each worker of the tests starts a server of its own.
import { ensureBuilt, ensureInstalled, run } from './ready.mjs';

ensureInstalled();
ensureBuilt();
run('npx', ['playwright', 'test', ...process.argv.slice(2)], 'End-to-end tests failed.');
