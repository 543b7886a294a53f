import { useState } from "react";
import type { HistoryView } from "~/contract/history";
import ReasonForm from "~/islands/frame/ReasonForm";
import { t } from "~/messages/say";

interface Props {
  view: HistoryView;
  onSigned: (next: HistoryView) => void;
}

/** What is so with the person beside what hurts: what it limits, what to keep in mind; begun or ended with a signature. */
export default function ConditionBox({ view, onSigned }: Props) {
  const [changing, setChanging] = useState<string | null>(null);
  const present = new Set(view.conditions.map(({ code }) => code));
  const others = view.conditionChoices.filter(({ code }) => !present.has(code));
  const form = (code: HistoryView["conditionChoices"][number]["code"], isPresent: boolean) => (
    <ReasonForm
      write="setCondition"
      values={{ id: view.episodeId }}
      body={(reason) => ({ code, present: isPresent, reason })}
      about={`${code} ${isPresent}`}
      label={t("sign.reason")}
      submit={t(isPresent ? "history.signBegan" : "history.signEnded")}
      onDone={({ history }) => {
        setChanging(null);
        onSigned(history);
      }}
      onCancel={() => setChanging(null)}
    />
  );
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="condition-box">
      <h2 className="text-lg font-semibold">{t("history.conditions")}</h2>
      {view.conditions.length === 0 && <p className="text-sm">{t("history.noConditions")}</p>}
      <ul>
        {view.conditions.map(({ code, short, says, limits }) => (
          <li key={code} className="border-base-300 border-b py-2 last:border-b-0">
            <div className="flex flex-wrap items-center gap-x-3">
              <p className="font-semibold">{short}</p>
              {view.maySign && code !== "growing" && (
                <button type="button" className="btn ml-auto" onClick={() => setChanging(code)}>
                  {t("history.noLonger")}
                </button>
              )}
            </div>
            <p className="text-sm">{says}</p>
            {limits.length > 0 && (
              <ul className="list-disc pl-5 text-sm">
                {limits.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            )}
            {changing === code && form(code as never, false)}
          </li>
        ))}
      </ul>
      {view.maySign && (
        <label className="mt-2 block text-sm">
          {t("history.add")}
          <select
            className="select w-full"
            value={others.some(({ code }) => code === changing) ? (changing ?? "") : ""}
            onChange={(event) => setChanging(event.target.value || null)}
          >
            <option value="">–</option>
            {others.map(({ code, asks }) => (
              <option key={code} value={code}>
                {asks}
              </option>
            ))}
          </select>
        </label>
      )}
      {others
        .filter(({ code }) => code === changing)
        .map(({ code }) => (
          <div key={code} className="mt-2">
            {form(code, true)}
          </div>
        ))}
    </section>
  );
}
