import { useState } from "react";
import type { Problem } from "~/contract/problem";
import type { PlanView } from "~/contract/plan";
import type { Lane } from "~/core/exercise/body";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayPlanTotal } from "~/messages/plan-totals";
import { sayNumber, t } from "~/messages/say";
import CatalogueSearch from "./CatalogueSearch";
import PlanItems from "./PlanItems";
import UndoLine from "./UndoLine";
import Unprimed from "./Unprimed";
import { island } from "~/islands/frame/island";
import { later } from "~/islands/frame/later";

const CircumstancesForm = later(
  () => import("./CircumstancesForm"),
  () => <div className="bg-base-100 border-base-300 rounded-box min-h-18 border" />,
);

const KneecapBox = later(() => import("./KneecapBox"));
const ArrangeForm = later(() => import("./ArrangeForm"));
const ComposeForm = later(() => import("./ComposeForm"));

/** What a patient does, how long it takes and where each item goes next; any exercise of the catalogue can join. */
function PlanPage({ plan: loaded }: { plan: PlanView }) {
  const [plan, setPlan] = useState(loaded);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [notice, setNotice] = useState("");
  const [open, setOpen] = useState<"order" | "compose" | null>(null);
  const [lane, setLane] = useState<Lane | "">("");
  // Minutes stand in the sum itself.
  const isTooLong = plan.totals.some(({ code }) => code === "minutes");
  const tooMuch = plan.totals.filter(({ code }) => code !== "minutes");
  const { items, time, emptyLanes } = plan;

  const changed = (next: PlanView, said: string) => {
    setPlan(next);
    setProblem(null);
    setNotice(said);
  };

  return (
    <div className="mx-auto max-w-7xl px-4 py-4">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <h2 className="sr-only">{t("plan.title")}</h2>
        {plan.limits.length > 0 && (
          <p className="text-base-content/80 min-w-0 sm:max-w-[55%]">
            {t("frame.mindLimits", { limits: plan.limits.join("; ") })}
          </p>
        )}
        <p className="ml-auto text-right max-sm:ml-0 max-sm:text-left" data-testid="plan-sum">
          <strong className={`text-xl ${isTooLong ? "text-warning" : ""}`}>
            {t("plan.sum", { items: items.length, minutes: sayNumber(Math.round(time.minutes)) })}
            {plan.circumstances && ` ${t("plan.have", { minutes: plan.circumstances.minutesPerDay })}`}
          </strong>
          <span
            className={`block text-sm ${plan.changeBudget.used > plan.changeBudget.limit ? "text-warning font-medium" : ""}`}
          >
            {t("plan.budget", { ...plan.changeBudget })}
          </span>
          {time.contacts > 0 && !tooMuch.some(({ code }) => code === "contacts-day") && (
            <span className="block text-sm">{t("plan.contacts", { contacts: time.contacts })}</span>
          )}
          {tooMuch.map((total) => (
            <span key={total.code} className="text-warning block text-sm font-medium" data-testid="total">
              {sayPlanTotal(total)}
            </span>
          ))}
        </p>
      </div>
      <p role="status" className="sr-only">
        {notice}
      </p>
      {problem && <ProblemNote problem={problem} />}
      {emptyLanes.length > 0 && (
        <div className="mt-3 flex flex-wrap items-center gap-2" data-testid="empty-lanes">
          <span className="text-warning font-semibold">{t("plan.emptyLanes")}:</span>
          {emptyLanes.map((code) => (
            <button
              key={code}
              type="button"
              className="btn bg-base-100 border-base-300"
              onClick={() => setLane(code)}
            >
              {t(`lane.${code}`)}
            </button>
          ))}
        </div>
      )}
      <Unprimed plan={plan} onChanged={changed} />
      <div className="mt-3 grid items-start gap-4 lg:grid-cols-2">
        <div className="flex min-w-0 flex-col gap-3">
          {plan.maySign && plan.undo && <UndoLine plan={plan} undo={plan.undo} onChanged={changed} />}
          {plan.maySign && open === null && (
            <div className="flex flex-wrap gap-2">
              {plan.items.length > 1 && (
                <button
                  type="button"
                  className="btn bg-base-100 border-base-300"
                  onClick={() => setOpen("order")}
                >
                  {t("plan.order")}
                </button>
              )}
              <button
                type="button"
                className="btn bg-base-100 border-base-300"
                onClick={() => setOpen("compose")}
              >
                {t("compose.open")}
              </button>
            </div>
          )}
          {open === "compose" && (
            <ComposeForm
              plan={plan}
              onCancel={() => setOpen(null)}
              onChanged={(next, said) => {
                setOpen(null);
                changed(next, said);
              }}
            />
          )}
          {open === "order" ? (
            <ArrangeForm
              key={`order ${plan.version}`}
              plan={plan}
              onCancel={() => setOpen(null)}
              onSigned={(next) => {
                setOpen(null);
                changed(next, t("plan.orderSigned"));
              }}
            />
          ) : (
            <PlanItems plan={plan} onChanged={changed} />
          )}
          {items.length > 0 && <KneecapBox plan={plan} />}
          {plan.maySign && <CircumstancesForm key={plan.version} plan={plan} onChanged={changed} />}
        </div>
        <CatalogueSearch
          plan={plan}
          lane={lane}
          onLane={setLane}
          onChanged={changed}
          onProblem={setProblem}
        />
      </div>
    </div>
  );
}

export default island(PlanPage);
