import { useEffect } from 'react';

/** What can be focused by the keyboard. */
const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]:not([tabindex="-1"])';

/** What is typed into: the focus never goes there by itself, since keys would then change what it holds. */
const TYPED_INTO = 'input:not([type=checkbox]):not([type=radio]):not([type=range]), select, textarea';

/** An element that had the focus, and where it stood. */
interface Held {
  readonly element: Element;
  readonly ancestors: readonly Element[];
  /** Its place among what can be focused below each ancestor. */
  readonly places: readonly number[];
}

/** Most elements that are remembered. */
const MOST = 20;

/**
 * Sees to it that the focus never falls to the page: when what had it goes away, what comes into its place is focused,
 * or what had it before, or the page's main part.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let held: Held[] = [];
    const focused = ({ target }: FocusEvent) => {
      if (!(target instanceof Element) || target === document.body) return;
      held = [...held.slice(-MOST + 1), hold(target)];
    };
    const check = () => {
      const last = held.at(-1);
      if (last === undefined || document.activeElement !== document.body || isThere(last.element)) return;
      const next = besides(last) ?? held.findLast(({ element }) => isThere(element))?.element ?? mainPart();
      if (next instanceof HTMLElement) next.focus({ preventScroll: true });
    };
    // Frameworks move the focus themselves just after they change the page.
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const observer = new MutationObserver(() => {
      clearTimeout(waiting);
      waiting = setTimeout(check, 30);
    });
    document.addEventListener('focusin', focused);
    observer.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] });
    return () => {
      clearTimeout(waiting);
      document.removeEventListener('focusin', focused);
      observer.disconnect();
    };
  }, []);
}

function hold(element: Element): Held {
  const ancestors: Element[] = [];
  for (let up = element.parentElement; up !== null && up !== document.body; up = up.parentElement) {
    ancestors.push(up);
  }
  const places = ancestors.map((ancestor) => focusablesIn(ancestor).indexOf(element));
  return { element, ancestors, places };
}

function focusablesIn(ancestor: Element): Element[] {
  return [...ancestor.querySelectorAll(FOCUSABLE)];
}

/** Whether an element can have the focus now. */
function isThere(element: Element): boolean {
  return element.isConnected && element.matches(FOCUSABLE) && element.getClientRects().length > 0;
}

/** What stands where an element stood and is not typed into, in the nearest part around it that is left. */
function besides({ ancestors, places }: Held): Element | undefined {
  for (const [at, ancestor] of ancestors.entries()) {
    if (!ancestor.isConnected) continue;
    const all = focusablesIn(ancestor).filter(isThere);
    const place = Math.max(0, places[at]!);
    const found = [...all.slice(place), ...all.slice(0, place).reverse()].find(
      (element) => !element.matches(TYPED_INTO),
    );
    if (found !== undefined) return found;
  }
  return undefined;
}

function mainPart(): Element | null {
  return document.querySelector('main') ?? document.querySelector(FOCUSABLE);
}
