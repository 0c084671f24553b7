import type { z } from 'zod';

/** A line of JSON as what it should be; undefined when it is not. */
export function readWords<T>(line: string, schema: z.ZodType<T>): T | undefined {
  try {
    return schema.safeParse(JSON.parse(line)).data;
  } catch {
    return undefined;
  }
}
