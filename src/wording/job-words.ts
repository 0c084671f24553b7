import { COLLECTION_FILE, isPrinted, isUnderWay, type Job, PRINT_FILES } from '../contracts/job.ts';
import { substrateName } from '../core/print/substrate.ts';
import { standsWords } from './print-words.ts';

/** How far a job is, from 0 to 1; undefined where nobody knows. */
export function shareMade({ made, of }: Pick<Job, 'made' | 'of'>): number | undefined {
  return of > 0 ? made / of : undefined;
}

/** How a job stands, in a few words. @param now  milliseconds since 1970 */
export function jobWords(job: Job, now: number): string {
  switch (job.state) {
    case 'waiting':
      return 'Waits its turn';
    case 'working':
      return workingWords(job, now);
    case 'done':
      return doneWords(job);
    case 'failed':
      return job.trouble;
    case 'stopped':
      return 'Stopped';
    default:
      return job.state satisfies never;
  }
}

function doneWords(job: Job): string {
  const done = isPrinted(job) ? 'Printed' : 'Made';
  if (!job.kept) return `${done}; the file is kept no longer`;
  return isPrinted(job) ? done : `${done}, ${bytesText(job.bytes)}`;
}

function workingWords(job: Job, now: number): string {
  if (job.stands !== '') return standsWords(job);
  const share = shareMade(job);
  if (share === undefined) return 'Being made…';
  const percent = `${Math.floor(share * 100)} %`;
  const left = secondsLeft(job, now);
  return left === undefined ? percent : `${percent}, about ${durationText(left)} left`;
}

/** Least share from which an estimate is worth telling. */
const WORTH = 0.02;

/** Seconds that a job will still take at the pace it had so far; undefined where that cannot be told yet. */
function secondsLeft(job: Job, now: number): number | undefined {
  const share = shareMade(job);
  if (!isUnderWay(job) || job.beganAt === null || share === undefined || share < WORTH) return undefined;
  const spent = Math.max(0, now - Date.parse(job.beganAt)) / 1000;
  return (spent / share) * (1 - share);
}

/** Seconds, then minutes, as one would say them. */
export function durationText(seconds: number): string {
  if (seconds < 60) return `${Math.max(1, Math.ceil(seconds))} s`;
  return `${Math.ceil(seconds / 60)} min`;
}

/** Bytes in kilobytes, megabytes or gigabytes. */
export function bytesText(bytes: number): string {
  if (bytes < 1e6) return `${Math.max(1, Math.round(bytes / 1e3))} kB`;
  if (bytes < 1e9) return `${(bytes / 1e6).toFixed(1)} MB`;
  return `${(bytes / 1e9).toFixed(2)} GB`;
}

/** Names of kinds of files by their endings. */
const KINDS: Readonly<Record<string, string>> = { jpg: 'JPEG', tif: 'TIFF', webp: 'WebP' };

/** What files are called that their endings do not tell. */
const NAMES: Readonly<Record<string, string>> = {
  [COLLECTION_FILE]: 'Collection sheet',
  [PRINT_FILES['strike-off']]: 'Strike-off from the print house',
  [PRINT_FILES.run]: 'Print run',
};

/** What was asked for, in a few words: "JPEG · 300 x 300 mm · 300 dpi · Night". */
export function askedWords({ file, query }: Pick<Job, 'file' | 'query'>): string {
  const asked = new URLSearchParams(query);
  const ending = file.slice(file.lastIndexOf('.') + 1);
  const said = (name: string, before: string, after: string) => {
    const text = asked.get(name);
    return text === null || text === '' ? [] : [`${before}${text}${after}`];
  };
  const substrate = asked.get('substrate');
  return [
    NAMES[file] ?? KINDS[ending] ?? ending.toUpperCase(),
    ...(substrate === null ? [] : [substrateName(substrate)]),
    ...said('length', '', ''),
    ...said('scale', '', ''),
    ...said('size', '', ''),
    ...said('repeats', '', ' repeats'),
    ...said('dpi', '', ' dpi'),
    ...said('perThread', '', ' px a thread'),
    ...said('paper', '', ''),
    ...said('bleed', 'bleed ', ''),
    ...said('quality', 'quality ', ''),
    ...said('shrink', 'larger by shrinkage ', ''),
    ...said('colourway', '', ''),
  ].join(' · ');
}
