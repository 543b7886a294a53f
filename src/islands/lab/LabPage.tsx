import { useState } from "react";
import type { LabView } from "~/contract/lab";
import { island } from "~/islands/frame/island";
import { later } from "~/islands/frame/later";
import { sayWeight, t } from "~/messages/say";
import ProblemNote from "~/islands/frame/ProblemNote";
import { askedOf } from "./asked-of";
import { subjectKey } from "./lab-subject";
import SubjectSelect from "./SubjectSelect";
import { useLibrarySubject } from "./use-library-subject";
import { useLoads } from "./use-loads";

const room = () => <div className="h-144" />;
const MovementLab = later(() => import("./MovementLab"), room);
const SquatBench = later(() => import("./SquatBench"), room);
const SplitBench = later(() => import("./SplitBench"), room);
const LeverTables = later(() => import("./LeverTables"), room);
const BudgetList = later(() => import("./BudgetList"), room);

const tabs = ["movement", "bench", "split", "tables", "budget"] as const;
type TabName = (typeof tabs)[number];
const tabWords = {
  movement: "lab.tab.movement",
  bench: "lab.tab.bench",
  split: "lab.tab.split",
  tables: "lab.tab.tables",
  budget: "lab.tab.budget",
} as const;

interface Props {
  view: LabView;
  /** The item it was opened from. */
  itemId: string | null;
  /** The exercise of the library it was opened from, with its variant. */
  exerciseId: string | null;
  variantId: string | null;
}

/** The load lab: what an exercise asks of knee and hip of this person, what another form would, and that form into the plan. */
function LabPage({ view: loaded, itemId, exerciseId, variantId }: Props) {
  const [stair, setStair] = useState(loaded.stair);
  const { body, library, bands } = loaded;
  const { items } = stair;
  const [tab, setTab] = useState<TabName>("movement");
  const [selected, setSelected] = useState(itemId ?? exerciseId ?? "");
  const [signed, setSigned] = useState(false);
  // Opened from no item, it begins with the first that can be read.
  const { loads } = useLoads(body, selected === "" ? items.map(askedOf) : []);
  const firstRead = items[loads.findIndex((told) => told?.ok)];
  const inPlan = items.find((one) => one.itemId === selected);
  const asked = !inPlan && library.some(({ id }) => id === selected) ? selected : null;
  const { subject: fromLibrary, problem } = useLibrarySubject(asked, asked === exerciseId ? variantId : null);
  const subject = inPlan ?? (asked === null ? (firstRead ?? items[0]) : fromLibrary);
  const open = (id: string) => {
    setSelected(id);
    setSigned(false);
    setTab("movement");
  };
  return (
    <div className="mx-auto flex max-w-7xl flex-col gap-3 p-4">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <div role="tablist" aria-label={t("lab.tabs")} className="flex flex-wrap gap-1">
          {tabs.map((name) => (
            <button
              key={name}
              type="button"
              role="tab"
              id={`tab-${name}`}
              aria-selected={tab === name}
              aria-controls="lab-part"
              className={`btn ${tab === name ? "btn-neutral" : ""}`}
              onClick={() => setTab(name)}
            >
              {t(tabWords[name])}
            </button>
          ))}
        </div>
        {tab === "movement" && (
          <div className="max-w-md min-w-0 flex-1">
            <SubjectSelect
              says={t("lab.exercise")}
              items={items}
              library={library}
              value={subject ? subjectKey(subject) : (asked ?? "")}
              onValue={open}
              {...((subject ?? asked) ? {} : { none: t("lab.choose") })}
            />
          </div>
        )}
      </div>
      <p className="text-base-content/75 text-sm" data-testid="lab-body">
        {t("lab.body", { height: body.heightM.toFixed(2), mass: sayWeight(body.massKg) })}
        {!(body.heightMeasured && body.massMeasured) && ` ${t("lab.bodyAssumed")}`}{" "}
        <strong>{t("lab.caution")}</strong>
      </p>
      {signed && (
        <p role="status" className="alert alert-success alert-soft text-base-content py-2">
          {t("lab.used")}
        </p>
      )}
      <div role="tabpanel" id="lab-part" aria-labelledby={`tab-${tab}`}>
        {tab === "movement" &&
          (subject ? (
            <MovementLab
              key={`${subjectKey(subject)} ${stair.version}`}
              stair={stair}
              body={body}
              subject={subject}
              library={library}
              bands={bands}
              onSigned={(next) => {
                setSigned(next.version !== stair.version);
                setStair(next);
              }}
            />
          ) : (
            <>
              <ProblemNote problem={problem} />
              {asked === null && <p>{t("lab.empty")}</p>}
            </>
          ))}
        {tab === "bench" && <SquatBench body={body} left={stair.involvedSide === "left"} />}
        {tab === "split" && <SplitBench body={body} left={stair.involvedSide === "left"} />}
        {tab === "tables" && <LeverTables body={body} />}
        {tab === "budget" && (
          <section className="bg-base-100 border-base-300 rounded-box max-w-3xl border p-3">
            <h2 className="text-lg font-semibold">{t("lab.budget")}</h2>
            <p className="text-sm">{t("lab.budgetHelp")}</p>
            <BudgetList body={body} items={items} onOpen={open} />
          </section>
        )}
      </div>
      <details className="text-base-content/80 text-sm">
        <summary className="min-h-11 cursor-pointer font-semibold">{t("lab.limits")}</summary>
        <p className="max-w-3xl">
          {t("lab.limits.text")} {t("lab.limits.staggered")} {t("lab.limits.extrapolated")}
        </p>
      </details>
    </div>
  );
}

export default island(LabPage);
