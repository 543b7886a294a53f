import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { v7 as uuid } from "uuid";
import type { Problem, StairView, Written } from "~/core/interchange/contract";
import { callApi } from "~/islands/frame/call-api";
import PainPicker from "~/islands/frame/PainPicker";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDate, t } from "~/messages/say";

interface Props {
  episodeId: string;
  date: string;
  onDone: (next: StairView) => void;
}

interface Fields {
  pain: number | null;
  stiffnessMinutes: string;
  swelling: "" | "less" | "same" | "more";
}

/** How the patient was on the morning after; entered by the clinic. */
export default function ReportForm({ episodeId, date, onDone }: Props) {
  const [id, setId] = useState(() => uuid());
  const [problem, setProblem] = useState<Problem | null>(null);
  const { register, control, handleSubmit, formState } = useForm<Fields>({
    defaultValues: { pain: null, stiffnessMinutes: "", swelling: "" },
  });
  const submit = handleSubmit(async ({ pain, stiffnessMinutes, swelling }) => {
    const answer = await callApi<Written>(`/api/episodes/${episodeId}/reports`, {
      id,
      trainingDate: date,
      pain,
      ...(stiffnessMinutes === "" ? {} : { stiffnessMinutes: Number(stiffnessMinutes) }),
      ...(swelling === "" ? {} : { swelling }),
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
        <button className="btn btn-primary ml-auto" disabled={formState.isSubmitting}>
          {t("report.save")}
        </button>
      </div>
      {formState.errors.pain && <p className="text-error text-sm">{t("report.pain")}: 0–10</p>}
    </form>
  );
}
