import { Plus } from "lucide-react";
import { useState } from "react";
import type { MeasuresView } from "~/contract/measures";
import { measureGroups, type Measure } from "~/core/measure/measure";
import { sayNumber, t } from "~/messages/say";

interface Props {
  view: MeasuresView;
  measures: ReadonlyMap<string, Measure>;
  chosen: readonly string[];
  onAdd: (code: string) => void;
}

/** What the next gate needs, cheapest decisive test first; and every other measure by its group. */
export default function MeasurePicker({ view, measures, chosen, onAdd }: Props) {
  const [text, setText] = useState("");
  const words = text.trim().toLowerCase();
  const fits = (measure: Measure) => words === "" || measure.name.toLowerCase().includes(words);
  return (
    <aside className="bg-base-100 border-base-300 rounded-box border p-3">
      <h2 className="font-semibold">{t("measures.battery")}</h2>
      {view.battery.length === 0 && (
        <p className="text-base-content/75 text-sm">{t("measures.batteryEmpty")}</p>
      )}
      <ol className="mt-1 list-decimal pl-5 text-sm" data-testid="battery">
        {view.battery.map(({ measure, minutes }) => (
          <li key={measure}>
            {measures.get(measure)?.name ?? measure}{" "}
            <span className="text-base-content/75">{t("plan.minutes", { minutes: sayNumber(minutes) })}</span>
          </li>
        ))}
      </ol>
      {view.battery.some(({ measure }) => !chosen.includes(measure)) && (
        <button
          type="button"
          className="btn mt-2"
          onClick={() => view.battery.forEach(({ measure }) => onAdd(measure))}
        >
          {t("measures.takeBattery")}
        </button>
      )}
      {view.gateMeasures.some((code) => !chosen.includes(code)) && (
        <button type="button" className="btn mt-2" onClick={() => view.gateMeasures.forEach(onAdd)}>
          {t("measures.takeGate")}
        </button>
      )}
      <label className="mt-4 block font-semibold">
        {t("measures.more")}
        <input
          type="search"
          className="input mt-1 w-full font-normal"
          value={text}
          placeholder={t("measures.search")}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <div className="mt-1 max-h-96 overflow-y-auto">
        {measureGroups.map((group) => {
          const own = view.measures.filter((m) => m.group === group && fits(m));
          if (own.length === 0) return null;
          return (
            <details key={group} open={words !== ""}>
              <summary className="min-h-11 cursor-pointer py-2 font-medium">{t(`group.${group}`)}</summary>
              <ul>
                {own.map((measure) => (
                  <li key={measure.code}>
                    <button
                      type="button"
                      className="hover:bg-base-200 flex min-h-11 w-full items-center gap-2 rounded px-1 text-left text-sm"
                      disabled={chosen.includes(measure.code)}
                      onClick={() => onAdd(measure.code)}
                    >
                      <Plus
                        className={`size-4 shrink-0 ${chosen.includes(measure.code) ? "invisible" : ""}`}
                        aria-hidden
                      />
                      {measure.name}
                    </button>
                  </li>
                ))}
              </ul>
            </details>
          );
        })}
      </div>
    </aside>
  );
}
