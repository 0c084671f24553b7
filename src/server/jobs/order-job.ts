import type { Kysely } from 'kysely';
import { isPrinted, type Job, type NewJob } from '../../contracts/job.ts';
import { CoreError } from '../../core/error.ts';
import { findDesign } from '../db/design-table.ts';
import type { Database } from '../db/schema.ts';
import { refuseUnknown } from '../sending/make-file.ts';
import { sharedJobs } from './shared-jobs.ts';

/** A file of a stored design as a job. @throws CoreError "request/missing" | "design/missing" | "design/stale" {version, updatedAt} | "job/too-many" */
export async function orderJob(
  db: Kysely<Database>,
  { designId, version, file, query, others }: NewJob,
): Promise<Job> {
  if (!isPrinted({ file })) refuseUnknown(file);
  const stored = await findDesign(db, designId);
  if (stored.version !== version) {
    throw new CoreError('design/stale', { version: stored.version, updatedAt: stored.updatedAt });
  }
  const further = await Promise.all(others.map(async (id) => (await findDesign(db, id)).document));
  return (await sharedJobs()).order({ designId, design: stored.document, others: further, file, query });
}
