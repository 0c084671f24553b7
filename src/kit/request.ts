import { problemSchema } from '../contracts/design.ts';

/** An answer that was no success: its status, its code and a sentence to show. */
export class RequestError extends Error {
  readonly status: number;
  readonly code: string;

  constructor(status: number, code: string, sentence: string) {
    super(sentence);
    this.name = 'RequestError';
    this.status = status;
    this.code = code;
  }
}

/**
 * Asks the server. A missing connection is status 0.
 * @throws RequestError
 */
export async function request(method: string, path: string, body?: unknown): Promise<unknown> {
  const options: RequestInit =
    body === undefined
      ? { method }
      : { method, body: JSON.stringify(body), headers: { 'content-type': 'application/json' } };
  const response = await fetch(path, options).catch(() => {
    throw new RequestError(0, 'request/offline', 'Vetro’s server does not answer. Is it still running?');
  });
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer;
  throw refusal(response.status, answer);
}

/** An answer that was no success, as an error with its sentence. */
export function refusal(status: number, answer: unknown): RequestError {
  const problem = problemSchema.safeParse(answer);
  return new RequestError(
    status,
    problem.data?.code ?? 'request/unknown',
    problem.data?.detail ?? `The server answered ${status}.`,
  );
}
