import { useMemo } from "react";
import type { AskedMovement, LoadedBody } from "~/catalogue/loads/loads-of";
import { kneecapShare } from "~/core/load/kneecap-share";
import type { Prescription } from "~/core/exercise/prescription";
import { askedOf } from "./asked-of";
import { useLoads } from "./use-loads";

interface Weighed {
  readonly itemId: string;
  readonly exercise: AskedMovement["exercise"];
  readonly prescription: Prescription;
}

/** What each item asks of the kneecap in a session, MPa·s, as far as it is read by now; items that cannot be read are left out. */
export function useKneecap(body: LoadedBody, items: readonly Weighed[]): ReadonlyMap<string, number> {
  const { loads } = useLoads(body, items.map(askedOf));
  return useMemo(
    () =>
      new Map(
        items.flatMap(({ itemId, prescription }, n) => {
          const told = loads[n];
          const asked = told?.ok ? kneecapShare(told, prescription.dose).sessionMPaS : null;
          return asked === null ? [] : [[itemId, asked] as const];
        }),
      ),
    [items, loads],
  );
}
