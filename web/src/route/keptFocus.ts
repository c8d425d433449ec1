import { useEventListener, useMutationObserver } from "@vueuse/core";

const FOCUSABLE = [
  "a[href]",
  "button:not(:disabled)",
  "input:not(:disabled)",
  "select:not(:disabled)",
  "textarea:not(:disabled)",
  "[tabindex]:not([tabindex='-1'])",
].join(",");

const can = (element: Element): boolean =>
  element.isConnected &&
  element.matches(FOCUSABLE) &&
  element.getClientRects().length > 0 &&
  !element.closest("[inert]");

const within = (element: Element): HTMLElement[] =>
  [...element.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(can);

const nameOf = (element: Element): string =>
  `${element.tagName} ${element.getAttribute("aria-label") ?? element.getAttribute("title") ?? element.textContent.trim()}`;

/**
 * Where the keys were: the element, its name, and what it lay in, from the inside out, with its place there among all and
 * among those of its name.
 */
interface Held {
  element: HTMLElement;
  name: string;
  around: { box: Element; at: number; nth: number }[];
}

function hold(element: HTMLElement): Held {
  const around: Held["around"] = [];
  const name = nameOf(element);
  for (let box = element.parentElement; box && box !== document.body; box = box.parentElement) {
    const there = within(box);
    around.push({
      box,
      at: there.indexOf(element),
      nth: there.filter((other) => nameOf(other) === name).indexOf(element),
    });
    if (box.id === "main") break;
  }
  return { element, name, around };
}

/** What stands for it now: itself, another of its name, or what is at its place. */
function heir({ element, name, around }: Held): HTMLElement | undefined {
  if (can(element)) return element;
  const left = around.filter((place) => place.box.isConnected);
  for (const { box, nth } of left) {
    const same = within(box).filter((other) => nameOf(other) === name);
    if (same.length) return same[Math.min(Math.max(nth, 0), same.length - 1)];
  }
  for (const { box, at } of left) {
    if (box.id === "main") break;
    const there = within(box);
    if (there.length) return there[Math.min(Math.max(at, 0), there.length - 1)];
  }
  return document.getElementById("main") ?? undefined;
}

/**
 * Keys stay where they are. What is pressed often goes away by it (a row that is removed, a question that is answered) or is
 * disabled for a moment; a browser then begins at the top of the page. Here the keys go on from what has come in its place.
 */
export function useKeptFocus(): void {
  let held: Held | null = null;
  /** Where they were before a question was laid over the page. */
  let behind: Held | null = null;

  const lost = (): boolean => !document.activeElement || document.activeElement === document.body;
  const restore = (): void => {
    if (!lost() || !held) return;
    const from = behind && !can(held.element) ? behind : held;
    heir(from)?.focus({ preventScroll: true });
  };

  useEventListener(document, "focusin", (event: FocusEvent) => {
    if (!(event.target instanceof HTMLElement)) return;
    if (!event.target.closest(".modal")) behind = null;
    else if (!held?.element.closest(".modal")) behind = held;
    held = hold(event.target);
  });
  // A press beside everything is meant: nothing is held then.
  useEventListener(document, "pointerdown", (event: PointerEvent) => {
    if (event.target instanceof Element && !event.target.closest(`${FOCUSABLE}, label, svg`)) held = null;
  });
  // Not at once: between the one that loses the keys and the one that gets them nobody has them for a moment.
  useMutationObserver(document.body, () => void requestAnimationFrame(restore), {
    subtree: true,
    childList: true,
    attributes: true,
    attributeFilter: ["disabled", "inert"],
  });
}
