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
  /** Calls the order off. */
  readonly signal?: AbortSignal;
  /** Hears each time that the house does not answer. */
  readonly lost?: () => void;
}

/** Milliseconds that one question may take. */
const LONGEST = 30_000;

/** Milliseconds that a house is asked to call an order off. */
const CALLING_OFF = 10_000;

/**
 * Has something printed and follows it to its end, whatever breaks in between: every question may be asked again, since the
 * order has a key of its own and what is put under it twice is one order.
 *
 * @param told  hears how the order stands whenever that is known
 * @returns     the picture of a strike-off; undefined for a run
 * @throws CoreError "print/refused" {refusal} | "print/called-off" | "print/not-taken" | "print/no-answer" {address}; the
 *         signal's reason
 */
export async function orderPrint(
  { order, file, mark }: Printing,
  house: House,
  told: (answer: PrintAnswer) => void = () => {},
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  const key = createHash('sha256').update(JSON.stringify(order)).update(file).update(mark).digest('hex');
  const place = `${house.address}/orders/${key}`;
  try {
    await follow({ order, file, place }, house, told);
  } catch (error) {
    if (house.signal?.aborted === true) await callOff(place, house);
    throw error;
  }
  if (order.kind === 'run') return undefined;
  return new Uint8Array(await (await askUntil(`${place}/strike-off`, {}, house)).arrayBuffer());
}

/** Asks until an order is done. */
async function follow(
  { order, file, place }: { readonly order: PrintOrder; readonly file: BodyInit; readonly place: string },
  house: House,
  told: (answer: PrintAnswer) => void,
): Promise<void> {
  const ask = async (path: string, options: RequestInit = {}) => {
    const response = await askUntil(place + path, options, house);
    const answer = printAnswerSchema.parse(await response.json());
    told(answer);
    if (answer.state === 'refused') throw new CoreError('print/refused', { refusal: answer.refusal });
    if (answer.state === 'called-off') throw new CoreError('print/called-off');
    return answer;
  };
  let answer = await ask('', { method: 'PUT', body: JSON.stringify(order) });
  while (answer.state !== 'done') {
    // A file that was lost on the way is sent again.
    if (answer.state === 'taken') answer = await ask('/file', { method: 'PUT', body: file });
    else {
      await pauseOf(house);
      answer = await ask('');
    }
  }
}

/** An order that cannot be called off, since the house does not answer, is told nobody: it may be printed. */
async function callOff(place: string, { address }: House): Promise<void> {
  await askUntil(place, { method: 'DELETE' }, { address, patience: CALLING_OFF }).catch(() => undefined);
}

/** Asks again and again until there is an answer. */
async function askUntil(url: string, options: RequestInit, house: House): Promise<Response> {
  const { address, patience = 60_000, signal, lost } = house;
  const since = Date.now();
  for (;;) {
    signal?.throwIfAborted();
    const late = AbortSignal.timeout(LONGEST);
    const response = await fetch(url, {
      ...options,
      signal: signal === undefined ? late : AbortSignal.any([late, signal]),
    }).catch(() => undefined);
    if (response?.ok === true) return response;
    signal?.throwIfAborted();
    if (response !== undefined && response.status < 500) throw new CoreError('print/not-taken', { address });
    if (Date.now() - since > patience) throw new CoreError('print/no-answer', { address });
    lost?.();
    await pauseOf(house);
  }
}

function pauseOf({ pause = 200 }: House): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, pause));
}
