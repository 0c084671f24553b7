import { useCallback, useEffect } from 'react';
import { create } from 'zustand';
import { isPrinted, isUnderWay, type Job, PRINT_FILES } from '../../contracts/job.ts';
import { type HouseFacts, houseSchema } from '../../contracts/print-house.ts';
import { ASK_AGAIN, listJobs } from '../../kit/jobs/job-requests.ts';
import { request } from '../../kit/request.ts';
import { useBenchState } from '../state/bench-store.ts';

/** What is known of the print house and of what it prints of this design. */
interface Printed {
  readonly house: HouseFacts | undefined;
  /** Orders of this design, the newest first. */
  readonly orders: readonly Job[];
}

export const usePrinted = create<Printed>(() => ({ house: undefined, orders: [] }));

/** Milliseconds after which a print house that does not answer is asked for again. */
const LOOK_AGAIN = 3000;

/** Asks about the print house and the orders of this design while it is shown. @returns asks at once */
export function useFollowedPrints(): () => Promise<void> {
  const id = useBenchState((state) => state.id);
  const goesOn = usePrinted(({ orders }) => orders.some(isUnderWay));
  const answers = usePrinted(({ house }) => house?.answers);
  const ask = useCallback(async () => {
    const jobs = await listJobs(id).catch(() => undefined);
    if (jobs !== undefined) usePrinted.setState({ orders: jobs.filter(isPrinted) });
  }, [id]);
  useEffect(() => {
    usePrinted.setState({ orders: [] });
    void ask();
  }, [ask]);
  useEffect(() => {
    if (!goesOn) return;
    const timer = setInterval(() => void ask(), ASK_AGAIN);
    return () => clearInterval(timer);
  }, [goesOn, ask]);
  useEffect(() => {
    void lookForHouse();
    if (answers === true) return;
    const timer = setInterval(() => void lookForHouse(), LOOK_AGAIN);
    return () => clearInterval(timer);
  }, [answers]);
  return ask;
}

async function lookForHouse(): Promise<void> {
  const house = await request('GET', '/api/print-house').then(
    (body) => houseSchema.parse(body),
    () => undefined,
  );
  if (house !== undefined) usePrinted.setState({ house });
}

/** The newest strike-off that came back and is still kept. */
export function cameBack(orders: readonly Job[]): Job | undefined {
  return orders.find(({ file, kept }) => file === PRINT_FILES['strike-off'] && kept);
}
