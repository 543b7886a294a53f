import { useState, type ReactNode } from "react";
import type { FieldProblem } from "~/core/schema/field-problem";
import { laneCodes } from "~/core/exercise/body";
import { firstPrescription, type Exercise } from "~/core/exercise/exercise";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";
import { call } from "~/islands/frame/call";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import FilterSelect from "~/islands/frame/FilterSelect";
import { isKey, t } from "~/messages/say";
import DoseFields from "./DoseFields";
import { draftOf, draftProblems, exerciseOf, type OwnDraft, type OwnVariant } from "./own-exercise";
import { island } from "~/islands/frame/island";

interface Props {
  base: Exercise;
  isNew: boolean;
  names: readonly (readonly [id: string, name: string])[];
  /** Exercises whose figure can be borrowed. */
  drawn: readonly (readonly [id: string, name: string])[];
}

const texts = ["feltIn", "notFeltIn", "caution", "safety"] as const;

/** Adds an exercise of the clinic's own, from a similar one, or edits one; its figure is borrowed. */
function OwnExerciseForm({ base: first, isNew, names, drawn }: Props) {
  const [base, setBase] = useState(first);
  const [draft, setDraft] = useState(() => draftOf(first, isNew));
  const [wrong, setWrong] = useState<readonly FieldProblem[]>([]);
  const { send, problem, setProblem } = useWrite("saveExercise", {});
  const set = (change: Partial<OwnDraft>) => setDraft({ ...draft, ...change });
  const faultAt = (path: string) => {
    const found = wrong.find((one) => one.path === path)?.problem;
    const key = `own.${found ?? ""}`;
    return isKey(key) ? t(key) : (found ?? null);
  };
  const setVariant = (id: string, change: Partial<OwnVariant>) =>
    set({ variants: draft.variants.map((one) => (one.id === id ? { ...one, ...change } : one)) });
  const others = names.filter(([id]) => isNew || id !== base.id).map(([, name]) => name);
  const shown =
    base.variants.find(({ id }) => draft.variants.some((kept) => kept.id === id)) ?? base.variants[0];

  const startFrom = async (id: string) => {
    const found = await call("readExercise", { code: id });
    if (!found.ok) return setProblem(found.problem);
    setBase(found.value);
    setDraft({ ...draftOf(found.value, true), name: draft.name });
  };
  const save = async () => {
    const problems = draftProblems(draft, others);
    setWrong(problems);
    if (problems.length > 0) {
      // The first fault may stand above what is on the screen.
      requestAnimationFrame(() =>
        document.querySelector<HTMLElement>("[data-fault] input, [data-fault] textarea")?.focus(),
      );
      return;
    }
    const exercise = exerciseOf(base, draft, isNew);
    const written = await send({ action: isNew ? "add" : "revise", exercise }, exercise.id);
    if (written) location.assign(`/library/${exercise.id}`);
  };

  return (
    <form
      className="mx-auto max-w-5xl px-4 py-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <h1 className="text-2xl font-bold">{isNew ? t("own.new") : t("own.edit", { name: first.name })}</h1>
      <p className="text-base-content/80">{t("own.caution.note")}</p>
      {problem && <ProblemNote problem={problem} />}
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="bg-base-100 border-base-300 rounded-box grid grid-cols-[minmax(0,1fr)] gap-3 border p-3">
          {isNew && (
            <FilterSelect
              name={t("own.from")}
              value={base.id}
              onValue={(id) => void startFrom(id)}
              options={names}
            />
          )}
          <Field name={t("own.name")} fault={faultAt("/name")}>
            <input
              className="input w-full"
              value={draft.name}
              maxLength={120}
              onChange={(event) => set({ name: event.target.value })}
            />
          </Field>
          <FilterSelect
            name={t("own.lane")}
            value={draft.lane}
            onValue={(lane) => set({ lane: lane as OwnDraft["lane"] })}
            options={laneCodes.map((code) => [code, t(`lane.${code}`)] as const)}
          />
          <Field name={t("own.cues")} fault={faultAt("/cues")}>
            <textarea
              className="textarea w-full"
              rows={4}
              value={draft.cues}
              onChange={(event) => set({ cues: event.target.value })}
            />
          </Field>
          {texts.map((key) => (
            <Field key={key} name={t(`own.${key}`)} fault={faultAt(`/${key}`)}>
              <input
                className="input w-full"
                value={draft[key]}
                maxLength={200}
                onChange={(event) => set({ [key]: event.target.value })}
              />
            </Field>
          ))}
          <fieldset>
            <legend className="font-semibold">{t("own.variants")}</legend>
            {faultAt("/variants") && <p className="text-error text-sm">{faultAt("/variants")}</p>}
            {draft.variants.map((variant, n) => (
              <div key={variant.id} className="border-base-300 mt-2 border-t pt-2">
                <div className="flex items-end gap-2">
                  <div className="min-w-0 flex-1">
                    <Field name={t("own.variant", { at: n + 1 })} fault={faultAt(`/variants/${n}`)}>
                      <input
                        className="input w-full"
                        value={variant.name}
                        maxLength={120}
                        onChange={(event) => setVariant(variant.id, { name: event.target.value })}
                      />
                    </Field>
                  </div>
                  <button
                    type="button"
                    className="btn"
                    aria-label={t("own.takeOutOf", { name: variant.name })}
                    onClick={() => set({ variants: draft.variants.filter((one) => one.id !== variant.id) })}
                  >
                    {t("own.takeOut")}
                  </button>
                </div>
                <DoseFields
                  of={variant.name}
                  text={variant.dose}
                  faultAt={(field) => faultAt(`/variants/${n}/dose/${field}`)}
                  onText={(field, value) =>
                    setVariant(variant.id, { dose: { ...variant.dose, [field]: value } })
                  }
                />
              </div>
            ))}
          </fieldset>
          <div className="flex gap-2">
            <button type="submit" className="btn btn-primary">
              {t("own.save")}
            </button>
            <a className="btn" href={isNew ? "/library" : `/library/${first.id}`}>
              {t("library.back")}
            </a>
          </div>
        </div>
        <div className="bg-base-100 border-base-300 rounded-box border p-3">
          <FilterSelect
            name={t("own.figure")}
            value={draft.drawnLike}
            onValue={(drawnLike) => set({ drawnLike })}
            options={drawn}
          />
          {shown && (
            <ExerciseFigure
              exercise={{ id: "", lane: draft.lane, drawnLike: draft.drawnLike }}
              prescription={firstPrescription(shown)}
              dose={shown.dose}
              heightM={null}
              side="right"
              label={t("figure.of", { exercise: draft.name, variant: shown.name })}
              className="mt-2 h-64"
            />
          )}
        </div>
      </div>
    </form>
  );
}

function Field({ name, fault, children }: { name: string; fault: string | null; children: ReactNode }) {
  return (
    <label className="flex flex-col text-sm" data-fault={fault ? true : undefined}>
      <span className="text-base-content/75">{name}</span>
      {children}
      {fault && <span className="text-error">{fault}</span>}
    </label>
  );
}

export default island(OwnExerciseForm);
