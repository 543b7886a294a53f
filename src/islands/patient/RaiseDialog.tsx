import { useEffect, useRef, useState } from "react";
import type { StairView } from "~/contract/episode";
import { stopSignals, urgencies, type StopSignalDefinition } from "~/core/intake/stop-signal";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { label, t } from "~/messages/say";
import type { Signalled } from "./signalled";
import WhomToCall from "./WhomToCall";

const namesExercise: readonly string[] = ["item", "lane"];

interface Props {
  stair: Signalled;
  onRaised: (next: StairView) => void;
  onClosed: () => void;
}

/** Every stop signal by urgency; a yes suspends, says whom to call and tells the clinician. Open as long as it is there. */
export default function RaiseDialog({ stair, onRaised, onClosed }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [chosen, setChosen] = useState<StopSignalDefinition | null>(null);
  const [itemId, setItemId] = useState("");
  const [note, setNote] = useState("");
  const { send, problem } = useWrite("raiseSignal", { id: stair.episodeId });
  const needsExercise = chosen !== null && namesExercise.includes(chosen.suspends);

  useEffect(() => {
    dialog.current?.showModal();
  }, []);
  const close = () => dialog.current?.close();
  const raise = async () => {
    if (!chosen) return;
    const where = needsExercise ? itemId : "";
    const said = note.trim();
    const body = { code: chosen.code, ...(where ? { itemId: where } : {}), ...(said ? { note: said } : {}) };
    const written = await send(body, `${chosen.code} ${where}`);
    if (!written) return;
    onRaised(written.stair);
    close();
  };

  return (
    <dialog
      ref={dialog}
      onClose={onClosed}
      className="modal text-base-content"
      aria-label={t("signals.title")}
      data-testid="raise-signal"
    >
      <div className="modal-box max-h-[calc(100dvh-2rem)] max-w-3xl">
        <h2 className="text-lg font-semibold">{t("signals.title")}</h2>
        <ProblemNote problem={problem} />
        {urgencies.map((urgency) => (
          <fieldset key={urgency} className="mt-2">
            <legend className="text-sm font-semibold">{t(`urgency.${urgency}`)}</legend>
            <div className="mt-1 grid gap-1 md:grid-cols-2">
              {stopSignals
                .filter((signal) => signal.urgency === urgency)
                .map((signal) => (
                  <button
                    key={signal.code}
                    type="button"
                    className={`btn h-auto min-h-12 flex-col items-start gap-0 py-1 text-left ${chosen === signal ? "btn-neutral" : ""}`}
                    aria-pressed={chosen === signal}
                    onClick={() => setChosen(signal)}
                  >
                    <span>{label("signal", signal.code)}</span>
                    <span className="text-xs font-normal">{label("signals.suspends", signal.suspends)}</span>
                  </button>
                ))}
            </div>
          </fieldset>
        ))}
        <div className="bg-base-100 sticky -bottom-6 mt-3 flex flex-wrap items-end gap-3 py-3">
          {chosen && <WhomToCall calls={stair.calls} code={chosen.code} urgency={chosen.urgency} />}
          {needsExercise && (
            <label className="flex flex-col gap-1 text-sm font-medium">
              {t("signals.exercise")}
              <select
                className="select w-56"
                value={itemId}
                onChange={(event) => setItemId(event.target.value)}
              >
                <option value="">–</option>
                {stair.items.map((item) => (
                  <option key={item.itemId} value={item.itemId}>
                    {item.name}
                  </option>
                ))}
              </select>
            </label>
          )}
          {chosen && (
            <label className="flex min-w-56 flex-1 flex-col gap-1 text-sm font-medium">
              {t("signals.note")}
              <input
                className="input w-full"
                maxLength={400}
                value={note}
                onChange={(e) => setNote(e.target.value)}
              />
            </label>
          )}
          <div className="ml-auto flex gap-2">
            <button type="button" className="btn" onClick={close}>
              {t("sign.cancel")}
            </button>
            {chosen && (
              <button
                type="button"
                className="btn btn-error"
                disabled={needsExercise && itemId === ""}
                onClick={() => void raise()}
              >
                {t("signals.raise", { what: label("signals.suspends", chosen.suspends) })}
              </button>
            )}
          </div>
        </div>
      </div>
    </dialog>
  );
}
