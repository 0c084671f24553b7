import { vetro } from './program.ts';

await vetro(process.argv.slice(2));
