/**
 * Runs the newest request only: while one is under way, later ones wait, and each takes the place of the one
 * waiting before it. A result that has been overtaken is still delivered when nothing newer is ready yet, so that
 * a steady hand sees something move.
 */
export function latest<Request, Result>(
  work: (request: Request) => Promise<Result>,
  deliver: (result: Result, request: Request) => void,
  fail: (error: unknown, request: Request) => void,
): (request: Request) => void {
  let busy = false;
  let waiting: { readonly request: Request } | undefined;
  const start = async (request: Request) => {
    busy = true;
    try {
      deliver(await work(request), request);
    } catch (error) {
      fail(error, request);
    }
    busy = false;
    const next = waiting;
    waiting = undefined;
    if (next !== undefined) void start(next.request);
  };
  return (request) => {
    if (busy) waiting = { request };
    else void start(request);
  };
}
