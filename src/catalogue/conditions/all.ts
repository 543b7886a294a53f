import type { ConditionCode, ConditionDefinition } from "~/core/condition/condition";
import type { Intake } from "~/core/intake/intake";
import type { Restriction } from "~/core/limit/restriction";

type Unsaid<T> = T extends unknown ? Omit<T, "origin" | "says" | "from" | "until"> : never;
const limit = (says: string, asks: Unsaid<Restriction>): Restriction =>
  ({ ...asks, origin: "condition", says }) as Restriction;

/** Common practice unless marked. Age by itself limits nothing: balance that challenges prevents falls (Sherrington 2019, recalled). */
export const conditions: readonly ConditionDefinition[] = [
  {
    code: "falls",
    short: "falls",
    asks: "A fall in the last year, or fear of falling",
    says: "Something to hold within reach; floor work only for who gets up again.",
    limits: [
      limit("falls: no eyes closed, soft ground or second task", { kind: "balance", most: "free" }),
      limit("falls: no jumping", { kind: "spring", most: "none" }),
    ],
  },
  {
    code: "thin-bones",
    short: "thin bones",
    asks: "Thin bones (osteoporosis), or steroids for long",
    says: "Spine neither bent nor twisted under load or to its end.",
    limits: [
      limit("thin bones: no loaded or end-range bending and twisting of the spine", {
        kind: "forbid",
        codes: ["loaded-lumbar-flexion", "end-range-lumbar-extension"],
      }),
      limit("thin bones: springs not above small rebounds", { kind: "spring", most: "rebound" }),
    ],
  },
  {
    code: "tendon-medicine",
    short: "tendon at risk",
    asks: "Fluoroquinolone in the last 6 months, or a steroid injection into a tendon in the last 3",
    says: "New tendon pain is seen soon.",
    limits: [
      limit("tendon at risk: nothing explosive", { kind: "spring", most: "none" }),
      limit("tendon at risk: no maximal effort", { kind: "knob-limit", knob: "effort", hardest: "70-85" }),
    ],
  },
  {
    code: "blood-thinners",
    short: "blood thinners",
    asks: "Blood thinners",
    says: "Bruises and falls with care; a blow to the head goes to a doctor.",
    limits: [],
  },
  {
    code: "heart",
    short: "heart, not cleared",
    asks: "Heart disease, or blood pressure uncontrolled or with symptoms, not cleared",
    says: "Breathe on, never hold the breath; holds to 10 s, effort to 7 until cleared.",
    limits: [
      limit("heart, not cleared: effort to 70 %", { kind: "knob-limit", knob: "effort", hardest: "50-70" }),
      limit("heart, not cleared: holds to 10 s", { kind: "knob-limit", knob: "hold", hardest: "1-10" }),
    ],
  },
  {
    code: "pregnancy",
    short: "pregnant or within a year of birth",
    asks: "Pregnant, or within a year of a birth",
    says: "No long lying on the back from mid-pregnancy; after birth ask for pelvic heaviness (Goom 2019, recalled).",
    limits: [
      limit("pregnancy or after birth: no jumping before it is graded in", { kind: "spring", most: "none" }),
    ],
  },
  {
    code: "nerve-loss",
    short: "numb feet",
    asks: "Loss of feeling in the feet",
    says: "Shoes on, eyes open, look at the skin.",
    limits: [limit("numb feet: eyes stay open, ground stays firm", { kind: "balance", most: "free" })],
  },
  {
    code: "growing",
    short: "growing",
    asks: "Growing skeleton: under 16, for a back under 18",
    says: "Back pain in extension: bone stress first, soon. Hip or knee pain with a limp: same day.",
    limits: [limit("growing: no maximal effort", { kind: "knob-limit", knob: "effort", hardest: "70-85" })],
  },
  {
    code: "inflammatory-flare",
    short: "inflammatory flare",
    asks: "Inflammatory disease in a flare now",
    says: "Nothing harder; range goes on.",
    limits: [],
    stills: true,
  },
  {
    code: "inflammatory",
    short: "inflammatory disease",
    asks: "Inflammatory joint disease",
    says: "Ask for a flare before every step.",
    limits: [],
  },
  {
    code: "diabetes",
    short: "diabetes",
    asks: "Diabetes",
    says: "Ask for feeling in the feet; wounds heal slowly.",
    limits: [],
  },
  { code: "lung", short: "lung", asks: "Lung disease", says: "Pauses by breath.", limits: [] },
  {
    code: "low-energy",
    short: "low energy intake",
    asks: "Low energy intake, or periods that stayed away",
    says: "Bone stress first when pain grows with running.",
    limits: [],
  },
];

/** The definition of a condition. @throws RangeError when there is none */
export function conditionByCode(code: string): ConditionDefinition {
  const found = conditions.find((condition) => condition.code === code);
  if (!found) throw new RangeError(`there is no condition ${code}`);
  return found;
}

type Asked = Partial<Pick<Intake, "medicines" | "illnesses" | "fellLastYear" | "fearsFalling">>;

const ofMedicine: Readonly<Record<string, ConditionCode>> = {
  "blood-thinner": "blood-thinners",
  steroid: "thin-bones",
  quinolone: "tendon-medicine",
};
const ofIllness: Readonly<Record<string, ConditionCode>> = {
  diabetes: "diabetes",
  heart: "heart",
  lung: "lung",
  osteoporosis: "thin-bones",
  inflammatory: "inflammatory",
  pregnancy: "pregnancy",
  "low-energy-intake": "low-energy",
  "nerve-loss": "nerve-loss",
};

/** The conditions that an intake's answers mean, each once. */
export function conditionsOfIntake({
  medicines = [],
  illnesses = [],
  fellLastYear,
  fearsFalling,
}: Asked): ConditionCode[] {
  const found = [
    ...(fellLastYear || fearsFalling ? (["falls"] as const) : []),
    ...medicines.flatMap((code) => ofMedicine[code] ?? []),
    ...illnesses.flatMap((code) => ofIllness[code] ?? []),
  ];
  return [...new Set(found)];
}

/** Whether somebody still grows: under 16, for a back under 18. */
export const isGrowing = (ageYears: number, region: string | undefined): boolean =>
  ageYears < (region === "back" ? 18 : 16);
