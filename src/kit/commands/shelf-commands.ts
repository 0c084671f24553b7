import { savedAnswer } from '../../contracts/design.ts';
import { shelfSchema } from '../../contracts/shelf.ts';
import { MOST_LETTERS, shelfQuery } from '../../contracts/shelf-wish.ts';
import { type ByKind, KINDS } from '../../core/design/constructions.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { startsOf } from '../../core/design/starts.ts';
import { WORDS } from '../../wording/construction-words.ts';
import { postDesign } from '../post-design.ts';
import { request } from '../request.ts';
import type { Command } from './command.ts';

/** Most designs among the commands. */
const MOST = 60;

/** A command for each design of the shelf that words find; none where the shelf does not answer. */
export async function designCommands(words: string): Promise<readonly Command[]> {
  const query = shelfQuery({ search: words.slice(0, MOST_LETTERS), count: MOST });
  const shelf = shelfSchema.safeParse(
    await request('GET', `/api/shelf?${query}`).catch(() => undefined),
  ).data;
  return (shelf?.ranges ?? []).flatMap(({ name: range, designs }) =>
    designs.map(({ id, name, number, search }) => ({
      group: 'Designs',
      text: `${name}${range === '' ? '' : ` · ${range}`} · ${number}`,
      also: search,
      run: () => window.location.assign(`/bench/${id}`),
    })),
  );
}

/** A command for each start point: it makes a design and opens it. */
export function startCommands(failed: (sentence: string) => void): readonly Command[] {
  return (Object.keys(KINDS) as (keyof ByKind)[]).flatMap((kind) =>
    startsOf(kind).map((start) => ({
      group: 'Start a new design',
      text: `${WORDS[kind].begun}: ${start.name}`,
      also: start.what,
      run: () => void begin(start.design(0)).catch((error: Error) => failed(error.message)),
    })),
  );
}

/** Stores a design and opens it on the bench. @throws RequestError */
async function begin(design: Design): Promise<void> {
  const { id } = savedAnswer.parse(await postDesign(design));
  window.location.assign(`/bench/${id}`);
}
