import { describe, expect, it } from "vitest";
import { findCalculation } from "~/catalogue/calculations/all";
import { measureByCode } from "~/catalogue/measures/all";
import { runCalculation } from "~/core/calculation/calculation";
import { trunkEnduranceMeans } from "~/core/measure/trunk-endurance-ratios";

function run(name: string, input: unknown) {
  const definition = findCalculation(name);
  if (!definition) throw new Error(`${name} is registered`);
  return runCalculation(definition, input);
}
function value<T = Record<string, number>>(name: string, input: unknown): T {
  const result = run(name, input);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value as T;
}
const paths = (name: string, input: unknown) => {
  const result = run(name, input);
  return result.ok ? [] : result.problems.map((p) => p.path);
};

/** CDC STEADI, recalled: below average when fewer than (men / women). The table whole. */
describe("30-s chair stand", () => {
  const table: [number, number, number, number][] = [
    [60, 64, 14, 12],
    [65, 69, 12, 11],
    [70, 74, 12, 10],
    [75, 79, 11, 10],
    [80, 84, 10, 9],
    [85, 89, 8, 8],
    [90, 94, 7, 4],
  ];
  const ages = table.flatMap(([from, to, men, women]) => [from, to].map((age) => [age, men, women] as const));
  it.each(ages)("at %d: men %d, women %d", (age, men, women) => {
    for (const [sex, cutoff] of [
      ["male", men],
      ["female", women],
    ] as const) {
      expect(value("chair-stand-norm", { age, sex, stands: cutoff - 1 })).toEqual({
        belowAverage: true,
        cutoff,
      });
      expect(value("chair-stand-norm", { age, sex, stands: cutoff })).toEqual({
        belowAverage: false,
        cutoff,
      });
    }
  });
  it.each([59, 95, 72.5])("has no band at %d", (age) =>
    expect(paths("chair-stand-norm", { age, sex: "male", stands: 10 })).toEqual(["/age"]),
  );
});

describe("published norms, recalled", () => {
  it("single-leg bridge: below 20 poor, 25 average, above 30 good (Freckleton 2014)", () => {
    const band = (reps: number) => value<{ band: string }>("single-leg-bridge-norm", { reps }).band;
    expect([19, 20, 25, 30, 31].map(band)).toEqual(["poor", "average", "average", "average", "good"]);
  });
  it("heel raise: 25 is normal, mean 27.9, SD 11.1 (Lunsford & Perry 1995)", () => {
    expect(value("heel-raise-norm", { reps: 25 })).toMatchObject({ normal: true });
    expect(value("heel-raise-norm", { reps: 24 })).toMatchObject({ normal: false });
    expect(value("heel-raise-norm", { reps: 39 })["sdFromMean"]).toBeCloseTo(1, 10);
  });
  it("trunk endurance means (McGill 1999): back 146/189, front 144/149, right 94/72, left 97/77 s", () => {
    expect(trunkEnduranceMeans).toEqual({
      male: { backS: 146, frontS: 144, rightS: 94, leftS: 97 },
      female: { backS: 189, frontS: 149, rightS: 72, leftS: 77 },
    });
    const atMeans = value("trunk-endurance-ratios", { ...trunkEnduranceMeans.male, sex: "male" });
    expect(atMeans["backOfMeanPercent"]).toBe(100);
    expect(atMeans["frontToBack"]).toBeCloseTo(0.986, 3);
    expect(atMeans["sidesDifferPercent"]).toBeCloseTo(3.09, 2);
  });
  it("knee to wall: 1 cm is 3.6° (Bennell 1998); adductors to abductors 0.8 (Tyler 2001)", () => {
    expect(value("knee-to-wall", { distanceCm: 10 })).toEqual({ dorsiflexionDeg: 36 });
    expect(value("adductor-abductor-ratio", { adductorN: 160, abductorN: 200 })).toEqual({ ratio: 0.8 });
    expect(paths("adductor-abductor-ratio", { adductorN: 160, abductorN: 0 })).toEqual(["/abductorN"]);
  });
  it("hop symmetry MDC90 8.09, 10.02, 12.25, 12.96 % (Reid 2007); function score 9 points at 90 % (Binkley 1999)", () => {
    const error = (code: string) => measureByCode(code).errors?.[0];
    expect(
      ["single-hop", "triple-hop", "crossover-hop", "timed-hop"].map((code) => error(code)?.amount),
    ).toEqual([8.09, 10.02, 12.25, 12.96]);
    expect(error("single-hop")).toMatchObject({ of: "symmetry", kind: "mdc", confidencePercent: 90 });
    expect(error("lower-extremity-function")).toMatchObject({ amount: 9, confidencePercent: 90 });
  });
  it("squeeze: before the injury, else norm by body mass, else the own best; it says which", () => {
    const all = { preInjuryN: 300, normNPerKg: 3.2, bodyMassKg: 75, ownBestN: 210 };
    expect(value("squeeze-reference", all)).toEqual({ referenceN: 300, kind: "pre-injury" });
    expect(value("squeeze-reference", { ...all, preInjuryN: undefined } as object)).toMatchObject({
      kind: "clinic-norm",
    });
    expect(value("squeeze-reference", { normNPerKg: 3.2, ownBestN: 210 })).toEqual({
      referenceN: 210,
      kind: "own-best",
    });
    expect(value("squeeze-reference", { normNPerKg: 3.2 })).toEqual({ referenceN: null, kind: null });
  });
});
