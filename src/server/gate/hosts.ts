import { hostname, networkInterfaces } from 'node:os';

/** Names and addresses of this machine's loopback. */
const LOOPBACK: readonly string[] = ['localhost', '127.0.0.1', '::1'];

/** What HOST says when Vetro listens at every address of the machine. */
const EVERYWHERE: readonly string[] = ['0.0.0.0', '::', ''];

/** Whether only programs on this machine can reach an address. */
export function isLoopback(host: string): boolean {
  return LOOPBACK.includes(host) || /^127(\.\d{1,3}){3}$/.test(host);
}

/**
 * The names and addresses under which Vetro answers, in small letters: loopback, what HOST says, and when that is
 * every address, those that this machine has now and its own name. Any other name is one that somebody else has
 * pointed here (DNS rebinding).
 *
 * @param more  further names that people use, such as "vetro.studio.lan, looms"
 */
export function allowedHosts(host: string, more = ''): ReadonlySet<string> {
  const everywhere = EVERYWHERE.includes(host);
  const addresses = everywhere
    ? [
        ...Object.values(networkInterfaces()).flatMap((each) => each?.map(({ address }) => address) ?? []),
        hostname(),
      ]
    : [host];
  const named = more
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '');
  return new Set([...LOOPBACK, ...addresses, ...named].map((name) => name.toLowerCase()));
}

/**
 * The name in a `Host` header, without its port and brackets, in small letters; undefined for what is no host.
 * Source: RFC 9110, §7.2; RFC 3986, §3.2.2.
 */
export function hostName(header: string | undefined): string | undefined {
  const match = /^(?:\[([0-9a-f:.]+)\]|([a-z0-9._-]+))(?::\d{1,5})?$/i.exec(header ?? '');
  return (match?.[1] ?? match?.[2])?.toLowerCase();
}
