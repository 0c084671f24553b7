import type { IncomingMessage, RequestListener } from 'node:http';

/**
 * Says "100 Continue" to who asked for it when the body begins to be read, and not before: until then it may still be refused.
 * Source: RFC 9110, §10.1.1.
 *
 * @param listener  of requests
 * @returns         for Node's event "checkContinue"
 */
export function continueWhenRead(listener: RequestListener): RequestListener {
  return (request, response) => {
    whenRead(request, () => {
      if (!response.headersSent) response.writeContinue();
    });
    listener(request, response);
  };
}

function whenRead(request: IncomingMessage, then: () => void): void {
  const hear = (event: string | symbol) => {
    if (event !== 'readable' && event !== 'data') return;
    request.off('newListener', hear);
    then();
  };
  request.on('newListener', hear);
}
