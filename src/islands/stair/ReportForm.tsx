import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { v7 as uuid } from "uuid";
import type { Problem, StairView, Written } from "~/core/interchange/contract";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { callApi } from "~/islands/frame/call-api";
import PainPicker from "~/islands/frame/PainPicker";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDate, t } from "~/messages/say";

interface Props {
  episodeId: string;
  date: string;
  school: PainSchoolCode;
  onDone: (next: StairView) => void;
}

interface Fields {
  pain: number | null;
  stiffnessMinutes: string;
  swelling: "" | "less" | "same" | "more";
  settledHours: string;
  loadTestPain: string;
  otherLoad: "" | "none" | "some" | "much";
}

/** How the patient was on the morning after; entered by the clinic. */
export default function ReportForm({ episodeId, date, school, onDone }: Props) {
  const [id, setId] = useState(() => uuid());
  const [problem, setProblem] = useState<Problem | null>(null);
  const { register, control, handleSubmit, formState } = useForm<Fields>({
    defaultValues: {
      pain: null,
      stiffnessMinutes: "",
      swelling: "",
      settledHours: "",
      loadTestPain: "",
      otherLoad: "",
    },
  });
  const submit = handleSubmit(async (given) => {
    const { pain, stiffnessMinutes, swelling, settledHours, loadTestPain, otherLoad } = given;
    const answer = await callApi<Written>(`/api/episodes/${episodeId}/reports`, {
      id,
      trainingDate: date,
      pain,
      ...(stiffnessMinutes === "" ? {} : { stiffnessMinutes: Number(stiffnessMinutes) }),
      ...(swelling === "" ? {} : { swelling }),
      ...(settledHours === "" ? {} : { settledHours: Number(settledHours) }),
      ...(loadTestPain === "" ? {} : { loadTestPain: Number(loadTestPain) }),
      ...(otherLoad === "" ? {} : { otherLoad }),
    });
    if (!answer.ok) return setProblem(answer.problem);
    setId(uuid());
    onDone(answer.value.stair);
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
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("report.stiffness")}
          <span className="input w-36">
            <input type="number" inputMode="numeric" min={0} max={600} {...register("stiffnessMinutes")} />
            <span className="text-base-content/70">{t("unit.min")}</span>
          </span>
        </label>
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("report.swelling")}
          <select className="select w-32" {...register("swelling")}>
            <option value="">–</option>
            {(["less", "same", "more"] as const).map((code) => (
              <option key={code} value={code}>
                {t(`report.${code}`)}
              </option>
            ))}
          </select>
        </label>
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("report.settled")}
          <span className="input w-28">
            <input type="number" inputMode="numeric" min={0} max={72} {...register("settledHours")} />
            <span className="text-base-content/70">{t("unit.h")}</span>
          </span>
        </label>
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("report.otherLoad")}
          <select className="select w-32" {...register("otherLoad")}>
            <option value="">–</option>
            {(["none", "some", "much"] as const).map((code) => (
              <option key={code} value={code}>
                {t(`session.${code}`)}
              </option>
            ))}
          </select>
        </label>
        {school === "tendon" && (
          <label className="flex flex-col gap-1 text-sm font-medium">
            {t("report.loadTest")}
            <select className="select w-36" {...register("loadTestPain")}>
              <option value="">{t("report.loadTestNone")}</option>
              {Array.from({ length: 11 }, (_, pain) => (
                <option key={pain} value={pain}>
                  {pain}
                </option>
              ))}
            </select>
          </label>
        )}
        <button className="btn btn-primary ml-auto" disabled={formState.isSubmitting}>
          {t("report.save")}
        </button>
      </div>
      {formState.errors.pain && <p className="text-error text-sm">{t("report.pain")}: 0–10</p>}
    </form>
  );
}
