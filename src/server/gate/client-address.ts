import type { IncomingMessage } from 'node:http';

/**
 * The address that a request comes from. What proxies say of whom they speak for is believed only of those that are named:
 * the last address of `X-Forwarded-For` that is none of theirs. Of IPv6 the network counts, since its owner has all of it.
 *
 * @param proxies  addresses of proxies that stand before Vetro
 */
export function clientAddress(
  { socket, headers }: Pick<IncomingMessage, 'socket' | 'headers'>,
  proxies: ReadonlySet<string>,
): string {
  const nearest = plain(socket.remoteAddress ?? '');
  if (!proxies.has(nearest)) return networkOf(nearest);
  const told = [headers['x-forwarded-for'] ?? '']
    .flat()
    .join(',')
    .split(',')
    .map((each) => plain(each.trim()));
  const client = told.findLast((each) => each !== '' && !proxies.has(each));
  return networkOf(client ?? nearest);
}

/** The proxies that a setting names, such as "10.0.0.5, ::1". */
export function proxiesOf(text = ''): ReadonlySet<string> {
  return new Set(
    text
      .split(',')
      .map((each) => plain(each.trim()))
      .filter((each) => each !== ''),
  );
}

/** An IPv4 address that was mapped into IPv6 (RFC 4291, §2.5.5.2) as itself. */
function plain(address: string): string {
  return address.toLowerCase().replace(/^::ffff:(?=\d+\.)/, '');
}

/** The first four groups of an IPv6 address; any other as it is. */
function networkOf(address: string): string {
  if (!address.includes(':')) return address;
  const [before = '', after] = address.split('::');
  const head = before === '' ? [] : before.split(':');
  const tail = after === undefined || after === '' ? [] : after.split(':');
  const gap = after === undefined ? 0 : Math.max(0, 8 - head.length - tail.length);
  return [...head, ...Array.from({ length: gap }, () => '0'), ...tail].slice(0, 4).join(':');
}
