/** Why work is broken off that the next server goes on with. */
export const ENDING = new Error('the server ends');

/** Closes one thing that the server has open. */
export type Close = () => Promise<void> | void;

/**
 * What stands before the application and the application itself are bundled apart and share no module, so that what is to
 * be closed is kept under a name that is one for the whole process.
 */
const CLOSES = Symbol.for('vetro.closes');

function closes(): Close[] {
  const shared = globalThis as { [CLOSES]?: Close[] };
  shared[CLOSES] ??= [];
  return shared[CLOSES];
}

/** Says what is to be done when the server is ended in order. What was opened last is closed first. */
export function whenEnding(close: Close): void {
  closes().push(close);
}

/** Closes all that is open; what fails is logged and keeps nothing else from being closed. */
export async function endInOrder(): Promise<void> {
  for (let close = closes().pop(); close !== undefined; close = closes().pop()) {
    try {
      await close();
    } catch (error) {
      console.error(error);
    }
  }
}
