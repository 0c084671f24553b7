import { createHash } from 'node:crypto';
import { type PrintAnswer, type PrintOrder, printAnswerSchema } from '../../contracts/print-house.ts';
import { CoreError } from '../../core/error.ts';
import { ENDING } from '../ending.ts';
import { WRITER_HEADER } from '../gate/refusals.ts';

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
  /** Calls the order off, unless its reason is that the server ends. */
  readonly signal?: AbortSignal;
  /** Hears each time that the house does not answer. */
  readonly lost?: () => void;
}

/** Milliseconds that one question may take, and more for a file by its bytes: a slow line carries so many a millisecond. */
const LONGEST = 30_000;
const SLOW_LINE = 50;

/**
 * Has something printed and follows it to its end, whatever breaks in between: every question may be asked again, since the
 * order has a key of its own and what is put under it twice is one order. An order that is called off is called off until
 * the house has answered: what is told then is what the house knows.
 *
 * @param told  hears how the order stands whenever that is known
 * @returns     the picture of a strike-off; undefined for a run
 * @throws CoreError "print/refused" {refusal} | "print/called-off" | "print/not-taken" | "print/too-heavy" {megabytes} |
 *         "print/no-answer" {address}; the signal's reason
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
    const { signal } = house;
    if (signal?.aborted !== true || signal.reason === ENDING) throw error;
    if (!(await wasDone(place, house, told))) throw error;
  }
  if (order.kind === 'run') return undefined;
  const { signal: _, ...goingOn } = house;
  return askUntil(`${place}/strike-off`, {}, goingOn, wholePicture);
}

/** Asks until an order is done. */
async function follow(
  {
    order,
    file,
    place,
  }: { readonly order: PrintOrder; readonly file: Uint8Array<ArrayBuffer>; readonly place: string },
  house: House,
  told: (answer: PrintAnswer) => void,
): Promise<void> {
  const ask = async (path: string, options: Asking = {}) => {
    const answer = await askUntil(place + path, options, house, readAnswer);
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

/** Calls an order off, until the house has answered. @returns whether it was printed to its end before */
async function wasDone(
  place: string,
  { signal: _, ...house }: House,
  told: (answer: PrintAnswer) => void,
): Promise<boolean> {
  try {
    const answer = await askUntil(place, { method: 'DELETE' }, house, readAnswer);
    told(answer);
    return answer.state === 'done';
  } catch (error) {
    // A house that does not know the order prints none of it.
    if (error instanceof CoreError && error.code === 'print/not-taken') return false;
    throw error;
  }
}

/** One question. */
interface Asking {
  readonly method?: string;
  readonly body?: string | Uint8Array<ArrayBuffer>;
}

async function readAnswer(response: Response): Promise<PrintAnswer> {
  return printAnswerSchema.parse(await response.json());
}

/** What a PNG begins and ends with. Source: W3C PNG, §5.2 and §11.2.5. */
const PNG_START = '89504e470d0a1a0a';
const PNG_END = '0000000049454e44ae426082';

/** The bytes of a picture from its beginning to its end. */
async function wholePicture(response: Response): Promise<Uint8Array<ArrayBuffer>> {
  const bytes = new Uint8Array(await response.arrayBuffer());
  const hex = (from: number, to?: number) => Buffer.from(bytes.subarray(from, to)).toString('hex');
  if (hex(0, 8) !== PNG_START || hex(-12) !== PNG_END) throw new Error('the picture broke off');
  return bytes;
}

/** Asks again and again until there is an answer that can be read to its end. */
async function askUntil<T>(
  url: string,
  { method = 'GET', body }: Asking,
  house: House,
  read: (response: Response) => Promise<T>,
): Promise<T> {
  const { address, patience = 60_000, signal, lost } = house;
  const since = Date.now();
  const size = body?.length ?? 0;
  for (;;) {
    signal?.throwIfAborted();
    const late = AbortSignal.timeout(LONGEST + Math.ceil(size / SLOW_LINE));
    const asked = { method, headers: { [WRITER_HEADER]: 'order' }, ...(body !== undefined && { body }) };
    const heard = await fetch(url, {
      ...asked,
      signal: signal === undefined ? late : AbortSignal.any([late, signal]),
    })
      .then(async (response) => ({
        status: response.status,
        value: response.ok ? await read(response) : undefined,
      }))
      .catch(() => undefined);
    if (heard?.value !== undefined) return heard.value;
    signal?.throwIfAborted();
    if (heard?.status === 413) throw new CoreError('print/too-heavy', { megabytes: Math.ceil(size / 1e6) });
    if (heard !== undefined && heard.status >= 400 && heard.status < 500) {
      throw new CoreError('print/not-taken', { address });
    }
    if (Date.now() - since > patience) throw new CoreError('print/no-answer', { address });
    lost?.();
    await pauseOf(house);
  }
}

function pauseOf({ pause = 200 }: House): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, pause));
}
