import type { ListNeed } from "~/core/intake/compose-list";

/**
 * What sport or work asks of lanes, what an old injury asks to be kept, and what a screening finding asks to be built. Weights from 1
 * (nice to have) to 4 (where it was hurt): common practice.
 */
export const listNeeds = [
  { code: "asks-sprinting", kind: "asks", lanes: { hamstrings: 2, calf: 2, "hip-flexors": 1 } },
  { code: "asks-jumping", kind: "asks", lanes: { landing: 2, calf: 2, "knee-extensors": 2 } },
  { code: "asks-turning", kind: "asks", lanes: { adductors: 2, "hip-abductors": 2, landing: 1 } },
  { code: "asks-running", kind: "asks", lanes: { calf: 2, "hip-abductors": 2, hamstrings: 1 } },
  { code: "asks-lifting", kind: "asks", lanes: { trunk: 2, "hip-extensors": 2, "upper-body": 1 } },
  {
    code: "asks-climbing",
    kind: "asks",
    lanes: { "knee-extensors": 2, "hip-extensors": 2, "upper-body": 1 },
  },
  { code: "asks-kneeling", kind: "asks", lanes: { "knee-extensors": 2, mobility: 1, trunk: 1 } },
  { code: "asks-walking", kind: "asks", lanes: { calf: 2, balance: 1, "hip-abductors": 1 } },
  { code: "asks-uneven-ground", kind: "asks", lanes: { balance: 2, calf: 2, "hip-abductors": 1 } },
  { code: "asks-overhead", kind: "asks", lanes: { "upper-body": 2, trunk: 1 } },
  { code: "hurt-groin", kind: "hurt", lanes: { adductors: 4, trunk: 1 } },
  { code: "hurt-hamstring", kind: "hurt", lanes: { hamstrings: 4, "hip-extensors": 1 } },
  { code: "hurt-knee", kind: "hurt", lanes: { "knee-extensors": 4, "hip-abductors": 2, landing: 1 } },
  { code: "hurt-hip", kind: "hurt", lanes: { "hip-abductors": 3, "hip-rotators": 3, "hip-extensors": 1 } },
  { code: "hurt-back", kind: "hurt", lanes: { trunk: 4, "hip-extensors": 2 } },
  { code: "hurt-calf", kind: "hurt", lanes: { calf: 4 } },
  { code: "hurt-ankle", kind: "hurt", lanes: { balance: 3, calf: 3 } },
  { code: "hurt-shoulder", kind: "hurt", lanes: { "upper-body": 4 } },
  { code: "found-squeeze", kind: "found", lanes: { adductors: 3 } },
  { code: "found-abductors", kind: "found", lanes: { "hip-abductors": 3 } },
  { code: "found-hamstrings", kind: "found", lanes: { hamstrings: 3 } },
  { code: "found-thigh", kind: "found", lanes: { "knee-extensors": 3 } },
  { code: "found-single-leg-squat", kind: "found", lanes: { "knee-extensors": 2, "hip-abductors": 3 } },
  { code: "found-heel-raises", kind: "found", lanes: { calf: 3 } },
  { code: "found-side-plank", kind: "found", lanes: { trunk: 3 } },
  { code: "found-stance", kind: "found", lanes: { balance: 3 } },
  { code: "found-stiff-ankle", kind: "found", lanes: { mobility: 3 } },
] as const satisfies readonly ListNeed[];

export type NeedCode = (typeof listNeeds)[number]["code"];
