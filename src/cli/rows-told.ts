/** Milliseconds between two times that progress is told. */
const EVERY = 200;

/** Progress in rows on the error output, on one line, where that is a terminal. */
export function rowsTold(out: NodeJS.WriteStream = process.stderr): {
  readonly told: (made: number, of: number) => void;
  /** Takes the line away. */
  readonly end: () => void;
} {
  const began = Date.now();
  let last = began;
  let shown = false;
  return {
    told: (made, of) => {
      const now = Date.now();
      if (!out.isTTY || now - last < EVERY) return;
      last = now;
      shown = true;
      const seconds = Math.ceil((((now - began) / made) * (of - made)) / 1000);
      out.write(`\r\u001b[Kvetro: ${made} of ${of} rows, about ${seconds} s left`);
    },
    end: () => {
      if (shown) out.write('\r\u001b[K');
    },
  };
}
