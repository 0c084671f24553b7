import type { Socket } from 'node:net';

/** Longest line, in characters; whatever sends more without an end is no loom. */
const MAX_LINE = 65_536;

/** Hands on every line that comes through a socket; one that does not end is given up. */
export function readLines(socket: Socket, take: (line: string) => void, tooLong: () => void): void {
  let rest = '';
  socket.setEncoding('utf8');
  socket.on('data', (piece: string) => {
    const lines = (rest + piece).split('\n');
    rest = lines.pop()!;
    if (rest.length > MAX_LINE || lines.some((line) => line.length > MAX_LINE)) {
      rest = '';
      socket.destroy();
      tooLong();
    } else for (const line of lines) take(line);
  });
}
