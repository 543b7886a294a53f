import { useFieldArray, useFormContext } from "react-hook-form";
import { causes } from "~/core/intake/intake";
import { irritabilities } from "~/core/intake/irritability";
import { kitList } from "~/core/exercise/kit";
import { painSchoolCodes } from "~/core/response/pain-school";
import { later } from "~/islands/frame/later";
import { label, t } from "~/messages/say";
import { Section, SelectField, TextField, TickField } from "./Fields";
import type { IntakeFields } from "./intake-fields";
import type { PathwayChoice } from "./choices";

const SamePerson = later(() => import("./SamePerson"));

/** Who it is: asked for their agreement before anything else is written down. */
export function PersonSection({ known }: { known: boolean }) {
  const { watch } = useFormContext<IntakeFields>();
  const consent = (
    <div className="col-span-2">
      <TickField name="consent" label={t("intake.consent")} />
    </div>
  );
  const referrer = <TextField name="referrer" label={t("intake.referrer")} maxLength={160} />;
  if (known)
    return (
      <Section title={t("intake.person")}>
        <p className="col-span-2">
          {t("intake.known", { name: `${watch("givenName")} ${watch("familyName")}` })}
        </p>
        {consent}
        {referrer}
      </Section>
    );
  return (
    <Section title={t("intake.person")}>
      <TextField name="givenName" label={t("intake.givenName")} />
      <TextField name="familyName" label={t("intake.familyName")} />
      <TextField name="bornOn" label={t("intake.bornOn")} type="date" />
      <TextField name="activity" label={t("intake.activity")} />
      <SamePerson familyName={watch("familyName")} bornOn={watch("bornOn")} />
      <TextField name="contact" label={t("intake.contact")} maxLength={200} />
      {referrer}
      <SelectField
        name="normGroup"
        label={t("intake.normGroup")}
        options={[
          ["", t("intake.normGroup.none")],
          ["female", t("intake.normGroup.female")],
          ["male", t("intake.normGroup.male")],
        ]}
      />
      {consent}
    </Section>
  );
}

export function ProblemSection({
  pathways,
  pathway,
  others,
}: {
  pathways: PathwayChoice[];
  pathway: PathwayChoice | undefined;
  /** What else can be done in an operation. */
  others: readonly { readonly code: string; readonly name: string }[];
}) {
  const { watch } = useFormContext<IntakeFields>();
  const none = ["", "–"] as const;
  return (
    <Section title={t("intake.problem")}>
      <SelectField
        name="pathway"
        isLong
        label={t("intake.pathway")}
        options={[none, ...pathways.map(({ code, name }) => [code, name] as const)]}
      />
      <SelectField
        name="involvedSide"
        label={t("intake.side")}
        options={[
          none,
          ...(["left", "right", "both"] as const).map((side) => [side, t(`side.${side}`)] as const),
        ]}
      />
      <TextField name="diagnosis" label={t("intake.diagnosis")} width="two" />
      <TextField name="onsetOn" label={t("intake.onsetOn")} type="date" />
      <SelectField
        name="cause"
        label={t("intake.cause")}
        options={causes.map((cause) => [cause, t(`cause.${cause}`)] as const)}
      />
      {pathway?.procedures && (
        <>
          <TextField name="surgeryOn" label={t("intake.surgeryOn")} type="date" />
          <SelectField
            name="procedure"
            label={t("intake.procedure")}
            options={[none, ...pathway.procedures.map((name) => [name, name] as const)]}
          />
          {pathway.grafts && (
            <SelectField
              name="graft"
              label={t("intake.graft")}
              options={[none, ...pathway.grafts.map((name) => [name, name] as const)]}
            />
          )}
        </>
      )}
      {pathway?.procedures && watch("surgeryOn") !== "" && (
        <details className="col-span-2">
          <summary className="min-h-11 cursor-pointer py-2 text-sm font-medium">{t("intake.also")}</summary>
          <div className="grid sm:grid-cols-2">
            {others.map(({ code, name }) => (
              <TickField key={code} name="also" value={code} label={name} />
            ))}
          </div>
        </details>
      )}
      <TextField name="history" label={t("intake.history")} width="two" />
    </Section>
  );
}

export function GoalsSection() {
  const { control, watch } = useFormContext<IntakeFields>();
  const tasks = useFieldArray({ control, name: "tasks" });
  const own = kitList.filter((kit) => kit.where !== "household" && kit.standIn === undefined);
  return (
    <Section title={t("intake.goals")}>
      {tasks.fields.map((task, n) => (
        <div key={task.id} className="col-span-2 grid grid-cols-[1fr_6rem] gap-2">
          <TextField name={`tasks.${n}.text`} label={t("intake.task", { number: n + 1 })} />
          <TextField name={`tasks.${n}.rating`} label={t("intake.rating")} type="number" min={0} max={10} />
        </div>
      ))}
      {tasks.fields.length < 3 && (
        <button
          type="button"
          className="btn col-span-2 justify-self-start"
          onClick={() => tasks.append({ text: "", rating: "" })}
        >
          {t("intake.moreTask")}
        </button>
      )}
      <TextField name="targetOn" label={t("intake.targetOn")} type="date" />
      <SelectField
        name="irritability"
        label={t("intake.irritability")}
        options={irritabilities.map((level) => [level, t(`irritability.${level}`)] as const)}
      />
      <TextField name="daysPerWeek" label={t("intake.days")} type="number" min={1} max={7} />
      <TextField name="minutesPerDay" label={t("intake.minutes")} type="number" min={5} max={180} />
      <SelectField
        name="place"
        label={t("intake.place")}
        options={[
          ["home", t("plan.kit.home")],
          ["own", t("intake.place.own")],
          ["gym", t("intake.place.gym")],
        ]}
      />
      <SelectField
        name="school"
        label={t("stair.school")}
        options={[
          ["", t("intake.schoolStage")],
          ...painSchoolCodes.map((code) => [code, t(`school.${code}`)] as const),
        ]}
      />
      {watch("place") === "own" && (
        <div className="col-span-2 grid grid-cols-2 sm:grid-cols-3" role="group" aria-label={t("plan.kit")}>
          {own.map(({ code }) => (
            <TickField key={code} name="kit" value={code} label={label("kit", code)} />
          ))}
        </div>
      )}
    </Section>
  );
}
