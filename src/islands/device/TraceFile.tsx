import { useState } from "react";
import {
  forceFileUnits,
  longestFile,
  type ForceFile,
  type ForceFileUnit,
} from "~/core/device/read-force-file";
import { sayNumber, t } from "~/messages/say";
import { readFile } from "./read-trial";

interface Props {
  /** Which trial it is read as. */
  trial: string;
  disabled: boolean;
  onFile: (trace: { values: number[]; sampleHz: number }, name: string) => void;
}

const signs: Readonly<Record<string, "comma" | "semicolon" | "tab">> = {
  ",": "comma",
  ";": "semicolon",
  "\t": "tab",
};

/** A trace out of a file: what was found out about it is shown before it is used. */
export default function TraceFile({ trial, disabled, onFile }: Props) {
  const [found, setFound] = useState<{ name: string; file: ForceFile } | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [unit, setUnit] = useState<ForceFileUnit | null>(null);
  const read = async (chosen: File | undefined) => {
    setFound(null);
    setProblems([]);
    if (!chosen) return;
    if (chosen.size > longestFile) return setProblems([t("file.too-long")]);
    const told = await readFile(await chosen.text());
    if (!told.ok)
      return setProblems(told.problems.map(({ problem, line }) => t(`file.${problem}`, { line })));
    setFound({ name: chosen.name, file: told.file });
    setUnit(told.file.unit);
  };
  return (
    <div className="flex flex-col gap-2 text-sm">
      <label className={`btn w-fit font-normal ${disabled ? "btn-disabled" : ""}`}>
        {t("device.file")}
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          className="sr-only"
          disabled={disabled}
          onChange={({ target }) => {
            void read(target.files?.[0]);
            target.value = "";
          }}
        />
      </label>
      {problems.length > 0 && (
        <div className="text-error font-medium" role="alert">
          {problems.map((words) => (
            <p key={words}>{words}</p>
          ))}
        </div>
      )}
      {found && (
        <div
          className="border-base-300 rounded-box flex flex-wrap items-center gap-2 border p-2"
          data-testid="trace-file"
        >
          <p className="min-w-0 flex-1 basis-60">
            {t("device.fileFound", {
              name: found.name,
              columns: found.file.columns.length,
              delimiter: t(`file.delimiter.${signs[found.file.delimiter] ?? "other"}`),
              decimal: t(`file.decimal.${found.file.decimal === "," ? "comma" : "point"}`),
              timeUnit: found.file.timeUnit,
              hz: sayNumber(found.file.sampleHz),
              unit: found.file.unit ?? "?",
            })}
          </p>
          {found.file.unit === null && (
            <label className="flex items-center gap-2">
              <span className="text-warning font-medium">{t("device.fileUnit")}</span>
              <select
                className="select w-24"
                value={unit ?? ""}
                onChange={({ target }) => setUnit(target.value as ForceFileUnit)}
              >
                <option value="">–</option>
                {Object.keys(forceFileUnits).map((code) => (
                  <option key={code}>{code}</option>
                ))}
              </select>
            </label>
          )}
          <button
            type="button"
            className="btn btn-primary"
            disabled={disabled || !unit}
            onClick={() => {
              const factor = unit ? forceFileUnits[unit] : 1;
              const { sampleHz, values } = found.file;
              onFile({ sampleHz, values: values.map((value) => value * factor) }, found.name);
              setFound(null);
            }}
          >
            {t("device.fileUse", { trial })}
          </button>
        </div>
      )}
    </div>
  );
}
