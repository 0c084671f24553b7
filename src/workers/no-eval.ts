import { z } from 'zod';

// Zod would write code for its schemas, which the page's policy forbids; asked for first, it does not try.
z.config({ jitless: true });
