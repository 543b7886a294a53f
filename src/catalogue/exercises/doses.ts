import type { Dose } from "~/core/dose/dose";

/** Starting doses that several exercises share; common practice. */
export const squeezeDose: Dose = {
  style: "squeeze",
  policy: "effort-band",
  sets: 5,
  hold: { bottom: 10, top: 10 },
  effort: { lowPercent: 30, highPercent: 40 },
  restSeconds: 30,
  daysPerWeek: 5,
};

export const controlDose: Dose = {
  style: "control",
  policy: "double-progression",
  sets: 2,
  reps: { bottom: 10, top: 20 },
  restSeconds: 45,
  daysPerWeek: 4,
};

export const strengthDose: Dose = {
  style: "strength",
  policy: "double-progression",
  sets: 3,
  reps: { bottom: 8, top: 12 },
  restSeconds: 90,
  daysPerWeek: 3,
};

export const holdDose: Dose = {
  style: "endurance",
  policy: "hold",
  sets: 3,
  hold: { bottom: 15, top: 20 },
  restSeconds: 45,
  daysPerWeek: 4,
};

export const bridgeDose: Dose = {
  style: "form-failure",
  policy: "form-failure",
  sets: 2,
  reps: { bottom: 8, top: 20 },
  restSeconds: 60,
  daysPerWeek: 3,
};

export const balanceDose: Dose = {
  style: "balance",
  policy: "hold",
  sets: 3,
  hold: { bottom: 10, top: 30 },
  restSeconds: 30,
  daysPerWeek: 5,
};

export const mobilityDose: Dose = {
  style: "activation",
  policy: "fixed",
  sets: 1,
  reps: { bottom: 10, top: 15 },
  restSeconds: 0,
  daysPerWeek: 7,
};

export const springDose: Dose = {
  style: "plyometric",
  policy: "contacts",
  sets: 3,
  contacts: { bottom: 6, top: 8 },
  restSeconds: 120,
  daysPerWeek: 2,
};

export const runningDose: Dose = {
  style: "running",
  policy: "running",
  sets: 4,
  minutes: 1,
  restSeconds: 90,
  daysPerWeek: 3,
};
