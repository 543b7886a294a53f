import type { DecideInput } from "~/core/decision/record/decide-input";
import type { GateInput } from "~/core/gate/gate-input";
import { caseFormat, caseVersion, type CaseFile } from "~/core/case/case-file";
import type { Measure } from "~/core/measure/measure";
import type { Exercise } from "~/core/exercise/exercise";
import type { SetRecord } from "~/core/response/session-record";

const dose: DecideInput["prescription"]["dose"] = {
  style: "squeeze",
  policy: "effort-band",
  sets: 5,
  hold: { bottom: 10, top: 10 },
  effort: { lowPercent: 50, highPercent: 70 },
  restSeconds: 30,
  daysPerWeek: 4,
};

const exercise: Exercise = {
  id: "ball-squeeze",
  name: "Ball squeeze",
  lane: "adductors",
  sides: "both-together",
  feltIn: "inner thigh",
  cues: ["Press evenly with both knees"],
  faults: [],
  variants: [
    {
      id: "ball-squeeze-bent",
      name: "Ball squeeze, knees bent",
      settings: { lever: "short", contraction: "isometric" },
      dose,
      turns: [{ knob: "effort", ladder: ["30-40", "50-70", "70-85", "85-100"] }],
      position: "supine",
      kit: ["ball"],
    },
  ],
  source: { kind: "common-practice" },
};

const hold: SetRecord = {
  side: "both",
  holdSeconds: 10,
  forceN: 110,
  painDuring: 1,
  painSite: "episode",
  effort: 6,
  faults: [],
};
const sets = Array.from({ length: dose.sets }, () => hold);

/** A squeeze with one good day behind it and one whose report came in this morning. */
export const decideExample: DecideInput = {
  exercise,
  prescription: { variantId: "ball-squeeze-bent", settings: exercise.variants[0]?.settings ?? {}, dose },
  prescribedAt: "2026-03-02T08:00:00Z",
  school: "monitored",
  involvedSide: "left",
  zone: "Europe/Vienna",
  now: "2026-03-11T07:00:00Z",
  maximumN: 180,
  trainingDays: [
    {
      date: "2026-03-08",
      lastSessionAt: "2026-03-08T09:00:00Z",
      painBefore: 1,
      sets,
      report: { receivedAt: "2026-03-09T06:30:00Z", pain: 1 },
    },
    {
      date: "2026-03-10",
      lastSessionAt: "2026-03-10T09:00:00Z",
      painBefore: 1,
      sets,
      report: { receivedAt: "2026-03-11T06:30:00Z", pain: 1 },
    },
  ],
  changes: [],
  restrictions: [],
  stopSignals: [],
};

const adduction: Measure = {
  code: "hip-adduction-force",
  name: "Hip adduction, isometric",
  unit: "N",
  sides: "each",
  better: "higher",
  summary: "best",
  plausible: { low: 0, high: 1000 },
  source: { kind: "common-practice" },
};

/** A gate with one symmetry criterion that is just met. */
export const gateExample: GateInput = {
  gate: {
    minimumDaysSinceOnset: 14,
    minimumDaysInStage: 7,
    criteria: [
      {
        kind: "symmetry",
        id: "adduction-symmetry",
        name: "Single-side adduction, other side",
        measure: "hip-adduction-force",
        comparison: ">=",
        threshold: 80,
        maxAgeDays: 14,
        required: true,
        source: { kind: "common-practice" },
      },
    ],
  },
  onsetOn: "2026-02-20",
  stageEnteredOn: "2026-03-01",
  today: "2026-03-11",
  involvedSide: "left",
  measures: [adduction],
  results: [
    {
      id: "r1",
      measure: adduction.code,
      side: "left",
      value: 160,
      takenOn: "2026-03-10",
      occasion: "since-injury",
    },
    {
      id: "r2",
      measure: adduction.code,
      side: "right",
      value: 200,
      takenOn: "2026-03-10",
      occasion: "since-injury",
    },
  ],
  effortDays: [],
};

/** The smallest whole case: one item, two sessions, both reported. */
export const caseExample: CaseFile = {
  format: caseFormat,
  version: caseVersion,
  asOf: decideExample.now,
  zone: decideExample.zone,
  episode: { id: "e1", involvedSide: "left", onsetOn: "2026-02-22", startedAt: "2026-02-24T09:00:00Z" },
  pathway: {
    code: "example",
    name: "Two stages",
    siteLane: "adductors",
    stages: [
      {
        code: "isometric",
        name: "Isometric",
        aim: "Hold without a reaction",
        expect: "Mild discomfort that is gone the next morning",
        school: "monitored",
        lanes: [{ lane: "adductors", exercises: [exercise.id] }],
        limits: [],
        gate: gateExample.gate,
      },
      {
        code: "build",
        name: "Build",
        aim: "Load every lane",
        expect: "Tired muscles",
        school: "monitored",
        lanes: [{ lane: "adductors", exercises: [exercise.id] }],
        limits: [],
      },
    ],
    source: { kind: "common-practice" },
  },
  exercises: [exercise],
  measures: [adduction, { ...adduction, code: "squeeze-force", name: "Squeeze", sides: "none" }],
  stageMoves: [{ id: "m1", at: "2026-03-01T09:00:00Z", stage: "isometric", reason: "placed" }],
  schools: [{ id: "s1", at: "2026-03-01T09:00:00Z", school: "monitored", reason: "pain settles overnight" }],
  restrictions: [],
  items: [
    {
      id: "i1",
      exerciseId: exercise.id,
      lane: "adductors",
      prescriptions: [{ id: "p1", from: "2026-03-06T08:00:00Z", prescription: decideExample.prescription }],
    },
  ],
  sessions: decideExample.trainingDays.map((day, i) => ({
    id: `session-${i + 1}`,
    at: day.lastSessionAt,
    painBefore: day.painBefore,
    items: [{ itemId: "i1", sets: day.sets }],
  })),
  reports: decideExample.trainingDays.flatMap((day, i) =>
    day.report ? [{ id: `report-${i + 1}`, trainingDate: day.date, ...day.report }] : [],
  ),
  results: [
    ...gateExample.results,
    {
      id: "r3",
      measure: "squeeze-force",
      side: "none",
      value: 180,
      takenOn: "2026-03-05",
      occasion: "since-injury",
    },
  ],
  decisions: [],
  clearances: [],
};
