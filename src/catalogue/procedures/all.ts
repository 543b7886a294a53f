import type { Procedure, ProcedureLimit } from "~/core/event/operation-limits";
import type { Restriction } from "~/core/limit/restriction";

type Unsaid<T> = T extends unknown ? Omit<T, "origin" | "says" | "from" | "until"> : never;
type About = Omit<ProcedureLimit, "id" | "limit" | "untilDay"> & { readonly weeks?: number };

/** A limit for so many weeks, day 0 to day 7n − 1; without a number until the surgeon lifts it. */
const line = (
  id: string,
  says: string,
  asks: Unsaid<Restriction>,
  { weeks, ...about }: About = {},
): ProcedureLimit => ({
  id,
  ...(weeks === undefined ? {} : { untilDay: 7 * weeks - 1 }),
  ...about,
  limit: { ...asks, origin: "procedure", says } as Restriction,
});

const noSprings = (weeks: number, words: string) => [
  line("springs", `no jumping before week ${words}`, { kind: "spring", most: "none" }, { weeks }),
  line("running", `no running before week ${words}`, { kind: "running" }, { weeks }),
];
/** Touch weight: 10 kg on the ground, as a share of a body of 75 kg. */
const touchShare = 0.13;
const touch = (weeks: number) =>
  line(
    "touch",
    "touch weight only, to 10 kg",
    { kind: "weight", mostShare: touchShare },
    { weeks, unlessSheetSaysWeight: true },
  );
const twoLegs = (weeks: number) =>
  line(
    "two-legs",
    `two legs only for ${weeks} weeks`,
    { kind: "legs", most: "both" },
    { weeks, unlessSheetSaysWeight: true },
  );

/** Tendons are neither made long nor loaded before the surgeon opens them. */
const tendon = (
  code: string,
  name: string,
  region: Procedure["region"],
  muscles: readonly Extract<Restriction, { kind: "resisted" }>["muscle"][],
): Procedure => ({
  code,
  name,
  region,
  asksWeight: true,
  limits: [
    ...muscles.flatMap((muscle) => [
      line(`${muscle}-resisted`, `${name}: not loaded before the surgeon opens it`, {
        kind: "resisted",
        muscle,
        most: "none",
      }),
      line(`${muscle}-long`, `${name}: not made long before the surgeon opens it`, {
        kind: "lengthened",
        muscle,
      }),
      line(`${muscle}-stretched`, `${name}: not stretched before the surgeon opens it`, {
        kind: "stretched",
        muscle,
      }),
    ]),
    line("springs", `${name}: no jumping before the surgeon opens it`, { kind: "spring", most: "none" }),
    line("running", `${name}: no running before the surgeon opens it`, { kind: "running" }),
  ],
});

const meniscusRepair: readonly ProcedureLimit[] = [
  line(
    "bend",
    "knee bend stays within 90° for six weeks",
    { kind: "range", joint: "knee", mostDeg: 90, when: "any", leg: "involved" },
    { weeks: 6 },
  ),
  line(
    "loaded-bend",
    "no loaded knee bend beyond 90° before week 16",
    { kind: "range", joint: "knee", mostDeg: 90, when: "loaded", leg: "involved" },
    { weeks: 16 },
  ),
  line(
    "bending",
    "no isolated bending of the knee against resistance for eight weeks",
    { kind: "resisted", muscle: "hamstrings", most: "none" },
    { weeks: 8 },
  ),
  ...noSprings(16, "16"),
];

/**
 * What is done in operations on the lower limb, and what each brings along; common practice unless marked. The surgeon's sheet
 * wins. Of a span of weeks the longer one, until the sheet shortens it.
 */
export const procedures: readonly Procedure[] = [
  {
    code: "ligament-reconstruction",
    name: "Cruciate ligament reconstruction",
    region: "knee",
    grafts: ["hamstring", "patellar tendon", "quadriceps tendon", "donor"],
    limits: [
      // van Melick 2016, recalled: 90–45° from week 4, widening to full by about week 8.
      line(
        "open-chain",
        "no open-chain extension before week 4",
        { kind: "forbid", codes: ["open-chain-knee-extension"] },
        { weeks: 4 },
      ),
      line(
        "open-chain-arc",
        "open-chain extension stays within 90–45° until week 8",
        { kind: "knob-limit", knob: "arc", hardest: "45-90" },
        { weeks: 8, fromDay: 28 },
      ),
      line(
        "hamstring-graft",
        "hamstring graft: no isolated bending against resistance before week 12",
        { kind: "resisted", muscle: "hamstrings", most: "none" },
        { weeks: 12, grafts: ["hamstring"] },
      ),
      line(
        "front-graft",
        "graft from the front of the knee: no kneeling before week 16",
        { kind: "kneeling" },
        { weeks: 16, grafts: ["patellar tendon", "quadriceps tendon"] },
      ),
      ...noSprings(12, "12"),
    ],
  },
  {
    code: "meniscus-repair",
    name: "Meniscus repair",
    region: "knee",
    limits: [...meniscusRepair, twoLegs(4)],
  },
  {
    code: "meniscus-root-repair",
    name: "Meniscus root or radial repair",
    region: "knee",
    limits: [...meniscusRepair, touch(6)],
  },
  { code: "meniscus-partial", name: "Partial meniscus removal", region: "knee", limits: [] },
  {
    code: "cartilage-knee",
    name: "Cartilage of the knee: microfracture or transplant",
    region: "knee",
    limits: [touch(8), ...noSprings(16, "16")],
  },
  {
    code: "cartilage-hip",
    name: "Cartilage of the hip: microfracture or transplant",
    region: "hip",
    limits: [touch(8), ...noSprings(16, "16")],
  },
  {
    code: "hip-arthroscopy",
    name: "Hip arthroscopy, labrum or bone",
    region: "hip",
    asksWeight: true,
    limits: [
      line(
        "bend",
        "hip bend stays within 90°, no extension past neutral, for three weeks",
        { kind: "range", joint: "hip", leastDeg: 0, mostDeg: 90, when: "any", leg: "involved" },
        { weeks: 3 },
      ),
      line(
        "rotation",
        "outward rotation of the hip stays within 20° for three weeks",
        { kind: "range", joint: "hip-rotation", mostDeg: 20, when: "any", leg: "involved" },
        { weeks: 3 },
      ),
      line("leg-raise", "no straight-leg raise for six weeks", { kind: "straight-leg-raise" }, { weeks: 6 }),
      line(
        "flexor",
        "no loaded hip flexion for six weeks",
        { kind: "resisted", muscle: "hip-flexors", most: "none" },
        { weeks: 6 },
      ),
      line(
        "flexor-long",
        "hip flexor not made long for six weeks",
        { kind: "lengthened", muscle: "hip-flexors" },
        { weeks: 6 },
      ),
      line(
        "flexor-stretched",
        "hip flexor not stretched for six weeks",
        { kind: "stretched", muscle: "hip-flexors" },
        { weeks: 6 },
      ),
      twoLegs(3),
      ...noSprings(12, "12"),
    ],
  },
  {
    code: "hip-replacement-posterior",
    name: "Hip replacement from behind",
    region: "hip",
    limits: [
      line(
        "bend",
        "hip bend stays within 90°",
        { kind: "range", joint: "hip", mostDeg: 90, when: "any", leg: "involved" },
        { weeks: 12 },
      ),
      line(
        "rotation",
        "no inward rotation of the hip",
        { kind: "range", joint: "hip-rotation", leastDeg: 0, when: "any", leg: "involved" },
        { weeks: 12 },
      ),
      line(
        "midline",
        "the leg does not cross the midline",
        { kind: "range", joint: "hip-abduction", leastDeg: 0, when: "any", leg: "involved" },
        { weeks: 12 },
      ),
      line("springs", "no jumping unless the surgeon says so", { kind: "spring", most: "none" }),
    ],
  },
  {
    code: "hip-replacement-anterior",
    name: "Hip replacement from the front",
    region: "hip",
    limits: [
      line(
        "extension",
        "no hip extension past neutral for six weeks",
        { kind: "range", joint: "hip", leastDeg: 0, when: "any", leg: "involved" },
        { weeks: 6 },
      ),
      line(
        "rotation",
        "outward rotation of the hip stays within 20° for six weeks",
        { kind: "range", joint: "hip-rotation", mostDeg: 20, when: "any", leg: "involved" },
        { weeks: 6 },
      ),
      line("springs", "no jumping unless the surgeon says so", { kind: "spring", most: "none" }),
    ],
  },
  {
    code: "knee-replacement",
    name: "Knee replacement",
    region: "knee",
    limits: [
      line("kneeling", "kneeling late and by comfort", { kind: "kneeling" }, { weeks: 12 }),
      line("springs", "no jumping unless the surgeon says so", { kind: "spring", most: "none" }),
      line("running", "no running unless the surgeon says so", { kind: "running" }),
    ],
  },
  tendon("tendon-hamstring", "Hamstring tendon repair", "thigh", ["hamstrings"]),
  tendon("tendon-quadriceps", "Quadriceps tendon repair", "knee", ["quadriceps"]),
  tendon("tendon-patellar", "Patellar tendon repair", "knee", ["quadriceps"]),
  tendon("tendon-achilles", "Achilles tendon repair", "lower-leg", ["gastrocnemius", "soleus"]),
];

/** The definitions behind some codes; unknown ones are left out. */
export const proceduresOf = (codes: readonly string[]): Procedure[] =>
  procedures.filter(({ code }) => codes.includes(code));

/** What an operation of a pathway's own name consists of. */
const ofName: Readonly<Record<string, readonly string[]>> = {
  "cruciate ligament reconstruction": ["ligament-reconstruction"],
  "cruciate ligament reconstruction with meniscus repair": ["ligament-reconstruction", "meniscus-repair"],
  "partial meniscus removal": ["meniscus-partial"],
  "meniscus repair": ["meniscus-repair"],
  "meniscus root repair": ["meniscus-root-repair"],
  "labral repair": ["hip-arthroscopy"],
  "bone reshaping": ["hip-arthroscopy"],
  "labral repair and bone reshaping": ["hip-arthroscopy"],
  microfracture: ["hip-arthroscopy", "cartilage-hip"],
};

/** Codes of what an operation named in a pathway consists of; none for an unknown name. */
export const codesOfOperation = (name: string): readonly string[] => ofName[name] ?? [];
