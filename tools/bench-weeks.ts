import type { MipSession } from "~/core/week/mip";
import { planWeek, type PlanWeekInput } from "~/core/week/plan-week";
import { tools } from "~/server/solve/tools";
import { randomWeek } from "~tests/builders/weeks";
import type { Row } from "./bench-compare";

const roomy = { items: 20, days: 7, fixed: false };
const seconds = 5;
const weeks = 10;

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** A solver that takes the program and gives nothing back: what building and handing it over cost alone. */
const takesOnly = async (mip: Parameters<typeof tools.solver>[0]): Promise<MipSession> => {
  const session = await tools.solver(mip);
  return {
    ...session,
    minimise: () => Promise.resolve({ values: null, proven: false, bound: null }),
  };
};

/** Weeks of 20 exercises, with as many minutes as they need and with far too few, against building their programs alone. */
export async function weekRows(): Promise<{ rows: Row[]; said: string }> {
  const kinds = { "weeks that fit": 240, "overloaded weeks": 25 } as const;
  const rows: Row[] = [];
  const said: string[] = [];
  for (const [what, minutes] of Object.entries(kinds)) {
    const times = { ours: [] as number[], building: [] as number[] };
    let proven = 0;
    for (let seed = 1; seed <= weeks; seed += 1) {
      const week = randomWeek(seed, roomy);
      const input: PlanWeekInput = {
        ...week,
        days: week.days.map((day) => ({ ...day, minutes })),
        secondsLimit: seconds,
      };
      const began = performance.now();
      const found = await planWeek(input, tools.solver, tools.now);
      const solved = performance.now();
      await planWeek(input, takesOnly, tools.now);
      times.ours.push(solved - began);
      times.building.push(performance.now() - solved);
      if ("optimal" in found && found.optimal) proven += 1;
    }
    rows.push({
      what: `${what}: 20 exercises, median of ${weeks}`,
      baseline: "building the program and handing it over",
      target: what === "weeks that fit" ? "< 1 s" : `≤ ${seconds} s, 9 of 10 proven`,
      oursMs: median(times.ours),
      baselineMs: median(times.building),
    });
    said.push(`${what}: ${proven} of ${weeks} proven within ${seconds} s`);
  }
  return { rows, said: said.join("; ") };
}
