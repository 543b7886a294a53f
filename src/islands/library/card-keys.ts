const cards = () => [...document.querySelectorAll<HTMLElement>("[data-card]")];

/**
 * Arrow keys among the cards of a grid: left and right to the neighbour, up and down to the card above or below; from
 * the search box down goes to the first card, and up from the first row goes back to it.
 */
export function moveAmongCards(
  event: KeyboardEvent,
  target: HTMLElement | null,
  search: HTMLInputElement | null,
): void {
  const all = cards();
  const at = target ? all.indexOf(target) : -1;
  let next: HTMLElement | null | undefined;
  if (at < 0) {
    if (event.key !== "ArrowDown" || (target !== search && target !== document.body)) return;
    next = all[0];
  } else if (event.key === "ArrowRight") next = all[at + 1];
  else if (event.key === "ArrowLeft") next = all[at - 1];
  else if (event.key === "ArrowDown") next = nearestRow(all, at, 1);
  else if (event.key === "ArrowUp") next = nearestRow(all, at, -1) ?? search;
  if (!next) return;
  event.preventDefault();
  next.focus();
}

/** The card in the next row, or the one before, that is nearest sideways. */
function nearestRow(all: readonly HTMLElement[], at: number, way: 1 | -1): HTMLElement | undefined {
  const from = all[at]?.getBoundingClientRect();
  if (!from) return undefined;
  const beyond = all
    .map((card) => ({ card, box: card.getBoundingClientRect() }))
    .filter(({ box }) => (box.top - from.top) * way > 4);
  const row = Math.min(...beyond.map(({ box }) => box.top * way));
  return beyond
    .filter(({ box }) => Math.abs(box.top * way - row) < 4)
    .sort((a, b) => Math.abs(a.box.left - from.left) - Math.abs(b.box.left - from.left))[0]?.card;
}
