import { useState } from "react";
import { Controller, useFormContext } from "react-hook-form";
import type { StairView } from "~/contract/episode";
import { footwears, otherLoads } from "~/core/response/session-record";
import AmountField from "~/islands/frame/AmountField";
import ChoiceField from "~/islands/frame/ChoiceField";
import PainPicker from "~/islands/frame/PainPicker";
import { later } from "~/islands/frame/later";
import { sayDate, t } from "~/messages/say";
import type { SessionDraft } from "./session-draft";

const SessionTime = later(
  () => import("./SessionTime"),
  () => <div className="h-16 w-56" />,
);

/** What is asked once for the whole session: pain before, when, how long, what else the day held. */
export default function SessionStart({ stair }: { stair: StairView }) {
  const { control, register } = useFormContext<SessionDraft>();
  // On a phone the rest waits behind a tap: the clock, and blanks that may stay blank.
  const [more, setMore] = useState(false);
  return (
    <section className="bg-base-100 border-base-300 rounded-box flex flex-wrap items-end gap-x-4 gap-y-2 border px-3 py-2">
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
      <button
        type="button"
        className="btn btn-sm min-h-11 sm:hidden"
        aria-expanded={more}
        onClick={() => setMore(!more)}
      >
        {t("session.startMore")}
      </button>
      <div className={`flex flex-wrap items-end gap-x-4 gap-y-2 ${more ? "" : "max-sm:hidden"}`}>
        <SessionTime asOf={stair.asOf} zone={stair.zone} />
        <AmountField
          label={t("session.minutesAll")}
          unit={t("unit.min")}
          low={1}
          high={600}
          width="w-24"
          field={register("minutes")}
        />
        <ChoiceField
          label={t("session.otherLoad")}
          options={otherLoads.map((code) => [code, t(`session.${code}`)] as const)}
          width="w-24 sm:w-28"
          field={register("otherLoad")}
        />
        <ChoiceField
          label={t("session.footwear")}
          options={footwears.map((code) => [code, t(`session.footwear.${code}`)] as const)}
          width="w-24 sm:w-28"
          field={register("footwear")}
        />
      </div>
      {stair.soreFrom !== null && (
        <label className="flex min-h-11 min-w-full items-center gap-2 text-sm font-medium">
          <input type="checkbox" className="checkbox" {...register("stillSore")} />
          {t("session.stillSore", { date: sayDate(stair.soreFrom) })}
        </label>
      )}
    </section>
  );
}
