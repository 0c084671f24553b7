/** What the browser keeps under a name; undefined where there is nothing, or where it may keep nothing. */
export function readKept(name: string): string | undefined {
  try {
    return localStorage.getItem(name) ?? undefined;
  } catch {
    return undefined;
  }
}

/** Has the browser keep something. @returns whether it does: its store may be full or forbidden */
export function keep(name: string, value: string): boolean {
  try {
    localStorage.setItem(name, value);
    return true;
  } catch {
    return false;
  }
}

export function forget(name: string): void {
  try {
    localStorage.removeItem(name);
  } catch {
    // What may not be kept need not be forgotten.
  }
}

/** Every name that begins so. */
export function namesKept(beginning: string): readonly string[] {
  try {
    return Object.keys(localStorage).filter((name) => name.startsWith(beginning));
  } catch {
    return [];
  }
}
