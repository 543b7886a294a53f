import { useState } from "react";
import type { HarderItem, PhonesView } from "~/contract/phones";
import ReasonForm from "~/islands/frame/ReasonForm";
import { label, sayTime, t } from "~/messages/say";
import { sayKnobValue } from "~/messages/say-knob-value";

interface Props {
  view: PhonesView;
  onChange: (view: PhonesView) => void;
}

/** Which exercises the patient may do a notch harder on a good day, in writing; and what the phone offers of them right now. */
export default function HarderCard({ view, onChange }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <section
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-4"
      data-testid="harder"
    >
      <h2 className="text-lg font-semibold">{t("phones.harder")}</h2>
      <p>{t("phones.harderSays")}</p>
      {view.harder.length === 0 && <p>{t("phones.harderNone")}</p>}
      <ul>
        {view.harder.map((item) => (
          <li key={item.itemId} className="border-base-300 border-t py-2">
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
              <div className="min-w-52 flex-1">
                <p className="font-medium">{item.name}</p>
                <p className="text-base-content/75 text-sm">{sayNow(item)}</p>
                {item.word && (
                  <p className="text-sm">
                    {t(item.word.allowed ? "phones.harderAllowed" : "phones.harderTaken", {
                      by: item.word.by,
                      when: sayTime(item.word.at, view.zone),
                      reason: item.word.reason,
                    })}
                  </p>
                )}
              </div>
              {view.mayWrite && open !== item.itemId && (
                <button type="button" className="btn" onClick={() => setOpen(item.itemId)}>
                  {t(item.word?.allowed ? "phones.harderEnd" : "phones.harderAllow")}
                  <span className="sr-only">: {item.name}</span>
                </button>
              )}
            </div>
            {open === item.itemId && (
              <ReasonForm
                write="allowHarder"
                values={{ id: view.episodeId }}
                about={item.itemId}
                body={(reason) => ({ itemId: item.itemId, allowed: !item.word?.allowed, reason })}
                label={t("phones.harderWhy")}
                submit={t(item.word?.allowed ? "phones.harderSignEnd" : "phones.harderSign")}
                onDone={({ phones }) => {
                  setOpen(null);
                  onChange(phones);
                }}
                onCancel={() => setOpen(null)}
              />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What the phone offers of an exercise today, or would if it were allowed; or why nothing. */
function sayNow({ change, bar, word }: HarderItem): string {
  if (change) {
    const what = `${label("knob", change.knob)}: ${sayKnobValue(change.knob, change.to)}`;
    return t(word?.allowed ? "phones.harderNow" : "phones.harderWould", { what });
  }
  return t(`phones.harderBar.${bar ?? "none"}`);
}
