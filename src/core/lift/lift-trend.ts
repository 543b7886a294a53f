import { Type, type Static } from "@sinclair/typebox";
import { oneRepMax } from "~/core/dose/one-rep-max";
import { daysBetween } from "~/core/schedule/local-day";
import { Lift, movementKey, standingLifts } from "./lift";

const closed = { additionalProperties: false };
const date = Type.String({ format: "date" });

export const LiftTrendInput = Type.Object(
  { lifts: Type.Array(Lift, { maxItems: 5000 }), today: date },
  closed,
);

export const LiftTrend = Type.Object(
  {
    movement: Type.String(),
    /** The best set of each day, oldest first; days of sets above 12 repetitions have none. */
    points: Type.Array(
      Type.Object(
        {
          on: date,
          sets: Type.Integer(),
          reps: Type.Integer(),
          loadKg: Type.Number(),
          oneRepMaxKg: Type.Number(),
        },
        closed,
      ),
    ),
    bestKg: Type.Number(),
    bestOn: date,
    /** Days lifted since the best one. */
    daysSince: Type.Integer(),
    /** For how many days nothing has beaten the best, where that is a stall; null where it is none. */
    stalledDays: Type.Union([Type.Integer(), Type.Null()]),
    /** How many of the last three weeks' entries felt as if the legs were absent, or the back stiff. */
    uneasy: Type.Integer(),
  },
  closed,
);
export type LiftTrend = Static<typeof LiftTrend>;
export const LiftTrends = Type.Object({ trends: Type.Array(LiftTrend) }, closed);

/** No better for three weeks, although it was tried on four days: a stall (common practice). */
export const stallAfterDays = 21;
export const stallDaysLifted = 4;
/** Less than this is no progress, per cent: rounding of plates and of the estimate (common practice). */
const realGainPercent = 1;
const uneasyFeelings: readonly (string | undefined)[] = ["legs-absent", "back-stiff"];

/**
 * Whether somebody's planned loads still move: for each movement the best estimate of one repetition (Epley) of each day, the best of
 * all, and for how long nothing has beaten it. A stall is three weeks without a gain of one per cent over four days of lifting.
 * The longest stalled movement stands first.
 *
 * @param input lifts as recorded, kilograms; local date of today; later lifts are not looked at
 * @example liftTrends({ lifts: [], today: "2026-03-30" }) // { trends: [] }
 * Source: Epley 1985, recalled; what counts as a stall, common practice.
 */
export function liftTrends({ lifts, today }: Static<typeof LiftTrendInput>): Static<typeof LiftTrends> {
  const past = standingLifts(lifts).filter(({ on }) => on <= today);
  const keys = [...new Set(past.map(({ movement }) => movementKey(movement)))];
  const trends = keys.flatMap((key) => {
    const own = past.filter(({ movement }) => movementKey(movement) === key);
    return trendOf(own, today) ?? [];
  });
  return { trends: trends.sort((a, b) => (b.stalledDays ?? -1) - (a.stalledDays ?? -1)) };
}

function trendOf(own: readonly Lift[], today: string): LiftTrend | null {
  const [latest] = own;
  const points = bestOfDays(own);
  const [first, ...later] = points;
  if (!latest || !first) return null;
  // The first to come within a per cent keeps the record: what follows has to beat it for real.
  const best = later.reduce(
    (top, point) => (point.oneRepMaxKg > top.oneRepMaxKg * (1 + realGainPercent / 100) ? point : top),
    first,
  );
  const daysSince = points.filter(({ on }) => on > best.on).length;
  const days = daysBetween(best.on, today);
  const isStall = days >= stallAfterDays && daysSince >= stallDaysLifted;
  return {
    movement: latest.movement.trim(),
    points,
    bestKg: best.oneRepMaxKg,
    bestOn: best.on,
    daysSince,
    stalledDays: isStall ? days : null,
    uneasy: own.filter(
      ({ on, felt }) => uneasyFeelings.includes(felt) && daysBetween(on, today) < stallAfterDays,
    ).length,
  };
}

function bestOfDays(own: readonly Lift[]): LiftTrend["points"] {
  const byDay = new Map<string, LiftTrend["points"][number]>();
  for (const { on, sets, reps, loadKg } of own) {
    const { oneRepMaxKg, trustworthy = true } = oneRepMax({ loadKg, reps, formula: "epley" });
    if (!trustworthy) continue;
    const best = byDay.get(on);
    if (!best || oneRepMaxKg > best.oneRepMaxKg) byDay.set(on, { on, sets, reps, loadKg, oneRepMaxKg });
  }
  return [...byDay.values()].sort((a, b) => a.on.localeCompare(b.on));
}
