import type { Dose, DosePolicyName } from "./dose";

/** What one set can be counted in. */
export type Work = "reps" | "hold" | "contacts" | "minutes";

/**
 * A dose style: how a dose is built. `work` lists what a set may be counted in, `usual` is where it begins.
 * Figures are common practice except where a source stands beside them.
 */
export interface DoseStyle {
  readonly name: Dose["style"];
  readonly work: readonly Work[];
  readonly policies: readonly DosePolicyName[];
  /** Contractions it makes sense for; left out: any. */
  readonly contractions?: readonly string[];
  readonly maximumDaysPerWeek?: number;
  /** True when the style means nothing without an external load. */
  readonly needsLoad?: boolean;
  readonly usual: Omit<Dose, "style">;
}

const moving = ["eccentric-only", "concentric-eccentric"];

export const doseStyleList: readonly DoseStyle[] = [
  {
    name: "activation",
    work: ["reps", "hold"],
    policies: ["double-progression", "hold", "fixed"],
    usual: usual("hold", { sets: 1, reps: [5, 5], hold: [5, 10], restSeconds: 0, daysPerWeek: 7 }),
  },
  {
    name: "isometric-clinic",
    work: ["hold"],
    policies: ["effort-band", "hold", "fixed"],
    contractions: ["isometric"],
    usual: {
      ...usual("effort-band", { sets: 5, hold: [10, 15], restSeconds: 20, daysPerWeek: 7 }),
      effort: { lowPercent: 30, highPercent: 40 },
    },
  },
  {
    // 5 × 45 s at 70 % of maximum, two minutes' rest (Rio 2015, recalled).
    name: "isometric-tendon",
    work: ["hold"],
    policies: ["effort-band", "hold", "fixed"],
    contractions: ["isometric"],
    usual: {
      ...usual("fixed", { sets: 5, hold: [45, 45], restSeconds: 120, daysPerWeek: 7 }),
      effort: { lowPercent: 70, highPercent: 70 },
    },
  },
  {
    name: "squeeze",
    work: ["hold"],
    policies: ["effort-band", "fixed"],
    contractions: ["isometric"],
    usual: {
      ...usual("effort-band", { sets: 5, hold: [10, 10], restSeconds: 30, daysPerWeek: 5 }),
      effort: { lowPercent: 30, highPercent: 40 },
    },
  },
  {
    name: "control",
    work: ["reps", "hold"],
    policies: ["double-progression", "fixed"],
    usual: usual("double-progression", {
      sets: 2,
      reps: [10, 20],
      hold: [3, 3],
      restSeconds: 45,
      daysPerWeek: 5,
    }),
  },
  {
    name: "strength",
    work: ["reps"],
    policies: ["double-progression", "fixed"],
    contractions: moving,
    maximumDaysPerWeek: 4,
    usual: usual("double-progression", { sets: 3, reps: [8, 12], restSeconds: 90, daysPerWeek: 3 }),
  },
  {
    name: "strength-hypertrophy",
    work: ["reps"],
    policies: ["double-progression"],
    contractions: moving,
    maximumDaysPerWeek: 4,
    usual: usual("double-progression", { sets: 3, reps: [6, 10], restSeconds: 90, daysPerWeek: 3 }),
  },
  {
    // 15 → 6 repetition maximum over 12 weeks, 4 sets, slow, three days a week (Kongsgaard 2009, recalled).
    name: "heavy-slow",
    work: ["reps"],
    policies: ["scheduled"],
    contractions: moving,
    maximumDaysPerWeek: 3,
    needsLoad: true,
    usual: {
      ...usual("scheduled", { sets: 4, reps: [15, 15], restSeconds: 150, daysPerWeek: 3 }),
      tempo: "3-0-3-0",
    },
  },
  {
    name: "endurance",
    work: ["reps", "hold"],
    policies: ["double-progression", "hold", "fixed"],
    usual: usual("hold", { sets: 3, hold: [20, 30], restSeconds: 45, daysPerWeek: 4 }),
  },
  {
    name: "form-failure",
    work: ["reps", "hold"],
    policies: ["form-failure"],
    contractions: moving,
    usual: usual("form-failure", { sets: 2, reps: [8, 20], restSeconds: 60, daysPerWeek: 3 }),
  },
  {
    name: "pre-field",
    work: ["reps"],
    policies: ["fixed"],
    contractions: moving,
    usual: {
      ...usual("fixed", { sets: 2, reps: [8, 12], restSeconds: 30, daysPerWeek: 3 }),
      bodyWeightPercent: 20,
    },
  },
  {
    name: "circuit",
    work: ["reps", "hold", "minutes"],
    policies: ["double-progression", "fixed"],
    usual: usual("fixed", { sets: 1, reps: [10, 12], restSeconds: 15, daysPerWeek: 3 }),
  },
  {
    name: "plyometric",
    work: ["contacts"],
    policies: ["contacts", "fixed"],
    contractions: ["plyometric"],
    maximumDaysPerWeek: 3,
    usual: usual("contacts", { sets: 3, contacts: [6, 8], restSeconds: 120, daysPerWeek: 2 }),
  },
  {
    name: "balance",
    work: ["hold", "reps"],
    policies: ["hold", "double-progression", "fixed"],
    usual: usual("hold", { sets: 3, hold: [10, 30], restSeconds: 30, daysPerWeek: 5 }),
  },
  {
    name: "stretch",
    work: ["hold"],
    policies: ["fixed"],
    usual: usual("fixed", { sets: 2, hold: [30, 30], restSeconds: 10, daysPerWeek: 7 }),
  },
  {
    name: "running",
    work: ["minutes"],
    policies: ["running", "fixed"],
    maximumDaysPerWeek: 6,
    usual: { policy: "running", sets: 4, minutes: 1, restSeconds: 90, daysPerWeek: 3 },
  },
];

/** The definition behind a style's name. @throws RangeError for a name that is not in the list */
export function doseStyle(name: Dose["style"]): DoseStyle {
  const found = doseStyleList.find((style) => style.name === name);
  if (!found) throw new RangeError(`unknown dose style ${name}`);
  return found;
}

type Ranges = Partial<Record<"reps" | "hold" | "contacts", readonly [number, number]>>;

function usual(
  policy: DosePolicyName,
  { reps, hold, contacts, ...rest }: Ranges & Pick<Dose, "sets" | "restSeconds" | "daysPerWeek">,
): Omit<Dose, "style"> {
  const range = (ends: readonly [number, number]) => ({ bottom: ends[0], top: ends[1] });
  return {
    policy,
    ...rest,
    ...(reps ? { reps: range(reps) } : {}),
    ...(hold ? { hold: range(hold) } : {}),
    ...(contacts ? { contacts: range(contacts) } : {}),
  };
}
