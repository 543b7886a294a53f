import { Check, Circle, CircleDot } from "lucide-react";
import { sayDose } from "~/messages/say-dose";
import { t } from "~/messages/say";
import { itemState, type ItemDraft, type SessionItem } from "./session-draft";

interface Props {
  entries: readonly { draft: ItemDraft; item: SessionItem }[];
  current: number;
  onChoose: (n: number) => void;
}

const looks = {
  open: { Icon: Circle, words: "session.untouched", tone: "text-base-content/60" },
  part: { Icon: CircleDot, words: "session.partState", tone: "text-warning" },
  done: { Icon: Check, words: "session.doneState", tone: "text-success" },
} as const;

/** The exercises of the day in order, with how far each is. */
export default function SessionRail({ entries, current, onChoose }: Props) {
  return (
    <nav aria-label={t("session.work")} data-testid="session-rail">
      <ol className="flex gap-2 overflow-x-auto lg:flex-col">
        {entries.map(({ draft, item }, n) => {
          const { Icon, words, tone } = looks[itemState(draft)];
          return (
            <li key={draft.itemId} className="min-w-40 lg:min-w-0">
              <button
                type="button"
                className={`bg-base-100 grid min-h-14 w-full cursor-pointer grid-cols-[1.5rem_1fr] items-center gap-x-2 rounded-lg border px-2 py-1 text-left ${n === current ? "border-primary border-2" : "border-base-300"}`}
                aria-current={n === current ? "step" : undefined}
                onClick={() => onChoose(n)}
              >
                <Icon className={`size-5 ${tone}`} aria-hidden />
                <span className="min-w-0">
                  <span className="block leading-tight font-medium">
                    {n + 1}. {item.name}
                  </span>
                  <span className="text-base-content/75 text-xs">
                    {t(words)} · {sayDose(item.prescription, null)}
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
