import type { CatalogueAnswer, CatalogueHit } from "~/contract/library";
import type { PlanView } from "~/contract/plan";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import HitGroup from "./HitGroup";

interface Props {
  plan: PlanView;
  answer: CatalogueAnswer;
  onChanged: (next: PlanView, said: string) => void;
}

/** What a search found, ready to join the plan. */
export default function HitList({ plan, answer, onChanged }: Props) {
  const { send, busy, problem } = useWrite("addItem", { id: plan.episodeId });
  const inPlan = new Set(plan.items.map((item) => item.exerciseId));
  const { count, hits } = answer;

  const add = async ({ exerciseId, exerciseName, variantId }: CatalogueHit) => {
    const written = await send({ exerciseId, variantId }, variantId);
    if (written) onChanged(written.plan, t("plan.added", { exercise: exerciseName }));
  };

  return (
    <>
      <ProblemNote problem={problem} />
      <p className="text-base-content/80 mt-1 text-sm" role="status" data-testid="hit-count">
        {count > hits.length ? t("plan.hitsShown", { count, shown: hits.length }) : t("plan.hits", { count })}
      </p>
      <ul className="divide-base-300 mt-1 max-h-[36rem] divide-y overflow-y-auto" data-testid="hits">
        {byExercise(hits).map((variants) => (
          <HitGroup
            key={variants[0]?.exerciseId}
            variants={variants}
            heightM={plan.heightM}
            side={plan.involvedSide}
            inPlan={inPlan.has(variants[0]?.exerciseId ?? "")}
            onAdd={plan.maySign && !busy ? add : null}
          />
        ))}
      </ul>
    </>
  );
}

/** Hits of one exercise together, exercises in the order of their first hit. */
function byExercise(hits: readonly CatalogueHit[]): CatalogueHit[][] {
  const groups = new Map<string, CatalogueHit[]>();
  for (const hit of hits) groups.set(hit.exerciseId, [...(groups.get(hit.exerciseId) ?? []), hit]);
  return [...groups.values()];
}
