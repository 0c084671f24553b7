import { useEffect, useRef, useState } from 'react';
import { latest } from '../../kit/latest.ts';
import type { Attempt } from '../../wording/attempt.ts';
import type { ClothApi } from '../../workers/open-worker.ts';
import { openClothWorker } from '../../workers/open-worker.ts';

/** What a worker answered, and the request that it answered. */
export type Worked<Request, Value> = Attempt<Value> & { readonly request: Request };

/**
 * What a worker of its own makes of a request, the newest one last; undefined until it has answered, and where it failed.
 * @param key  holds all of the request that counts; left out, the request itself
 * @param ask  does the work; the one given first is used
 */
export function useWorked<Request, Value>(
  request: Request,
  ask: (api: ClothApi, request: Request) => Promise<Attempt<Value>>,
  key: unknown = request,
): Worked<Request, Value> | undefined {
  const [answer, setAnswer] = useState<Worked<Request, Value>>();
  const send = useRef<(request: Request) => void>(undefined);
  const first = useRef(ask);
  useEffect(() => {
    const worker = openClothWorker();
    send.current = latest(
      (next: Request) => worker.ask((api) => first.current(api, next)),
      (found, next) => setAnswer({ ...found, request: next }),
      (error) => {
        console.error(error);
        setAnswer(undefined);
      },
    );
    return worker.close;
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key holds all of the request that counts
  useEffect(() => send.current?.(request), [key]);
  return answer;
}
