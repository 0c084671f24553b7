import type { z } from 'zod';
import type { Facts } from '../error.ts';
import type { FieldFacts } from '../error-facts.ts';

/** What a schema says of a value in words of its own, as a code: "schema/too_small". */
const SCHEMA = 'schema/';

/**
 * Where the first thing is wrong with a document or a request, what, and what a reader of ours says of it. `problem` is
 * the code of one of our own errors, or begins with "schema/".
 */
export function fieldFacts({ issues: [issue] }: z.ZodError): FieldFacts {
  if (issue === undefined) return { path: '', problem: '' };
  const path = issue.path.join('.');
  if (issue.code === 'custom')
    return { ...(issue.params as Facts | undefined), path, problem: issue.message };
  const { code, minimum, maximum, expected, keys, values, origin } = issue as unknown as Record<
    string,
    unknown
  >;
  const bounds = { minimum, maximum, expected, origin };
  return {
    path,
    problem: `${SCHEMA}${String(code)}`,
    ...Object.fromEntries(
      Object.entries(bounds)
        .filter(([, value]) => value !== undefined)
        .map(([name, value]) => [name, typeof value === 'number' ? value : String(value)]),
    ),
    ...(Array.isArray(keys) ? { keys: keys.map(String) } : {}),
    ...(Array.isArray(values) ? { values: values.map(String) } : {}),
  };
}
