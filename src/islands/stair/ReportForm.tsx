import { Controller, useForm } from "react-hook-form";
import type { StairView } from "~/contract/episode";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { useWrite } from "~/islands/frame/use-write";
import { otherLoads, swellings } from "~/core/response/session-record";
import AmountField from "~/islands/frame/AmountField";
import ChoiceField from "~/islands/frame/ChoiceField";
import FormFeet from "~/islands/frame/FormFeet";
import PainPicker from "~/islands/frame/PainPicker";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDate, t } from "~/messages/say";

interface Props {
  episodeId: string;
  date: string;
  school: PainSchoolCode;
  /** What was said before, where this corrects it. */
  given?: GivenReport;
  onDone: (next: StairView) => void;
  onCancel?: () => void;
}

/** A report as the record tells it. */
interface GivenReport {
  readonly pain: number;
  readonly stiffnessMinutes: number | null;
  readonly swelling: string | null;
  readonly settledHours: number | null;
  readonly loadTestPain: number | null;
  readonly otherLoad: string | null;
}

interface Fields {
  pain: number | null;
  stiffnessMinutes: string;
  swelling: "" | (typeof swellings)[number];
  settledHours: string;
  loadTestPain: string;
  otherLoad: "" | "none" | "some" | "much";
}

/** How the patient was on the morning after; entered by the clinic. */
export default function ReportForm({ episodeId, date, school, given: before, onDone, onCancel }: Props) {
  const { send, problem } = useWrite("recordReport", { id: episodeId });
  const { register, control, handleSubmit, formState } = useForm<Fields>({
    defaultValues: {
      pain: before?.pain ?? null,
      stiffnessMinutes: String(before?.stiffnessMinutes ?? ""),
      swelling: (before?.swelling ?? "") as Fields["swelling"],
      settledHours: String(before?.settledHours ?? ""),
      loadTestPain: String(before?.loadTestPain ?? ""),
      otherLoad: (before?.otherLoad ?? "") as Fields["otherLoad"],
    },
  });
  const submit = handleSubmit(async (given) => {
    const { pain, stiffnessMinutes, swelling, settledHours, loadTestPain, otherLoad } = given;
    if (pain === null) return;
    const body = {
      trainingDate: date,
      pain,
      ...(stiffnessMinutes === "" ? {} : { stiffnessMinutes: Number(stiffnessMinutes) }),
      ...(swelling === "" ? {} : { swelling }),
      ...(settledHours === "" ? {} : { settledHours: Number(settledHours) }),
      ...(loadTestPain === "" ? {} : { loadTestPain: Number(loadTestPain) }),
      ...(otherLoad === "" ? {} : { otherLoad }),
    };
    const written = await send(body, date);
    if (written) onDone(written.stair);
  });
  return (
    <form
      onSubmit={submit}
      className="bg-base-100 border-info rounded-box flex flex-col gap-2 border p-3"
      data-testid="report"
      noValidate
    >
      <h2 className="font-semibold">{t("report.title", { date: sayDate(date) })}</h2>
      <ProblemNote problem={problem} />
      <Controller
        control={control}
        name="pain"
        rules={{ validate: (pain) => pain !== null }}
        render={({ field }) => (
          <PainPicker
            label={t("report.pain")}
            name="report-pain"
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <div className="flex flex-wrap items-end gap-3">
        <AmountField
          label={t("report.stiffness")}
          unit={t("unit.min")}
          low={0}
          high={600}
          width="w-36"
          field={register("stiffnessMinutes")}
        />
        <ChoiceField
          label={t("report.swelling")}
          options={swellings.map((code) => [code, t(`report.${code}`)] as const)}
          width="w-32"
          field={register("swelling")}
        />
        <AmountField
          label={t("report.settled")}
          unit={t("unit.h")}
          low={0}
          high={72}
          width="w-28"
          field={register("settledHours")}
        />
        <ChoiceField
          label={t("report.otherLoad")}
          options={otherLoads.map((code) => [code, t(`session.${code}`)] as const)}
          width="w-32"
          field={register("otherLoad")}
        />
        {school === "tendon" && (
          <ChoiceField
            label={t("report.loadTest")}
            open={t("report.loadTestNone")}
            options={Array.from({ length: 11 }, (_, pain) => [pain, String(pain)] as const)}
            width="w-36"
            field={register("loadTestPain")}
          />
        )}
        <span className="ml-auto">
          <FormFeet submit={t("report.save")} disabled={formState.isSubmitting} onCancel={onCancel} />
        </span>
      </div>
      {formState.errors.pain && <p className="text-error text-sm">{t("report.pain")}: 0–10</p>}
    </form>
  );
}
