import { useState } from "react";
import type { PlanView } from "~/contract/plan";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { sayField } from "~/islands/prescribe/field-words";
import { sayDose } from "~/messages/say-dose";
import { t } from "~/messages/say";

type Entry = PlanView["unprimed"][number];

interface Props {
  plan: PlanView;
  onChanged: (next: PlanView, said: string) => void;
}

/** Heavy squats that nothing primes, each with the primer one tap away. */
export default function Unprimed({ plan, onChanged }: Props) {
  const { send, busy, problem } = useWrite("addItem", { id: plan.episodeId });
  const [tried, setTried] = useState<Entry | null>(null);
  const add = async (entry: Entry, more: { meant?: true } = {}) => {
    const { exerciseId, primer } = entry;
    const { variantId, settings, dose } = primer;
    setTried(entry);
    const body = { exerciseId, variantId, settings, dose, role: "primer" as const, ...more };
    const written = await send(body, exerciseId);
    if (written) onChanged(written.plan, t("plan.primed"));
  };
  if (plan.unprimed.length === 0) return null;
  return (
    <div className="mt-3" data-testid="unprimed">
      {plan.unprimed.map((entry) => (
        <div key={entry.exerciseId} className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <p>
            <strong>{t("plan.unprimed", { exercise: entry.exerciseName })}</strong> {entry.variantName},{" "}
            {sayDose(entry.primer, null)}
          </p>
          {plan.maySign && (
            <button
              type="button"
              className="btn bg-base-100 border-base-300"
              disabled={busy}
              onClick={() => void add(entry)}
            >
              {t("plan.addPrimer")}
            </button>
          )}
        </div>
      ))}
      <ProblemNote
        problem={problem}
        sayPath={sayField}
        onMeant={tried ? () => void add(tried, { meant: true }) : undefined}
      />
    </div>
  );
}
