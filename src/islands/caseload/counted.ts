import type { CaseloadPage } from "~/contract/clinic";
import { t } from "~/messages/say";

/** How many there are; a kind is counted only so far, and then there are so many or more. */
interface Counted {
  readonly count: number;
  readonly orMore: boolean;
}

/** How many of a kind the clinic has, or of every kind; "or more" is said of whole hundreds. */
export function countedOf(
  { count, counts, countedTo }: Pick<CaseloadPage, "count" | "counts" | "countedTo">,
  kind: keyof CaseloadPage["counts"] | null,
): Counted {
  const found = kind === null ? count : (counts[kind] ?? 0);
  const orMore = (kind === null ? Object.values(counts) : [found]).some((n) => n >= countedTo);
  return { count: orMore ? found - (found % 100) : found, orMore };
}

/** As it stands on a button. */
export const inFigures = ({ count, orMore }: Counted): string =>
  orMore ? t("caseload.orMore", { count }) : String(count);
