/** Arrow keys go from one button of a pad to the next one that lies that way. */
export function rovingFocus(event: KeyboardEvent, pad: HTMLElement | undefined): void {
  const from = event.target;
  if (!pad || !event.key.startsWith("Arrow") || !(from instanceof HTMLButtonElement)) return;
  event.preventDefault();
  const here = middle(from);
  const flat = event.key === "ArrowLeft" || event.key === "ArrowRight";
  const way = event.key === "ArrowLeft" || event.key === "ArrowUp" ? -1 : 1;
  const others = [...pad.querySelectorAll<HTMLButtonElement>("button:not(:disabled)")]
    .map((button) => ({ button, at: middle(button) }))
    .map(({ button, at }) => ({
      button,
      ahead: way * (flat ? at.x - here.x : at.y - here.y),
      aside: Math.abs(flat ? at.y - here.y : at.x - here.x),
    }))
    .filter(({ ahead, aside }) => ahead > 4 && (!flat || aside < 20))
    .sort((one, other) => one.ahead + 2 * one.aside - (other.ahead + 2 * other.aside));
  others[0]?.button.focus();
}

function middle(element: HTMLElement): { x: number; y: number } {
  const box = element.getBoundingClientRect();
  return { x: box.left + box.width / 2, y: box.top + box.height / 2 };
}
