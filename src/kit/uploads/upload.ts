import { RequestError, refusal } from '../request.ts';

interface Upload {
  readonly path: string;
  readonly bytes: Blob;
  /** Hears the part that is sent, 0 … 1; 1 when the server has it all and works. */
  readonly onSent: (part: number) => void;
  readonly signal: AbortSignal;
}

export interface Uploaded {
  readonly header: (name: string) => string | null;
  readonly bytes: ArrayBuffer;
}

/**
 * Sends a file and takes bytes back, telling how far it is. (`fetch` does not tell.)
 * @throws RequestError; an AbortError DOMException when it is given up
 */
export function upload({ path, bytes, onSent, signal }: Upload): Promise<Uploaded> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', path);
    request.responseType = 'arraybuffer';
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.onprogress = ({ loaded, total }) => onSent(total > 0 ? loaded / total : 0);
    request.upload.onload = () => onSent(1);
    request.onerror = () =>
      reject(new RequestError(0, 'request/offline', 'Vetro’s server does not answer. Is it still running?'));
    request.onabort = () => reject(new DOMException('given up', 'AbortError'));
    request.onload = () => {
      const answer = request.response as ArrayBuffer;
      if (request.status === 200) {
        resolve({ header: (name) => request.getResponseHeader(name), bytes: answer });
      } else reject(refusal(request.status, jsonOf(answer)));
    };
    signal.addEventListener('abort', () => request.abort());
    request.send(bytes);
  });
}

function jsonOf(bytes: ArrayBuffer): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    return null;
  }
}
