import type { RefObject } from "react";
import { t, type Values } from "~/messages/say";
import type { MessageKey } from "~/messages/en";

const keys: readonly (readonly [keys: string, says: MessageKey, values?: Values])[] = [
  ["?", "keys.help"],
  ["c", "keys.caseload"],
  ["n", "keys.new"],
  ["l", "keys.library"],
  ["↑ ↓", "keys.move"],
  ["Enter", "keys.open"],
  ["s", "keys.session"],
  ["r", "keys.record"],
  ["p", "keys.plan"],
  ["m", "keys.measures"],
  ["g", "keys.gate"],
  ["/", "keys.search"],
  ["j k", "keys.review"],
  ["a", "keys.accept"],
  ["Esc", "keys.escape"],
];

/** What can be said in a quick line: an example and its meaning. */
const grammar: readonly (readonly [example: string, says: MessageKey])[] = [
  ["3x12   5x10s   2x25c   20min", "quick.grammar.sets"],
  ["12 / 12 / 10", "quick.grammar.differ"],
  ["20kg   110n   hold 3", "quick.grammar.amounts"],
  ["p2   pain 2 muscle   e7   effort 6,5", "quick.grammar.pain"],
  ["fault knee 4   slight knee some", "quick.grammar.fault"],
  ["limit fear sure 4   limit pinch 1", "quick.grammar.limit"],
  ["left 2x12 …; right 2x10 …", "quick.grammar.sides"],
  ["squat: …   3: …", "quick.grammar.item"],
];

/** The list of keys, under `?`. */
export default function KeysDialog({ dialog }: { dialog: RefObject<HTMLDialogElement | null> }) {
  return (
    <dialog ref={dialog} className="modal text-base-content" aria-label={t("keys.title")}>
      <div className="modal-box max-w-3xl">
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
          {grammar.map(([example, says]) => (
            <div key={example} className="contents">
              <dt className="font-mono text-sm whitespace-pre-wrap">{example}</dt>
              <dd className="mb-1 text-sm sm:mb-0">{t(says)}</dd>
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
