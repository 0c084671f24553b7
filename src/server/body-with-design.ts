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
export function bodyWithDesign(text: string): unknown {
  const body = bodyOf(text);
  if (typeof body !== 'object' || body === null || !('document' in body)) return body;
  return { ...body, document: readDesign(body.document) };
}
