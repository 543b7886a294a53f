import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import type { Measure } from "./measure";
import { checkValue, type EntryFault } from "./parse-entry";
import type { TakenResult } from "./taken-result";

const faultWords: Record<EntryFault, (measure: Measure) => string> = {
  "not-a-number": () => "is not a number",
  "not-a-grade": () => "is not one of its grades",
  "not-whole": () => "must be a whole number",
  "too-low": ({ plausible }) => `is below ${plausible.low}, which cannot be`,
  "too-high": ({ plausible }) => `is above ${plausible.high}, which cannot be`,
  "unknown-unit": () => "is in a unit that this measure does not take",
};

/** What the day of a visit is held against, local dates. */
interface Days {
  readonly today: string;
  readonly bornOn: string;
  readonly onsetOn: string;
}

/**
 * What is wrong with the day on which results were taken: to come, before birth, or before the injury unless a value says that
 * it is from before it.
 *
 * @param path where the date stands, for messages
 */
export function takenOnProblems(
  { takenOn, results }: { readonly takenOn: string; readonly results: readonly TakenResult[] },
  { today, bornOn, onsetOn }: Days,
  path: string,
): FieldProblem[] {
  const isSince = results.some(({ occasion = "since-injury" }) => occasion === "since-injury");
  if (takenOn > today) return [{ path, problem: "lies in the future" }];
  if (takenOn <= bornOn) return [{ path, problem: "lies before this person was born" }];
  return problemIf(
    isSince && takenOn < onsetOn,
    path,
    `lies before the injury (${onsetOn}); mark such values as from before it`,
  );
}

/**
 * What is wrong with results as they were taken: a measure nobody knows, the wrong side, a measure twice on one side, a value
 * that cannot be, or an unusual one that nobody confirmed.
 *
 * @param path where the list stands, for messages
 */
export function takenProblems(
  results: readonly TakenResult[],
  measures: ReadonlyMap<string, Measure>,
  path: string,
): FieldProblem[] {
  const seen = new Set<string>();
  return results.flatMap((result, i): FieldProblem[] => {
    const at = `${path}/${i}`;
    const measure = measures.get(result.measure);
    if (!measure) return [{ path: `${at}/measure`, problem: "is not a measure of this clinic" }];
    if ((result.side === "none") !== (measure.sides === "none")) {
      const wanted =
        measure.sides === "none" ? "is taken once, not on a side" : "is taken on the left or the right";
      return [{ path: `${at}/side`, problem: wanted }];
    }
    const key = `${result.measure} ${result.side} ${result.occasion ?? ""}`;
    if (seen.has(key))
      return [{ path: `${at}/measure`, problem: "stands twice on this side; give its trials together" }];
    seen.add(key);
    return result.trials.flatMap((trial, t) =>
      trialProblems(trial, measure, result.confirmed, `${at}/trials/${t}`),
    );
  });
}

function trialProblems(
  trial: number,
  measure: Measure,
  confirmed: boolean | undefined,
  path: string,
): FieldProblem[] {
  const entry = checkValue(trial, measure);
  if (!entry.ok) return [{ path, problem: faultWords[entry.fault](measure) }];
  if (entry.unusual && !confirmed) return [{ path, problem: "is unusual; confirm that it is meant" }];
  return [];
}
