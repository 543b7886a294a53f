import { TriangleAlert } from "lucide-react";
import type { ConditionWords } from "~/contract/fields";
import { t } from "~/messages/say";

/** What is so with somebody beside what hurts, in short words beside the name; what to keep in mind stands in the tip and for readers. */
export default function ConditionChips({ conditions }: { conditions: readonly ConditionWords[] }) {
  if (conditions.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-1" aria-label={t("conditions.title")} data-testid="conditions">
      {conditions.map(({ code, short, says }) => (
        <li
          key={code}
          className="border-warning text-base-content inline-flex items-center gap-1 rounded-full border-2 px-2 py-0.5 text-sm font-semibold"
          title={says}
        >
          <TriangleAlert className="text-warning size-4 shrink-0" aria-hidden />
          {short}
          <span className="sr-only">: {says}</span>
        </li>
      ))}
    </ul>
  );
}
