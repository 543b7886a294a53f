import type { Ways } from "~/contract/habits";

const usual: Ways = { weight: "kg", length: "cm", dates: "day-month" };

/** What a page says of itself: who looks at it reads weights, lengths and dates so. */
function ofPage(): Ways {
  const { weight, length, dates } = document.documentElement.dataset;
  return {
    weight: weight === "lb" ? "lb" : "kg",
    length: length === "in" ? "in" : "cm",
    dates: dates === "month-day" ? "month-day" : "day-month",
  };
}

/** Lets the page that is open say so from now on. */
export function showWays({ weight, length, dates }: Ways): void {
  Object.assign(document.documentElement.dataset, { weight, length, dates });
}

let source: () => Ways = () => (typeof document === "undefined" ? usual : ofPage());

/** How weights, lengths and dates are written for whoever is reading. */
export const ways = (): Ways => source();

/** Says where to learn it: of the request that is being answered, or of the plan on a phone. */
export function waysFrom(next: () => Ways): void {
  source = next;
}
