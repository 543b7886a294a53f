/** What is told of a leg that stands, kind by kind: the field that has it, here and in squatLinkage. */
export const loadFields = {
  stress: "patellofemoralStressMPa",
  knee: "kneeMomentNm",
  hip: "hipMomentNm",
  ankle: "ankleMomentNm",
} as const;
export type LoadKind = keyof typeof loadFields;
export const loadKinds = Object.keys(loadFields) as readonly LoadKind[];
