import { useState } from "react";
import ReasonForm from "~/islands/frame/ReasonForm";
import type { CatalogueAnswer, CatalogueHit } from "~/contract/library";
import type { PlanView } from "~/contract/plan";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import HitGroup from "./HitGroup";
import { workingSide } from "~/core/case/working-side";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { call } from "~/islands/frame/call";
import { later } from "~/islands/frame/later";

const AddWithDose = later(() => import("./AddWithDose"));

type Leg = NonNullable<Prescription["leg"]>;

interface Props {
  plan: PlanView;
  answer: CatalogueAnswer;
  onChanged: (next: PlanView, said: string) => void;
}

/** What a search found, ready to join the plan. */
export default function HitList({ plan, answer, onChanged }: Props) {
  const { send, busy, problem, setProblem } = useWrite("addItem", { id: plan.episodeId });
  const { count, hits, outside, nearest } = answer;

  const [tried, setTried] = useState<CatalogueHit | null>(null);

  const [dosed, setDosed] = useState<{ exercise: Exercise; variantId: string } | null>(null);
  const openDose = async ({ exerciseId, variantId }: CatalogueHit) => {
    const answer = await call("readExercise", { code: exerciseId });
    if (answer.ok) setDosed({ exercise: answer.value, variantId });
    else setProblem(answer.problem);
  };

  const add = async (hit: CatalogueHit, more: { meant?: true; leg?: Leg } = {}) => {
    const { exerciseId, exerciseName, variantId } = hit;
    setTried(hit);
    const written = await send({ exerciseId, variantId, ...more }, `${variantId} ${more.leg ?? ""}`);
    if (written) onChanged(written.plan, t("plan.added", { exercise: exerciseName }));
  };
  const group = (variants: CatalogueHit[]) => (
    <HitGroup
      key={variants[0]?.exerciseId}
      variants={variants}
      heightM={plan.heightM}
      side={plan.involvedSide}
      present={plan.items
        .filter(({ exerciseId }) => exerciseId === variants[0]?.exerciseId)
        .map(({ prescription }) => prescription)}
      onAdd={plan.maySign && !busy ? add : null}
      onDose={plan.maySign && !busy ? (hit) => void openDose(hit) : null}
    />
  );
  const { against = [], legs = [] } = (problem?.changed ?? {}) as { against?: string[]; legs?: Leg[] };

  return (
    <>
      <ProblemNote
        problem={problem}
        sayPath={() => (tried ? `${tried.exerciseName}:` : "")}
        onMeant={tried ? () => void add(tried, { meant: true }) : undefined}
      />
      {tried &&
        legs.map((leg) => (
          <button key={leg} type="button" className="btn mt-2" onClick={() => void add(tried, { leg })}>
            {t("plan.addLeg", { side: t(`side.${workingSide({ leg }, plan.involvedSide)}`) })}
          </button>
        ))}
      {tried && against.length > 0 && (
        <div className="border-warning rounded-box mt-2 border-2 p-3" data-testid="against">
          <p className="font-semibold">
            {t("plan.against", { exercise: `${tried.exerciseName}, ${tried.variantName}` })}
          </p>
          <ul className="list-disc pl-5 text-sm">
            {against.map((says) => (
              <li key={says}>{says}</li>
            ))}
          </ul>
          <ReasonForm
            write="addItem"
            values={{ id: plan.episodeId }}
            body={(reason) => ({ exerciseId: tried.exerciseId, variantId: tried.variantId, against: reason })}
            about={`against ${tried.variantId}`}
            label={t("plan.againstReason")}
            submit={t("plan.againstSign")}
            onDone={({ plan: next }) => {
              setProblem(null);
              onChanged(next, t("plan.added", { exercise: tried.exerciseName }));
            }}
            onCancel={() => setProblem(null)}
          />
        </div>
      )}
      {dosed && (
        <AddWithDose
          key={dosed.variantId}
          plan={plan}
          exercise={dosed.exercise}
          variantId={dosed.variantId}
          onCancel={() => setDosed(null)}
          onAdded={(next) => {
            setDosed(null);
            onChanged(next, t("plan.added", { exercise: dosed.exercise.name }));
          }}
        />
      )}
      <p className="text-base-content/80 mt-1 text-sm" role="status" data-testid="hit-count">
        {count > hits.length ? t("plan.hitsShown", { count, shown: hits.length }) : t("plan.hits", { count })}
      </p>
      <div className="mt-1 max-h-[36rem] overflow-y-auto" data-testid="hits">
        <ul className="divide-base-300 divide-y">{byExercise(hits).map(group)}</ul>
        {outside.length > 0 && <p className="mt-2 font-semibold">{t("plan.outside")}</p>}
        <ul className="divide-base-300 divide-y">{byExercise(outside).map(group)}</ul>
        {nearest.length > 0 && <p className="mt-2 font-semibold">{t("plan.nearest")}</p>}
        <ul className="divide-base-300 divide-y">{byExercise(nearest).map(group)}</ul>
      </div>
    </>
  );
}

/** Hits of one exercise together, exercises in the order of their first hit. */
function byExercise(hits: readonly CatalogueHit[]): CatalogueHit[][] {
  const groups = new Map<string, CatalogueHit[]>();
  for (const hit of hits) groups.set(hit.exerciseId, [...(groups.get(hit.exerciseId) ?? []), hit]);
  return [...groups.values()];
}
