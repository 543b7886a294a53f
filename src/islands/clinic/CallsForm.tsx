import { useState } from "react";
import type { Calls, CallsView } from "~/contract/clinic";
import { stopSignals, urgencies } from "~/core/intake/stop-signal";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { label, t } from "~/messages/say";
import { island } from "~/islands/frame/island";

/** Whom to call, by urgency: read by everybody, set by the clinic's lead. */
function CallsForm({ clinic, calls: first, maySet }: CallsView & { clinic: string }) {
  const [calls, setCalls] = useState<Calls>(first);
  const [saved, setSaved] = useState(first);
  const { send, problem } = useWrite("setCalls", {});
  const [notice, setNotice] = useState("");
  const empty = urgencies.filter((urgency) => calls[urgency].trim() === "");
  const changed = urgencies.some((urgency) => calls[urgency] !== saved[urgency]);

  const save = async () => {
    setNotice("");
    if (empty.length > 0) return document.getElementById(`call-${empty[0]}`)?.focus();
    const written = await send({ calls });
    if (!written) return;
    setSaved(written.calls);
    setNotice(t("calls.saved"));
  };

  return (
    <form
      className="mx-auto flex max-w-3xl flex-col gap-3 px-4 py-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div>
        <h1 className="text-2xl font-bold">{t("calls.title")}</h1>
        <p className="text-base-content/80">{clinic}</p>
      </div>
      <p>{t(maySet ? "calls.help" : "calls.read")}</p>
      <ProblemNote problem={problem} />
      {urgencies.map((urgency) => (
        <section key={urgency} className="bg-base-100 border-base-300 rounded-box border p-3">
          <h2 className="text-lg font-semibold">{t(`urgency.${urgency}`)}</h2>
          <p className="text-base-content/75 text-sm" id={`about-${urgency}`}>
            {stopSignals
              .filter((signal) => signal.urgency === urgency)
              .map((signal) => label("signal", signal.code))
              .join(" · ")}
          </p>
          {maySet ? (
            <>
              <textarea
                id={`call-${urgency}`}
                className={`textarea mt-2 w-full text-base ${calls[urgency].trim() === "" ? "textarea-error" : ""}`}
                rows={2}
                maxLength={400}
                aria-label={t("calls.of", { urgency: t(`urgency.${urgency}`) })}
                aria-describedby={`about-${urgency}`}
                value={calls[urgency]}
                onChange={(event) => setCalls({ ...calls, [urgency]: event.target.value })}
              />
              {calls[urgency].trim() === "" && <p className="text-error text-sm">{t("calls.missing")}</p>}
            </>
          ) : (
            <p className="mt-1 text-lg font-medium">{calls[urgency]}</p>
          )}
        </section>
      ))}
      {maySet && (
        <div className="flex items-center gap-3">
          <button type="submit" className="btn btn-primary" disabled={!changed}>
            {t("calls.save")}
          </button>
          <p role="status">{notice}</p>
        </div>
      )}
    </form>
  );
}

export default island(CallsForm);
