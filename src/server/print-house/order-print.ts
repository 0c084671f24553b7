import { createHash } from 'node:crypto';
import { type PrintAnswer, type PrintOrder, printAnswerSchema } from '../../contracts/print-house.ts';
import { CoreError } from '../../core/error.ts';

/** What is sent to a print house. */
export interface Printing {
  readonly order: PrintOrder;
  readonly file: Uint8Array<ArrayBuffer>;
  /** Of one's own, so that the same order of the same file given again on purpose is another one. */
  readonly mark: string;
}

export interface House {
  /** Such as "http://127.0.0.1:4720". */
  readonly address: string;
  /** Milliseconds between two questions. */
  readonly pause?: number;
  /** Milliseconds after which a house that does not answer is given up. */
  readonly patience?: number;
}

/** Milliseconds that one question may take. */
const LONGEST = 30_000;

/**
 * Has something printed and follows it to its end, whatever breaks in between: every question may be asked again, since the
 * order has a key of its own and what is put under it twice is one order.
 *
 * @param told  hears how the order stands whenever that is known
 * @returns     the picture of a strike-off; undefined for a run
 * @throws CoreError "print/refused" {refusal} | "print/not-taken" | "print/no-answer" {address}
 */
export async function orderPrint(
  { order, file, mark }: Printing,
  { address, pause = 200, patience = 60_000 }: House,
  told: (answer: PrintAnswer) => void = () => {},
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  const key = createHash('sha256').update(JSON.stringify(order)).update(file).update(mark).digest('hex');
  const place = `${address}/orders/${key}`;
  const ask = (path: string, options: RequestInit = {}) =>
    askUntil(`${place}${path}`, options, { pause, patience, address });
  const answered = async (response: Response) => {
    const answer = printAnswerSchema.parse(await response.json());
    told(answer);
    if (answer.state === 'refused') throw new CoreError('print/refused', { refusal: answer.refusal });
    return answer;
  };
  let answer = await answered(await ask('', { method: 'PUT', body: JSON.stringify(order) }));
  while (answer.state !== 'done') {
    // A file that was lost on the way is sent again.
    if (answer.state === 'taken') answer = await answered(await ask('/file', { method: 'PUT', body: file }));
    else {
      await new Promise((resolve) => setTimeout(resolve, pause));
      answer = await answered(await ask(''));
    }
  }
  if (order.kind === 'run') return undefined;
  return new Uint8Array(await (await ask('/strike-off')).arrayBuffer());
}

/** Asks again and again until there is an answer. */
async function askUntil(
  url: string,
  options: RequestInit,
  { pause, patience, address }: Required<House>,
): Promise<Response> {
  const since = Date.now();
  for (;;) {
    const response = await fetch(url, { ...options, signal: AbortSignal.timeout(LONGEST) }).catch(
      () => undefined,
    );
    if (response?.ok === true) return response;
    if (response !== undefined && response.status < 500) throw new CoreError('print/not-taken', { address });
    if (Date.now() - since > patience) throw new CoreError('print/no-answer', { address });
    await new Promise((resolve) => setTimeout(resolve, pause));
  }
}
