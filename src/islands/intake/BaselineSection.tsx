import { useState } from "react";
import { useFormContext } from "react-hook-form";
import type { Measure } from "~/core/measure/measure";
import EntryGrid from "~/islands/measures/EntryGrid";
import { draftFaults, sayFaults, type RowEntry } from "~/islands/measures/entry-draft";
import { t } from "~/messages/say";
import { TextField } from "./Fields";
import { bodyMeasures, type PathwayChoice } from "./choices";
import type { IntakeFields } from "./intake-fields";

interface Props {
  pathway: PathwayChoice;
  measures: ReadonlyMap<string, Measure>;
}

const gatesFirst = 2;

/** What the first gates read, to be measured at once; every value is optional, and placing uses those there are. */
export default function BaselineSection({ pathway, measures }: Props) {
  const { watch, getValues, setValue } = useFormContext<IntakeFields>();
  const [all, setAll] = useState(false);
  const rows = watch("baselineRows");
  const side = watch("involvedSide");
  const isLimited = watch("surgeryOn") !== "" || watch("limits").length > 0;
  const stages = pathway.stages.filter((stage) => !(stage.beforeSurgery && watch("surgeryOn") !== ""));
  const ofFirst = stages.slice(0, gatesFirst).flatMap((stage) => stage.measures);
  const ofAll = stages.flatMap((stage) => stage.measures);
  const codes = [...new Set([...bodyMeasures, ...(all ? ofAll : ofFirst), ...Object.keys(rows)])];
  const faults = draftFaults({ codes, rows }, measures);
  // Read back each time: lines changed by one paste build on each other.
  const change = (code: string, row: RowEntry) =>
    setValue("baselineRows", { ...getValues("baselineRows"), [code]: row });

  return (
    <fieldset
      className="bg-base-100 border-base-300 rounded-box min-w-0 border p-3 pt-1"
      data-testid="baseline"
    >
      <legend className="px-1 font-semibold">{t("intake.baseline")}</legend>
      <div className="mb-2 flex flex-wrap items-end gap-x-4 gap-y-2">
        <TextField name="baselineOn" label={t("measures.takenOn")} type="date" />
        <p className="text-base-content/80 pb-2 text-sm">{t("intake.baselineWhy")}</p>
        {!all && ofAll.some((code) => !codes.includes(code)) && (
          <button type="button" className="btn ml-auto" onClick={() => setAll(true)}>
            {t("intake.baselineMore")}
          </button>
        )}
      </div>
      {isLimited && <p className="text-warning mb-2 text-sm font-medium">{t("intake.baselineLimits")}</p>}
      <EntryGrid
        view={{ involvedSide: side || "both", status: [], barred: [] }}
        measures={measures}
        draft={{ codes, rows }}
        onRow={change}
      />
      {faults.length > 0 && (
        <p className="text-error mt-1 text-sm font-medium" role="alert">
          {sayFaults(faults, measures)}
        </p>
      )}
    </fieldset>
  );
}
