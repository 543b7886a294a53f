import { useEffect, useId, useState } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { readDoseLine } from "~/core/prescribe/dose-line";
import type { DoseLineContext, DoseLineProblem, DoseLineTurns } from "~/core/prescribe/dose-term";
import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { workingSide } from "~/core/case/working-side";
import type { InvolvedSide } from "~/core/measure/side-value";
import { sayDose } from "~/messages/say-dose";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, t } from "~/messages/say";
import { lineWords, withLine } from "./line-draft";
import { isReadable, prescriptionOf, type PrescribeFields } from "./prescribe-draft";

interface Props {
  exercise: Exercise;
  involvedSide: InvolvedSide;
  /** What it is in the plan for may be said too. */
  takesRole: boolean;
  onChange: (next: PrescribeFields) => void;
}

/** The whole prescription in one line, as it is said: the fields below follow it, and what it does not say they keep. */
export default function DoseLine({ exercise, involvedSide, takesRole, onChange }: Props) {
  const id = useId();
  const { register, getValues, watch, formState } = useFormContext<PrescribeFields>();
  const draft = useWatch<PrescribeFields>() as PrescribeFields;
  /** The form before the line was typed, or as it was last changed by hand. */
  const [before, setBefore] = useState<PrescribeFields | null>(null);
  useEffect(() => {
    const { unsubscribe } = watch((_all, { name, type }) => {
      if (type === "change" && name !== "line") setBefore(null);
    });
    return unsubscribe;
  }, [watch]);

  const read = (line: string, form: PrescribeFields) =>
    readDoseLine(line, contextOf(form, exercise, involvedSide, takesRole));
  const { turns, problems } = read(draft.line, before ?? draft);
  const follow = () => {
    const { line, ...now } = structuredClone(getValues());
    const from = before ?? { ...now, line: "" };
    setBefore(from);
    const said = read(line, from).turns;
    onChange({ ...withLine(from, said), line, role: said.role ?? from.role, reason: now.reason });
  };
  const field = register("line", {
    validate: (line, form) => read(line, before ?? form).problems.length === 0,
  });
  // Whoever is still typing the last word is not told yet that nobody knows it.
  const told = formState.errors.line
    ? problems
    : problems.filter(({ at, text }) => at + text.length < draft.line.length);
  // The leg is named by its side, among what the line turned.
  const { leg: _leg, ...wanted } = prescriptionOf(draft);
  return (
    <div>
      <label className="text-sm font-medium" htmlFor={id}>
        {t("prescribe.line")}
      </label>
      <input
        id={id}
        className={`input w-full font-mono ${told.length > 0 ? "input-error" : ""}`}
        placeholder={t("prescribe.linePlaceholder")}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        enterKeyHint="done"
        aria-invalid={told.length > 0}
        aria-describedby={`${id}-read`}
        {...field}
        onChange={async (event) => {
          await field.onChange(event);
          follow();
        }}
      />
      <div id={`${id}-read`} role="status" className="min-h-6 text-sm" data-testid="dose-line-read">
        {told.map((problem) => (
          <p key={problem.at} className="text-error font-medium">
            {sayProblem(problem)}
          </p>
        ))}
        {draft.line.trim() !== "" && isReadable(wanted) && (
          <p>{[sayDose(wanted, null), ...sayTurns(turns, involvedSide)].join(" · ")}</p>
        )}
      </div>
    </div>
  );
}

function contextOf(
  form: PrescribeFields,
  exercise: Exercise,
  involvedSide: InvolvedSide,
  takesRole: boolean,
): DoseLineContext {
  const words = lineWords(exercise, variantOf(exercise, form.variantId));
  return { prescription: prescriptionOf(form), words, involvedSide, takesRole };
}

/** What a line says beside how much: rest, days, where the settings stand, which leg, what for. */
function sayTurns(
  { settings = {}, dose = {}, leg, role }: DoseLineTurns,
  involvedSide: InvolvedSide,
): string[] {
  return [
    ...(dose.restSeconds === undefined ? [] : [`${t("prescribe.rest")} ${dose.restSeconds} s`]),
    ...(dose.daysPerWeek === undefined ? [] : [`${t("prescribe.days")}: ${dose.daysPerWeek}`]),
    ...Object.entries(settings).map(([name, value]) => `${label("knob", name)} ${sayKnobValue(name, value)}`),
    ...(leg === undefined
      ? []
      : [
          leg === null
            ? t("prescribe.eachLeg")
            : t("prescribe.onlyLeg", { side: t(`side.${workingSide({ leg }, involvedSide)}`) }),
        ]),
    ...(role ? [t(`role.${role}`)] : []),
  ];
}

function sayProblem({ kind, text, among = [] }: DoseLineProblem): string {
  if (kind === "several") return t("prescribe.lineSeveral", { text, among: among.join(", ") });
  return t(kind === "twice" ? "prescribe.lineTwice" : "prescribe.lineUnknown", { text });
}
