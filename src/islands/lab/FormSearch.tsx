import { Search, Square } from "lucide-react";
import { useMemo, useState } from "react";
import { formsOf } from "~/catalogue/loads/forms";
import type { LoadedBody } from "~/catalogue/loads/loads-of";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { LoadsAt } from "~/core/load/movement-loads";
import { deepestBend, peakOf } from "~/core/load/peak-of";
import { label, sayNumber, t } from "~/messages/say";
import { sayKnobValue } from "~/messages/say-knob-value";
import { useLoads } from "./use-loads";

interface Props {
  exercise: Pick<Exercise, "id" | "drawnLike">;
  prescription: Prescription;
  body: LoadedBody;
  plan: readonly LoadsAt[];
  /** A stress at which it hurt, MPa, to stay below of; null where nobody said. */
  painfulMPa: number | null;
  onTake: (settings: Prescription["settings"]) => void;
}

interface Found {
  readonly settings: Prescription["settings"];
  readonly stress: number;
  readonly bend: number;
}

const shown = 5;
/** Forms whose bend differs by less come first: the same bend with less. */
const sameBendDeg = 3;
/** A form has to be this much better to be worth saying. */
const worthwhile = 0.97;

/** Looks through every form of the exercise for those with less under the kneecap; shows how far it is, and can be stopped. */
export default function FormSearch({ exercise, prescription, body, plan, painfulMPa, onTake }: Props) {
  const [searching, setSearching] = useState(false);
  const [ceiling, setCeiling] = useState(painfulMPa === null ? "" : painfulMPa.toFixed(1));
  const { settings, dose } = prescription;
  const forms = useMemo(
    () => (searching ? formsOf(exercise, settings).slice(1) : []),
    [searching, exercise, settings],
  );
  const movements = forms.map((form) => ({ exercise, settings: form, loadKg: dose.loadKg ?? 0 }));
  const { loads, done } = useLoads(body, movements);
  const side = plan.some(({ legs }) => legs.w) ? "w" : "o";
  const now = peakOf(plan, side, "stress");
  const most = ceiling.trim() === "" ? Infinity : Number(ceiling.replace(",", "."));
  const found = forms
    .flatMap((form, n): Found[] => {
      const told = loads[n];
      const peak = told?.ok ? peakOf(told.moments, side, "stress") : null;
      if (!told?.ok || !peak || !now || peak.value > now.value * worthwhile || peak.value > most) return [];
      const bend = deepestBend(told.moments, side) ?? NaN;
      return [{ settings: form, stress: peak.value, bend }];
    })
    .sort((a, b) => order(a) - order(b));
  const deepest = deepestBend(plan, side) ?? NaN;
  /** The same bend first, then the least stress, then the fewest settings turned. */
  function order({ bend, stress, settings: form }: Found): number {
    const turned = Object.keys(form).filter((knob) => form[knob] !== settings[knob]).length;
    return (Math.abs(bend - deepest) < sameBendDeg ? 0 : 1000) + stress + turned / 1000;
  }
  if (!now || now.value === 0) return null;
  const finished = searching && done === forms.length;
  return (
    <section className="flex flex-col gap-1" data-testid="form-search">
      <div className="flex flex-wrap items-end gap-2">
        {searching && !finished ? (
          <button type="button" className="btn" onClick={() => setSearching(false)}>
            <Square className="size-4" aria-hidden />
            {t("lab.stop")}
          </button>
        ) : (
          <button
            type="button"
            className="btn"
            title={t("lab.searchHelp")}
            onClick={() => setSearching(true)}
          >
            <Search className="size-4" aria-hidden />
            {t("lab.search")}
          </button>
        )}
        <label className="text-sm">
          {t("lab.ceiling")}{" "}
          <input
            className="input w-20"
            inputMode="decimal"
            value={ceiling}
            onChange={(event) => setCeiling(event.target.value)}
          />
        </label>
        {searching && !finished && (
          <p role="status" className="flex items-center gap-2 text-sm">
            <progress className="w-24" value={done} max={forms.length} />
            {t("lab.searching", { done, all: forms.length })}
          </p>
        )}
      </div>
      {finished && found.length === 0 && <p className="text-sm">{t("lab.foundNone")}</p>}
      {found.length > 0 && (
        <ul aria-label={t("lab.found")}>
          {found.slice(0, shown).map(({ settings: form, stress, bend }) => {
            const turned = Object.keys(form).filter((knob) => form[knob] !== settings[knob]);
            const words = turned.map(
              (knob) => `${label("knob", knob)}: ${sayKnobValue(knob, form[knob] ?? "")}`,
            );
            return (
              <li
                key={words.join()}
                className="border-base-300 flex items-center gap-2 border-t py-1 text-sm"
              >
                <span className="min-w-0 flex-1">
                  <span className="font-semibold">{words.join(", ")}</span>
                  <br />
                  {t("lab.foundLine", {
                    stress: sayNumber(stress),
                    bend: Math.round(bend),
                    percent: Math.round(100 - (100 * stress) / now.value),
                  })}
                </span>
                <button type="button" className="btn min-h-11" onClick={() => onTake(form)}>
                  {t("lab.take")}
                </button>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
