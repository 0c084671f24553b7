import type { Design } from '../core/design/design-schema.ts';
import { readDesign } from '../core/design/read-design.ts';
import { CoreError } from '../core/error.ts';
import { isDeep, MAX_DEPTH } from '../core/formats/json-depth.ts';

/** @throws CoreError "request/deep" {most} | "request/json" */
export function bodyOf(text: string): unknown {
  if (isDeep(text)) throw new CoreError('request/deep', { most: MAX_DEPTH });
  try {
    return JSON.parse(text);
  } catch {
    throw new CoreError('request/json');
  }
}

/** A body whose document is a design. @throws CoreError as `bodyOf`, or of `readDesign` */
export function bodyWithDesign(text: string): object & { readonly document: Design } {
  const body = bodyOf(text);
  const { document } = (typeof body === 'object' && body !== null ? body : {}) as { document?: unknown };
  return { ...(body as object), document: readDesign(document) };
}
