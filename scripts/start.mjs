// npm start: brings the checkout to the point where it can run, and serves a shelf that is empty at first.
import { ensureBuilt, ensureInstalled } from './ready.mjs';
import { serve } from './serve.mjs';

ensureInstalled();
ensureBuilt();
await serve({ demo: false });
