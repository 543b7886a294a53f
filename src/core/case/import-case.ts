import { CaseFile } from "./case-file";
import { check } from "~/core/schema/check";
import { type Checked, type FieldProblem } from "~/core/schema/field-problem";

/** Reads a case file's text: well-formed, of the schema, and whole (every id it refers to is in it). */
export function importCase(text: string): Checked<CaseFile> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { ok: false, problems: [{ path: "", problem: "is not JSON" }] };
  }
  const checked = check(CaseFile, data);
  if (!checked.ok) return checked;
  const problems = danglingReferences(checked.value);
  return problems.length > 0 ? { ok: false, problems } : checked;
}

/** References inside a case file that lead nowhere. */
export function danglingReferences(file: CaseFile): FieldProblem[] {
  const exercises = new Map(file.exercises.map((e) => [e.id, e]));
  const items = new Set(file.items.map((item) => item.id));
  const stages = new Set(file.pathway.stages.map((stage) => stage.code));
  const problems: FieldProblem[] = [];
  const need = (given: boolean, path: string, problem: string) => {
    if (!given) problems.push({ path, problem });
  };
  file.items.forEach((item, i) => {
    const variants = new Set(exercises.get(item.exerciseId)?.variants.map((v) => v.id));
    need(
      exercises.has(item.exerciseId),
      `/items/${i}/exerciseId`,
      "names an exercise that is not in the file",
    );
    item.prescriptions.forEach((entry, p) =>
      need(
        variants.has(entry.prescription.variantId),
        `/items/${i}/prescriptions/${p}/prescription/variantId`,
        "names a variant that its exercise does not have",
      ),
    );
  });
  file.sessions.forEach((session, s) =>
    session.items.forEach((done, i) =>
      need(
        items.has(done.itemId),
        `/sessions/${s}/items/${i}/itemId`,
        "names an item that is not in the plan",
      ),
    ),
  );
  const lifts = new Set((file.lifts ?? []).map(({ id }) => id));
  (file.lifts ?? []).forEach(({ supersedes }, l) =>
    need(
      supersedes === undefined || lifts.has(supersedes),
      `/lifts/${l}/supersedes`,
      "names a lift that is not in the file",
    ),
  );
  for (const [kind, facts] of Object.entries({
    clearances: file.clearances,
    signals: file.signals ?? [],
    attributions: file.attributions ?? [],
  })) {
    facts.forEach(({ itemId }, i) =>
      need(
        itemId === undefined || items.has(itemId),
        `/${kind}/${i}/itemId`,
        "names an item that is not in the plan",
      ),
    );
  }
  (file.arrangements ?? []).forEach(({ entries, circuits }, a) => {
    entries.forEach(({ itemId }, i) =>
      need(
        items.has(itemId),
        `/arrangements/${a}/entries/${i}/itemId`,
        "names an item that is not in the plan",
      ),
    );
    circuits.forEach(({ items: own }, i) =>
      need(
        own.every((itemId) => items.has(itemId)),
        `/arrangements/${a}/circuits/${i}/items`,
        "names an item that is not in the plan",
      ),
    );
  });
  file.decisions.forEach((d, i) =>
    need(items.has(d.itemId), `/decisions/${i}/itemId`, "names an item that is not in the plan"),
  );
  file.stageMoves.forEach((move, i) =>
    need(stages.has(move.stage), `/stageMoves/${i}/stage`, "names a stage that the pathway does not have"),
  );
  return problems;
}
