import fc from "fast-check";
import type { DecideInput } from "~/core/decision/record/decide-input";
import { painSchoolCodes } from "~/core/response/pain-school";
import type { SetRecord, TrainingDay } from "~/core/response/session-record";
import { cleanSet, exerciseWith, march, squeezeInput, strength, stepUpInput } from "./decide-input";

const pain = fc.integer({ min: 0, max: 10 });

const arbitrarySet = (holds: boolean): fc.Arbitrary<SetRecord> =>
  fc
    .record({
      work: holds ? fc.integer({ min: 6, max: 12 }) : fc.integer({ min: 5, max: 14 }),
      force: fc.integer({ min: 70, max: 130 }),
      painDuring: fc.oneof(
        { weight: 4, arbitrary: fc.integer({ min: 0, max: 4 }) },
        { weight: 1, arbitrary: pain },
      ),
      effort: fc.integer({ min: 4, max: 10 }),
      site: fc.constantFrom("episode" as const, "episode" as const, "muscle" as const),
      fault: fc.option(fc.constantFrom("slight" as const, "marked" as const), { freq: 6 }),
      spoiled: fc.constantFrom("some" as const, "most" as const, 1, 4),
      limit: fc.option(fc.constantFrom("fear" as const, "stretch" as const), { freq: 8 }),
    })
    .map(({ work, force, painDuring, effort, site, fault, spoiled, limit }) => ({
      ...cleanSet,
      ...(holds ? { holdSeconds: work, forceN: force } : { side: "left" as const, reps: work }),
      painDuring,
      painSite: site,
      effort,
      ...(limit ? { limit: { kind: limit } } : {}),
      faults: fault ? [{ fault: "knee-in", severity: fault, reps: spoiled }] : [],
    }));

/** Days of March in order, some without a report, some reported late. */
const arbitraryDays = (holds: boolean, setCount: number): fc.Arbitrary<TrainingDay[]> =>
  fc
    .uniqueArray(fc.integer({ min: 2, max: 28 }), { minLength: 0, maxLength: 8 })
    .map((dates) => [...dates].sort((a, b) => a - b))
    .chain((dates) =>
      fc.tuple(
        ...dates.map((date) =>
          fc
            .record({
              before: fc.integer({ min: 0, max: 4 }),
              sets: fc.array(arbitrarySet(holds), { minLength: setCount, maxLength: setCount }),
              next: fc.option(fc.integer({ min: 0, max: 6 }), { freq: 5 }),
              late: fc.constantFrom(21, 21, 21, 40, 60),
              swelling: fc.constantFrom("same" as const, "same" as const, "more" as const),
            })
            .map(({ before, sets, next, late, swelling }): TrainingDay => {
              const lastSessionAt = march(date);
              const receivedAt = new Date(Date.parse(lastSessionAt) + late * 3_600_000).toISOString();
              return {
                date: lastSessionAt.slice(0, 10),
                lastSessionAt,
                painBefore: before,
                sets,
                ...(next === null ? {} : { report: { receivedAt, pain: next, swelling } }),
              };
            }),
        ),
      ),
    );

const signed = fc
  .array(
    fc.record({
      date: fc.integer({ min: 1, max: 20 }),
      direction: fc.constantFrom("harder" as const, "easier" as const),
      knob: fc.constantFrom("effort", "hold", "step-height", "support"),
    }),
    { maxLength: 4 },
  )
  .map((changes) =>
    changes.map(({ date, direction, knob }) => ({ at: march(date, "08:00"), direction, knob })),
  );

const supported = exerciseWith(
  { "step-height": 10, support: "one-hand" },
  [
    { knob: "step-height", ladder: [5, 10, 15, 20] },
    { knob: "support", ladder: ["two-hands", "one-hand", "none"] },
  ],
  strength,
);

/** Records of a squeeze in an effort band or of a step-up, under any school, at any time of the next days. */
export const arbitraryInput: fc.Arbitrary<DecideInput> = fc
  .record({
    holds: fc.boolean(),
    school: fc.constantFrom(...painSchoolCodes),
    prescribed: fc.integer({ min: 1, max: 12 }),
    changes: signed,
    hoursAfter: fc.integer({ min: 1, max: 400 }),
  })
  .chain(({ holds, school, prescribed, changes, hoursAfter }) =>
    arbitraryDays(holds, holds ? 5 : 3).map((trainingDays): DecideInput => {
      const last = trainingDays.at(-1)?.lastSessionAt ?? march(20);
      const over: Partial<DecideInput> = {
        school,
        trainingDays,
        changes,
        prescribedAt: march(prescribed, "07:00"),
        now: new Date(Date.parse(last) + hoursAfter * 3_600_000).toISOString(),
      };
      return holds
        ? squeezeInput(over)
        : stepUpInput({
            ...over,
            exercise: supported,
            prescription: {
              variantId: "only",
              settings: { "step-height": 10, support: "one-hand" },
              dose: strength,
            },
          });
    }),
  );
