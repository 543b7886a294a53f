import loadHighs from "highs";
import runtime from "highs/runtime?url";
import type { Mip, MipSession } from "~/core/week/mip";
import { planWeek, type PlanWeekInput, type PlanWeekOutput } from "~/core/week/plan-week";
import { openSession } from "../../tools/solver/session.mjs";

/** The week, or why it could not be planned here. */
export type PlanTold = { readonly answer: PlanWeekOutput } | { readonly fault: string };

const loading = loadHighs({ locateFile: () => runtime });
const open = async (mip: Mip): Promise<MipSession> => openSession(await loading, mip);

self.addEventListener("message", ({ data }: MessageEvent<PlanWeekInput>) => {
  planWeek(data, open, () => performance.now()).then(
    (answer) => self.postMessage({ answer } satisfies PlanTold),
    (error: unknown) => self.postMessage({ fault: String(error) } satisfies PlanTold),
  );
});
