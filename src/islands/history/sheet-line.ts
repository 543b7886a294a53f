import type { Muscle } from "~/core/exercise/body";
import type { Restriction } from "~/core/limit/restriction";
import { addDays } from "~/core/schedule/local-day";
import { label, t } from "~/messages/say";
import { typedNumber } from "~/islands/frame/typed-number";

export const sheetKinds = [
  "range",
  "weight",
  "legs",
  "brace",
  "resisted",
  "lengthened",
  "stretched",
  "straight-leg-raise",
  "kneeling",
  "spring",
  "running",
  "note",
] as const;
export const sheetJoints = ["knee", "hip", "hip-rotation", "hip-abduction", "ankle", "spine"] as const;
export const weightUnits = ["kg", "percent", "none", "touch"] as const;
export const sheetMuscles = [
  "quadriceps",
  "hamstrings",
  "hip-flexors",
  "adductors",
  "gluteus-medius",
  "gluteus-maximus",
  "gastrocnemius",
  "soleus",
] as const satisfies readonly Muscle[];

/** A line of the surgeon's sheet as typed. */
export interface SheetLine {
  readonly what: (typeof sheetKinds)[number];
  readonly joint: (typeof sheetJoints)[number];
  readonly least: string;
  readonly most: string;
  /** Only while the leg carries. */
  readonly loaded: boolean;
  readonly amount: string;
  readonly unit: (typeof weightUnits)[number];
  readonly muscle: (typeof sheetMuscles)[number];
  readonly says: string;
  readonly from: string;
  readonly until: string;
  /** Whole weeks from the operation; takes the place of a last day. */
  readonly weeks: string;
}

export const emptyLine: SheetLine = {
  what: "range",
  joint: "knee",
  least: "",
  most: "",
  loaded: false,
  amount: "",
  unit: "kg",
  muscle: "quadriceps",
  says: "",
  from: "",
  until: "",
  weeks: "",
};

export interface SheetContext {
  /** Day of the operation, YYYY-MM-DD. */
  readonly on: string;
  /** Kilograms; what weight in kilograms is a share of. */
  readonly bodyMassKg: number | null;
}

/** Kilograms where nobody took the body mass. */
const usualMassKg = 75;
const touchKg = 10;
const typed = (text: string) => typedNumber(text) ?? undefined;

/** The limit that a line of the sheet means, with its days; words of its own where they were typed. */
export function toSheetLimit(line: SheetLine, { on, bodyMassKg }: SheetContext): Restriction {
  const weeks = typed(line.weeks);
  const until = weeks === undefined ? line.until : addDays(on, 7 * weeks - 1);
  const common = {
    origin: "surgeon" as const,
    says: line.says.trim() || sayLine(line),
    from: line.from || on,
    ...(until ? { until } : {}),
  };
  const { what, joint, muscle } = line;
  const when = line.loaded ? ("loaded" as const) : ("any" as const);
  const [least, most] = [typed(line.least), typed(line.most)];
  const leg = "involved" as const;
  switch (what) {
    case "range":
      return {
        kind: "range",
        joint,
        ...(least === undefined ? {} : { leastDeg: least }),
        ...(most === undefined ? {} : { mostDeg: most }),
        when,
        leg,
        ...common,
      };
    case "brace":
      return {
        kind: "range",
        joint: "knee",
        leastDeg: least ?? 0,
        mostDeg: most ?? 0,
        when: "loaded",
        leg,
        ...common,
      };
    case "weight": {
      const mass = bodyMassKg ?? usualMassKg;
      const amount = typed(line.amount) ?? 0;
      const share = { kg: amount / mass, percent: amount / 100, none: 0, touch: touchKg / mass }[line.unit];
      return { kind: "weight", mostShare: share, ...common };
    }
    case "legs":
      return { kind: "legs", most: "both", ...common };
    case "resisted":
      return { kind: "resisted", muscle, most: "none", ...common };
    case "lengthened":
    case "stretched":
      return { kind: what, muscle, ...common };
    case "spring":
      return { kind: "spring", most: "none", ...common };
    case "straight-leg-raise":
    case "kneeling":
    case "running":
    case "note":
      return { kind: what, ...common };
  }
}

/** A line in usual words. */
function sayLine({ what, joint, least, most, loaded, amount, unit, muscle }: SheetLine): string {
  switch (what) {
    case "range":
    case "brace":
      return t(`sheet.says.${what}`, {
        joint: t(`sheet.joint.${joint}`),
        least: least.trim() || "–",
        most: most.trim() || "–",
        loaded: loaded ? "yes" : "no",
      });
    case "weight":
      return t("sheet.says.weight", { unit, amount: amount.trim() || "0" });
    case "resisted":
    case "lengthened":
    case "stretched":
      return t(`sheet.says.${what}`, { muscle: label("muscle", muscle) });
    default:
      return t(`sheet.says.${what}`);
  }
}
