import { useEffect, useRef } from "react";
import { quickHelp } from "~/core/session/quick-line-grammar";
import { t, type Values } from "~/messages/say";
import type { MessageKey } from "~/messages/en";

const keys: readonly (readonly [keys: string, says: MessageKey, values?: Values])[] = [
  ["?", "keys.help"],
  ["Ctrl K", "keys.find"],
  ["c", "keys.caseload"],
  ["n", "keys.new"],
  ["l", "keys.library"],
  ["↑ ↓", "keys.move"],
  ["Enter", "keys.open"],
  ["t", "keys.stair"],
  ["s", "keys.session"],
  ["m", "keys.measures"],
  ["g", "keys.gate"],
  ["p", "keys.plan"],
  ["w", "keys.week"],
  ["y", "keys.phone"],
  ["o", "keys.lab"],
  ["f", "keys.lifts"],
  ["h", "keys.history"],
  ["r", "keys.record"],
  ["i", "keys.person"],
  ["b", "keys.patientLibrary"],
  ["/", "keys.search"],
  ["j k", "keys.review"],
  ["a", "keys.accept"],
  ["Esc", "keys.escape"],
];

/** The list of keys, under `?`. */
export default function KeysDialog({ onClose }: { onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    dialog.current?.showModal();
  }, []);
  return (
    <dialog ref={dialog} className="modal text-base-content" aria-label={t("keys.title")} onClose={onClose}>
      <div className="modal-box max-h-[calc(100dvh-2rem)] max-w-4xl">
        <h2 className="text-lg font-semibold">{t("keys.title")}</h2>
        <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2 sm:grid-cols-[auto_1fr_auto_1fr]">
          {keys.map(([key, says]) => (
            <div key={key} className="contents">
              <dt>
                <kbd className="kbd">{key}</kbd>
              </dt>
              <dd>{t(says)}</dd>
            </div>
          ))}
        </dl>
        <h2 className="mt-5 text-lg font-semibold">{t("quick.help")}</h2>
        <p className="text-base-content/80 text-sm">{t("quick.helpIntro")}</p>
        <dl className="mt-2 grid gap-x-4 gap-y-1 sm:grid-cols-[auto_1fr]" data-testid="quick-grammar">
          {quickHelp().map(({ code, examples }) => (
            <div key={code} className="contents">
              <dt className="font-mono text-sm whitespace-pre-wrap">{examples.join("   ")}</dt>
              <dd className="mb-1 text-sm sm:mb-0">{t(`quick.grammar.${code}`)}</dd>
            </div>
          ))}
        </dl>
        <form method="dialog" className="modal-action">
          <button className="btn">{t("frame.close")}</button>
        </form>
      </div>
    </dialog>
  );
}
