import { type Kysely, sql } from 'kysely';
import type { OpenedShelf, OtherDesign, Standing } from '../../contracts/backups.ts';
import { picturesNamed } from '../../core/design/pictures-named.ts';
import type { Database } from '../db/schema.ts';
import { readStored } from '../work/read-stored.ts';

interface Compared {
  readonly here: Kysely<Database>;
  readonly there: Kysely<Database>;
  /** The other one is an earlier state of this shelf, so that the higher version of a design is the later one. */
  readonly isEarlier: boolean;
}

/** Tells design by design what another shelf holds that is not here, or not as it is here. */
export async function compareShelves({
  here,
  there,
  isEarlier,
}: Compared): Promise<Pick<OpenedShelf, 'designs' | 'onlyHere' | 'missingPictures'>> {
  const ours = new Map((await listed(here)).map((row) => [row.id, row]));
  const theirs = await listed(there);
  const designs: OtherDesign[] = [];
  const held = await picturesHeld(there);
  const lacking = new Set<string>();
  for (const row of theirs) {
    const known = ours.get(row.id);
    const standing = known === undefined ? 'new' : await standingOf({ here, there, isEarlier }, row, known);
    designs.push({
      id: row.id,
      name: row.name,
      number: row.number,
      range: row.range ?? '',
      standing,
      at: row.updated_at,
      hereAt: known?.updated_at ?? '',
      binnedThere: row.deleted_at !== null,
    });
    for (const hash of picturesNamed(await documentOf(there, row.id))) if (!held.has(hash)) lacking.add(hash);
    // Reading documents takes a while; whoever else asks for something is answered in between.
    await new Promise(setImmediate);
  }
  const known = new Set(theirs.map(({ id }) => id));
  return {
    designs,
    onlyHere: [...ours.values()]
      .filter(({ id, deleted_at }) => deleted_at === null && !known.has(id))
      .map(({ id, name, number }) => ({ id, name, number })),
    missingPictures: lacking.size,
  };
}

async function picturesHeld(db: Kysely<Database>): Promise<ReadonlySet<string>> {
  const rows = await db.selectFrom('picture').select('hash').where(sql`length(bytes)`, '>', 0).execute();
  return new Set(rows.map(({ hash }) => hash));
}

type Listed = Awaited<ReturnType<typeof listed>>[number];

function listed(db: Kysely<Database>) {
  return db
    .selectFrom('design')
    .leftJoin('range', 'range.id', 'design.range_id')
    .select([
      'design.id',
      'design.name',
      'number',
      'version',
      'updated_at',
      'deleted_at',
      'range.name as range',
    ])
    .orderBy('range.position')
    .orderBy('design.position')
    .orderBy('design.id')
    .execute();
}

async function standingOf(
  { here, there, isEarlier }: Compared,
  theirs: Listed,
  ours: Listed,
): Promise<Standing> {
  const { id } = theirs;
  const [documentThere, documentHere] = [await documentOf(there, id), await documentOf(here, id)];
  if (await isAlike(documentThere, documentHere)) {
    return ours.deleted_at !== null && theirs.deleted_at === null ? 'binned' : 'same';
  }
  if (ours.deleted_at !== null && theirs.deleted_at === null) return 'binned';
  if (isEarlier) return ours.version >= theirs.version ? 'here' : 'there';
  if (await isState(here, id, documentThere)) return 'here';
  if (await isState(there, id, documentHere)) return 'there';
  return 'both';
}

async function documentOf(db: Kysely<Database>, id: string): Promise<string> {
  const { document } = await db
    .selectFrom('design')
    .select('document')
    .where('id', '=', id)
    .executeTakeFirstOrThrow();
  return document;
}

/** Documents are alike where they say the same, whatever version of Vetro wrote them. */
export async function isAlike(one: string, other: string): Promise<boolean> {
  if (one === other) return true;
  try {
    const [first, second] = await Promise.all([readStored(one), readStored(other)]);
    return JSON.stringify(first) === JSON.stringify(second);
  } catch {
    return false;
  }
}

/** Whether a design was like that before. */
async function isState(db: Kysely<Database>, designId: string, document: string): Promise<boolean> {
  const states = await db
    .selectFrom('design_revision')
    .select('document')
    .where('design_id', '=', designId)
    .execute();
  for (const state of states) if (await isAlike(state.document, document)) return true;
  return false;
}
