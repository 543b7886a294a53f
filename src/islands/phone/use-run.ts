import { useCallback, useEffect, useState } from "react";
import type { PhoneSignalBody } from "~/contract/phone";
import { drop, keep, readKept, type Waiting } from "~/workers/phone/phone-store";
import { runAfterSign, sessionOf, wasLeft, type RunState } from "~/workers/phone/run-state";

/**
 * The run under way: kept on the phone with every tap, told once it is over, also one that somebody left.
 *
 * @param tell keeps what is told and sends it; with the run that ends by it
 */
export function useRun(tell: (what: Waiting, endsRun: boolean) => Promise<void>) {
  const [run, setRun] = useState<RunState | null>(null);

  const go = useCallback((next: RunState) => {
    const touched = { ...next, touchedAt: new Date().toISOString() };
    setRun(touched);
    void keep("run", touched).catch(() => undefined);
  }, []);

  /** Ends a run and tells what was done of it. @returns how many exercises were */
  const end = useCallback(
    (ended: RunState): number => {
      const body = sessionOf(ended);
      setRun(null);
      if (body) void tell({ name: "tellSession", body }, true);
      else void drop("run").catch(() => undefined);
      return body?.items.length ?? 0;
    },
    [tell],
  );

  /** Takes out of the run what a sign stops. */
  const obey = (sign: Pick<PhoneSignalBody, "code" | "itemId">) => {
    if (!run) return;
    const after = runAfterSign(run, sign);
    if (after) go(after);
    else end(run);
  };

  useEffect(() => {
    void readKept("run").then(
      (kept) => {
        if (kept && wasLeft(kept, Date.now())) end(kept);
        else if (kept) setRun(kept);
      },
      () => undefined,
    );
  }, [end]);

  return { run, go, end, obey };
}
