import { useState } from "react";
import type { PhoneView } from "~/contract/phone";
import { urgencies } from "~/core/intake/stop-signal";
import { t } from "~/messages/say";
import { sayWhenToCall } from "./say-sign";

/** Whom to call, what the phone is for, and how it forgets. */
export default function HelpBox({ view, onForget }: { view: PhoneView; onForget: () => void }) {
  const [asked, setAsked] = useState(false);
  return (
    <section className="flex flex-1 flex-col gap-4 p-4 text-lg">
      <h1 className="text-2xl font-bold">{view.clinicName}</h1>
      <dl className="flex flex-col gap-2">
        {urgencies.map((urgency) => (
          <div key={urgency} className="bg-base-100 border-base-300 rounded-box border p-3">
            <dt className="text-base font-semibold">{sayWhenToCall(urgency)}</dt>
            <dd>{view.calls[urgency]}</dd>
          </div>
        ))}
      </dl>
      <p className="text-base-content/80 text-base">{t("phone.foot")}</p>
      {asked ? (
        <div role="alert" className="border-warning rounded-box flex flex-col gap-3 border-2 p-3">
          <p>{t("phone.forgetSays")}</p>
          <div className="flex gap-2">
            <button type="button" className="btn phone-plain btn-lg flex-1" onClick={() => setAsked(false)}>
              {t("phone.keep")}
            </button>
            <button type="button" className="btn btn-error btn-lg flex-1" onClick={onForget}>
              {t("phone.forgetNow")}
            </button>
          </div>
        </div>
      ) : (
        <button type="button" className="btn btn-ghost btn-lg" onClick={() => setAsked(true)}>
          {t("phone.forget")}
        </button>
      )}
    </section>
  );
}
