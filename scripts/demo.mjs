// npm run demo: as npm start, with the demo designs hung once.
import { ensureBuilt, ensureInstalled } from './ready.mjs';
import { serve } from './serve.mjs';

ensureInstalled();
ensureBuilt();
await serve({ demo: true });
