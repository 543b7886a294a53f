import { useRef, useState } from "react";
import type { StairItem, StairView } from "~/contract/episode";
import type { Problem } from "~/contract/problem";
import { useWrite, type Content } from "~/islands/frame/use-write";

type Answer = Omit<Content<"signDecision">, "itemId" | "expectedVersion">;

/** Signs the same answer to several proposals, one after the other; stops as soon as what was seen no longer stands. */
export function useSignEach(stair: StairView): {
  readonly busy: boolean;
  readonly problem: Problem | null;
  /** How many were signed, and the stair as it then stands. */
  readonly sign: (items: readonly StairItem[], answer: Answer) => Promise<{ done: number; now: StairView }>;
} {
  const [busy, setBusy] = useState(false);
  const changed = useRef<StairView | null>(null);
  const { send, problem, setProblem } = useWrite("signDecision", { id: stair.episodeId }, (stale) => {
    changed.current = stale.stair;
  });
  const sign = async (items: readonly StairItem[], answer: Answer) => {
    setBusy(true);
    changed.current = null;
    let present = stair;
    let done = 0;
    for (const { itemId, proposal } of items) {
      const standing = present.items.find((item) => item.itemId === itemId)?.proposal;
      const same =
        standing?.outcome === proposal.outcome &&
        standing.rule === proposal.rule &&
        JSON.stringify(standing.change) === JSON.stringify(proposal.change);
      if (!same) break;
      const expectedVersion = present.version;
      const written = await send(
        { ...answer, itemId, expectedVersion },
        `${answer.action} ${itemId} ${expectedVersion}`,
      );
      if (!written) break;
      present = written.stair;
      done += 1;
    }
    setBusy(false);
    // A record that changed meanwhile is shown as it stands, and said in the count; it is no problem of the sender's.
    if (changed.current) setProblem(null);
    return { done, now: changed.current ?? present };
  };
  return { busy, problem, sign };
}
