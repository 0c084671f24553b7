/** The value of a cookie in a `Cookie` header. Source: RFC 6265, §4.2.1. */
export function cookieIn(cookies: string | undefined, name: string): string | undefined {
  const pair = (cookies ?? '')
    .split(';')
    .map((each) => each.trim())
    .find((each) => each.startsWith(`${name}=`));
  return pair?.slice(name.length + 1);
}
