import { useCallback, useEffect, useRef, useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { Problem } from "~/contract/problem";
import type { Intake } from "~/core/intake/intake";
import type { Placing } from "~/core/intake/placing";
import type { Measure } from "~/core/measure/measure";
import { call } from "~/islands/frame/call";
import { draftFaults, sayFaults } from "~/islands/measures/entry-draft";
import { toIntake, type IntakeFields } from "./intake-fields";
import { missingFields, type MissingField } from "./intake-missing";

/** A proposal and what it was made for. */
export interface Proposed {
  readonly placing: Placing;
  readonly intake: Intake;
}

/** How far the proposal has come: what lacks for it, what keeps it back, or itself; current says that nothing changed since. */
export interface LivePlacing {
  readonly missing: readonly MissingField[];
  readonly problem: Problem | null;
  readonly proposed: Proposed | null;
  readonly current: boolean;
}

const afterMs = 700;
const againMs = 5_000;

/**
 * The proposal beside the form, as it grows: asked for once typing rests and nothing lacks, never while a red flag is ticked.
 *
 * @returns how far it has come, and a way to ask at once
 */
export function useLivePlacing(
  { watch, getValues }: UseFormReturn<IntakeFields>,
  id: string,
  measures: ReadonlyMap<string, Measure>,
): [LivePlacing, () => Promise<LivePlacing>] {
  const [live, setLive] = useState<LivePlacing>(() => ({
    missing: missingFields(getValues()),
    problem: null,
    proposed: null,
    current: false,
  }));
  const asked = useRef(0);
  /** The turn that nobody answered. */
  const again = useRef(-1);

  const ask = useCallback(async (): Promise<LivePlacing> => {
    asked.current += 1;
    const turn = asked.current;
    const fields = getValues();
    const tell = (more: Pick<LivePlacing, "problem" | "proposed">) => {
      const told = { missing: missingFields(fields), current: true, ...more };
      if (turn === asked.current) setLive(told);
      return told;
    };
    if (missingFields(fields).length > 0) return tell({ problem: null, proposed: null });
    const rows = fields.baselineRows;
    const faults = draftFaults({ codes: Object.keys(rows), rows }, measures);
    if (faults.length > 0) {
      const title = sayFaults(faults, measures);
      return tell({ problem: { type: "/problems/missing", title, status: 0 }, proposed: null });
    }
    const intake = toIntake(fields, measures);
    const answer = await call("proposePlacing", {}, { id, intake });
    if (answer.ok) return tell({ problem: null, proposed: { placing: answer.value, intake } });
    const told = tell({ problem: answer.problem, proposed: null });
    // Nobody answered, or could: it is asked again by itself, unless something was typed meanwhile.
    const { status } = answer.problem;
    if (status === 0 || status >= 500) again.current = turn;
    return told;
  }, [getValues, id, measures]);

  useEffect(() => {
    if (live.proposed || !live.current || again.current !== asked.current) return;
    const timer = setTimeout(() => void ask(), againMs);
    return () => clearTimeout(timer);
  }, [live, ask]);

  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const askSoon = ({ redFlags = [] }: { redFlags?: unknown[] }) => {
      if (redFlags.length === 0) timer = setTimeout(() => void ask(), afterMs);
    };
    // An intake that is gone on with may be whole already.
    if (missingFields(getValues()).length === 0) askSoon(getValues());
    const watching = watch((fields) => {
      clearTimeout(timer);
      // What is still on its way was asked of a form that is no more.
      asked.current += 1;
      setLive((before) => ({ ...before, missing: missingFields(getValues()), current: false }));
      askSoon(fields);
    });
    return () => {
      clearTimeout(timer);
      watching.unsubscribe();
    };
  }, [watch, getValues, ask]);

  return [live, ask];
}
