import type { CaseDecision } from "~/core/case/case-file";
import type { RecordView } from "~/contract/record";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import { sayChange } from "~/messages/say-change";
import { sayEvidence, sayRule } from "~/messages/say-evidence";
import { t } from "~/messages/say";

interface Props {
  decision: CaseDecision;
  record: RecordView;
}

/** A signed decision: the proposal as it stood, its evidence, what was done with it, and by which engine. */
export default function DecisionBody({ decision, record }: Props) {
  const { proposal, action, applied, reason, school } = decision;
  const exercise = record.items.find((item) => item.itemId === decision.itemId)?.exercise;
  const variant = (id: string) => exercise?.variants.find((v) => v.id === id)?.name ?? id;
  return (
    <div>
      <p className="flex flex-wrap items-center gap-2 font-semibold">
        <OutcomeMark mark={proposal.outcome} size={22} />
        {t("record.decisionLine", {
          exercise: exercise?.name ?? "",
          outcome: t(`outcome.${proposal.outcome}`),
        })}
        <span className="font-normal">{sayRule(proposal.rule, proposal.evidence)}</span>
        <span className="badge badge-neutral">{t(`record.action.${action}`)}</span>
      </p>
      {applied && <p>{t("record.applied", { change: sayChange(applied, null, variant) })}</p>}
      {reason && <p>{t("record.reason", { reason })}</p>}
      <ul className="text-base-content/85 list-disc pl-5 text-sm">
        {proposal.evidence.map((piece, i) => (
          <li key={i}>{sayEvidence(piece)}</li>
        ))}
      </ul>
      <p className="text-base-content/75 text-sm">
        {t("record.engine", { version: proposal.engineVersion, school: t(`school.${school}`) })}
      </p>
    </div>
  );
}
