import { Controller, useFormContext } from "react-hook-form";
import type { StairView } from "~/core/interchange/contract";
import PainPicker from "~/islands/frame/PainPicker";
import { t } from "~/messages/say";
import type { SessionDraft } from "./session-draft";
import SessionTime from "./SessionTime";

/** What is asked once for the whole session: pain before, when, how long, what else the day held. */
export default function SessionStart({ stair }: { stair: StairView }) {
  const { control, register } = useFormContext<SessionDraft>();
  return (
    <section className="bg-base-100 border-base-300 rounded-box flex flex-wrap items-end gap-x-4 gap-y-2 border p-3">
      <div className="min-w-full flex-1 sm:min-w-80">
        <Controller
          control={control}
          name="painBefore"
          render={({ field }) => (
            <PainPicker
              label={t("session.painBefore")}
              name="pain-before"
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      </div>
      <SessionTime asOf={stair.asOf} zone={stair.zone} />
      <label className="flex flex-col gap-1 text-sm font-medium">
        {t("session.minutesAll")}
        <span className="input w-24">
          <input type="number" inputMode="numeric" min={1} max={600} {...register("minutes")} />
          <span className="text-base-content/70">{t("unit.min")}</span>
        </span>
      </label>
      <label className="flex flex-col gap-1 text-sm font-medium">
        {t("session.otherLoad")}
        <select className="select w-28" {...register("otherLoad")}>
          <option value="">–</option>
          {(["none", "some", "much"] as const).map((code) => (
            <option key={code} value={code}>
              {t(`session.${code}`)}
            </option>
          ))}
        </select>
      </label>
    </section>
  );
}
