import type { ItemRole } from "~/core/exercise/role";
import type { CaseFile, CaseItem } from "./case-file";
import { latest } from "./stage-in-force";

/** An exercise of the plan where it stands. */
export interface ArrangedItem {
  readonly item: CaseItem;
  readonly role: ItemRole;
  /** The circuit it is done in, counted from 1, and the rest from round to round; null outside of one. */
  readonly circuit: { readonly number: number; readonly restSeconds: number } | null;
}

/**
 * The exercises of the plan at `asOf` in the order that was signed last; those that joined since come after, in the order in which they
 * did. Of a circuit of which only one exercise is left nothing remains.
 */
export function arrangedItems(file: CaseFile): ArrangedItem[] {
  const present = file.items.filter(
    ({ endedAt }) => endedAt === undefined || Date.parse(endedAt) > Date.parse(file.asOf),
  );
  const arrangement = latest(file.arrangements ?? [], file.asOf);
  const entries = arrangement?.entries ?? [];
  const placeOf = new Map(entries.map(({ itemId }, n) => [itemId, n]));
  const roleOf = new Map(entries.map(({ itemId, role }) => [itemId, role]));
  const circuits = (arrangement?.circuits ?? [])
    .map(({ items, restSeconds }) => ({
      restSeconds,
      items: items.filter((id) => present.some((item) => item.id === id)),
    }))
    .filter(({ items }) => items.length > 1);
  const place = ({ id }: CaseItem) => placeOf.get(id) ?? entries.length;
  return [...present]
    .sort((a, b) => place(a) - place(b))
    .map((item) => {
      const at = circuits.findIndex(({ items }) => items.includes(item.id));
      const circuit = circuits[at];
      return {
        item,
        role: roleOf.get(item.id) ?? item.role ?? "main",
        circuit: circuit ? { number: at + 1, restSeconds: circuit.restSeconds } : null,
      };
    });
}
