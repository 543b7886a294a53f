import { useState } from "react";
import type { PlanView } from "~/contract/plan";
import { later } from "~/islands/frame/later";
import { t } from "~/messages/say";

const BudgetList = later(() => import("~/islands/lab/BudgetList"));

/** What the plan asks of the kneecap, exercise by exercise; worked out once somebody wants to see it. */
export default function KneecapBox({ plan }: { plan: PlanView }) {
  const [open, setOpen] = useState(false);
  const items = plan.items.map(({ itemId, exerciseId, drawnLike, name, prescription }) => ({
    itemId,
    name,
    prescription,
    exercise: { id: exerciseId, drawnLike: drawnLike ?? undefined },
  }));
  return (
    <details
      className="bg-base-100 border-base-300 rounded-box border p-3"
      onToggle={(event) => setOpen(event.currentTarget.open)}
      data-testid="kneecap"
    >
      <summary className="min-h-8 cursor-pointer font-semibold">{t("lab.budget")}</summary>
      {open && (
        <>
          <p className="text-sm">{t("lab.budgetHelp")}</p>
          <BudgetList
            body={plan.body}
            items={items}
            onOpen={(itemId) => location.assign(`/episodes/${plan.episodeId}/lab?item=${itemId}`)}
          />
        </>
      )}
    </details>
  );
}
