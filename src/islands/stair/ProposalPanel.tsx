import { useState } from "react";
import { later } from "~/islands/frame/later";
import type { Alternative, StairItem, StairView } from "~/contract/episode";
import type { DecisionBody } from "~/contract/daily";
import { canAccept } from "~/core/decision/record/can-accept";
import { mostUrgent, type Urgency } from "~/core/intake/stop-signal";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayChange } from "~/messages/say-change";
import { sayEvidence, sayRule } from "~/messages/say-evidence";
import { sayTime, t } from "~/messages/say";
import ClearForm from "./ClearForm";
import SuspectForm from "./SuspectForm";

const PrescribeForm = later(() => import("~/islands/prescribe/PrescribeForm"));
const AgainstForm = later(() => import("./AgainstForm"));

interface Props {
  stair: StairView;
  item: StairItem;
  signable: boolean;
  onSigned: (next: StairView) => void;
  /** What stands now, and the words that came too late. */
  onStale: (next: StairView, words: string) => void;
}

type Against = "change" | "refuse" | "by-hand";

/** A proposal with its rule, evidence and change; signed, changed or refused here. */
export default function ProposalPanel({ stair, item, signable, onSigned, onStale }: Props) {
  const { send, busy, problem } = useWrite("signDecision", { id: stair.episodeId }, (now, { reason = "" }) =>
    onStale(now.stair, reason),
  );
  const [against, setAgainst] = useState<Against | null>(null);
  const { proposal, exercise, maximumN, lastDecision } = item;
  const variantName = (id: string) => exercise.variants.find((v) => v.id === id)?.name ?? id;
  const flaredOn = proposal.rule === "ease-flare" ? proposal.evidence[0]?.date : undefined;
  const rule = sayRule(proposal.rule, proposal.evidence);
  // Where the rule is one piece of the evidence, it is not said twice.
  const because = proposal.evidence.map(sayEvidence).filter((text) => text !== rule);
  const acceptable = canAccept(proposal);
  // Ended by the limit or by another exercise, not by a clearance.
  const isBeyond = proposal.rule === "beyond-limit";

  const sign = async (action: DecisionBody["action"], reason?: string, alternative?: Alternative) => {
    const signed = await send(
      {
        itemId: item.itemId,
        expectedVersion: stair.version,
        action,
        ...(reason ? { reason } : {}),
        ...(alternative
          ? {
              alternative: {
                direction: alternative.direction,
                kind: alternative.kind,
                knob: alternative.knob,
              },
            }
          : {}),
      },
      `${item.itemId} ${stair.version}`,
    );
    if (signed) onSigned(signed.stair);
  };

  return (
    <div data-testid="proposal" data-outcome={proposal.outcome}>
      <p className="mt-1 font-semibold">
        {t(`outcome.${proposal.outcome}`)}: {rule}
      </p>
      {proposal.change && (
        <p
          className="bg-base-200 mt-1 flow-root rounded-md px-2 py-1 text-lg font-semibold"
          data-testid="change"
        >
          {sayChange(proposal.change, maximumN, variantName)}
        </p>
      )}
      <ul className="mt-1 list-disc pl-5 text-sm" data-testid="evidence">
        {because.map((text) => (
          <li key={text}>{text}</li>
        ))}
        {proposal.review && <li className="font-semibold">{t("sign.review")}</li>}
      </ul>
      {proposal.outcome === "stop" && !isBeyond && (
        <p className="text-error mt-2 text-sm font-medium">{stair.calls[urgencyOf(item)]}</p>
      )}
      {exercise.caution && <p className="text-base-content/80 mt-1 text-sm italic">{exercise.caution}</p>}
      {problem?.type !== "/problems/stale" && <ProblemNote problem={problem} />}
      {signable && !stair.maySign && <p className="text-base-content/75 mt-2 text-sm">{t("sign.mayNot")}</p>}
      {signable && stair.maySign && !against && (
        <div className="mt-2 flex flex-wrap gap-2">
          {acceptable && (
            <button type="button" className="btn btn-primary" disabled={busy} onClick={() => sign("accept")}>
              {proposal.outcome === "stop" ? t("sign.acceptStop") : t("sign.accept")}
            </button>
          )}
          <button type="button" className="btn" disabled={busy} onClick={() => setAgainst("change")}>
            {t("sign.change")}
          </button>
          <button type="button" className="btn" disabled={busy} onClick={() => setAgainst("by-hand")}>
            {t("prescribe.open")}
          </button>
          {acceptable && (
            <button type="button" className="btn" disabled={busy} onClick={() => setAgainst("refuse")}>
              {t("sign.refuse")}
            </button>
          )}
        </div>
      )}
      {!against && item.lane !== "upper-body" && (
        <a
          className="link mt-2 inline-flex min-h-11 items-center text-sm"
          href={`/episodes/${stair.episodeId}/lab?item=${item.itemId}`}
        >
          {t("sign.loads")}
        </a>
      )}
      {against === "by-hand" && (
        <PrescribeForm
          stair={stair}
          item={item}
          onCancel={() => setAgainst(null)}
          onSigned={onSigned}
          onStale={(next) => onStale(next, "")}
        />
      )}
      {against && against !== "by-hand" && (
        <AgainstForm
          kind={against}
          item={item}
          busy={busy}
          onCancel={() => setAgainst(null)}
          onSign={(reason, alternative) => sign(against, reason, alternative)}
        />
      )}
      {signable && stair.maySign && isBeyond && (
        <a className="btn mt-2" href={`/episodes/${stair.episodeId}/plan`}>
          {t("stair.chooseAnother")}
        </a>
      )}
      {signable && stair.maySign && proposal.outcome === "stop" && !isBeyond && (
        <ClearForm episodeId={stair.episodeId} itemId={item.itemId} onCleared={onSigned} />
      )}
      {signable && stair.maySign && flaredOn && (
        <SuspectForm stair={stair} item={item} trainingDate={flaredOn} onSigned={onSigned} />
      )}
      {lastDecision && (
        <p className="text-base-content/75 mt-2 text-sm" data-testid="last-decision">
          {t(acceptable ? "stair.decisionBefore" : "stair.lastDecision", {
            action: lastDecision.action,
            by: lastDecision.signedBy,
            date: sayTime(lastDecision.at, stair.zone),
          })}
        </p>
      )}
    </div>
  );
}

/** How soon somebody has to be called about a stopped item: as its signal says, else for review. */
function urgencyOf({ proposal }: StairItem): Urgency {
  const code = proposal.evidence.find((piece) => piece.code === "stop-signal")?.values["signal"];
  return mostUrgent(code === undefined ? [] : [String(code)]) ?? "review";
}
