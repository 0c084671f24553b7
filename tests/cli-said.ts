import { vi } from 'vitest';
import { vetro } from '../src/cli/program.ts';

/** What a command line answers. Here it runs in this process, which `tests/e2e/command-line.test.ts` does not. */
export async function cliSaid(
  ...args: readonly string[]
): Promise<{ status: number; out: string; err: string }> {
  const said = { out: '', err: '' };
  const hear = (where: 'out' | 'err') => (text: string | Uint8Array) => {
    said[where] += String(text);
    return true;
  };
  vi.spyOn(process.stdout, 'write').mockImplementation(hear('out'));
  vi.spyOn(process.stderr, 'write').mockImplementation(hear('err'));
  try {
    await vetro(args);
    return { status: Number(process.exitCode ?? 0), ...said };
  } finally {
    process.exitCode = undefined;
    vi.restoreAllMocks();
  }
}
