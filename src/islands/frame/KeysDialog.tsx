import type { RefObject } from "react";
import { t, type Values } from "~/messages/say";
import type { MessageKey } from "~/messages/en";

const keys: readonly (readonly [keys: string, says: MessageKey, values?: Values])[] = [
  ["?", "keys.help"],
  ["c", "keys.caseload"],
  ["n", "keys.new"],
  ["↑ ↓", "keys.move"],
  ["Enter", "keys.open"],
  ["s", "keys.session"],
  ["r", "keys.record"],
  ["p", "keys.plan"],
  ["m", "keys.measures"],
  ["g", "keys.gate"],
  ["/", "keys.search"],
  ["Esc", "keys.escape"],
];

/** The list of keys, under `?`. */
export default function KeysDialog({ dialog }: { dialog: RefObject<HTMLDialogElement | null> }) {
  return (
    <dialog ref={dialog} className="modal text-base-content" aria-label={t("keys.title")}>
      <div className="modal-box max-w-sm">
        <h2 className="text-lg font-semibold">{t("keys.title")}</h2>
        <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
          {keys.map(([key, says]) => (
            <div key={key} className="contents">
              <dt>
                <kbd className="kbd">{key}</kbd>
              </dt>
              <dd>{t(says)}</dd>
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
