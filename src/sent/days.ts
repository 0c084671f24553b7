import type { Job } from '../contracts/job.ts';

/** Jobs of one day, the newest first. */
export interface Day {
  /** "Today", "Yesterday", or its date. */
  readonly name: string;
  readonly jobs: readonly Job[];
}

/** Jobs, the newest first, by the days on which they were asked for. */
export function byDays(jobs: readonly Job[], now: Date): readonly Day[] {
  const days: { name: string; jobs: Job[] }[] = [];
  for (const job of jobs) {
    const name = dayName(new Date(job.madeAt), now);
    const last = days.at(-1);
    if (last?.name === name) last.jobs.push(job);
    else days.push({ name, jobs: [job] });
  }
  return days;
}

function dayName(date: Date, now: Date): string {
  const yesterday = new Date(now);
  yesterday.setDate(now.getDate() - 1);
  if (date.toDateString() === now.toDateString()) return 'Today';
  if (date.toDateString() === yesterday.toDateString()) return 'Yesterday';
  return date.toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
}
