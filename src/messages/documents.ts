import { canAccept } from "~/core/decision/record/can-accept";
import type { StairView } from "~/contract/episode";
import type { Role } from "~/contract/roles";
import type { GateView } from "~/contract/gate";
import type { RecordEntry, RecordView } from "~/contract/record";
import { localDay } from "~/core/schedule/local-day";
import { sayChange } from "./say-change";
import { sayAsked, sayFound } from "./say-criterion";
import { sayDose } from "./say-dose";
import { sayRule } from "./say-evidence";
import { label, sayDate, sayLongDate, sayQuantity, sayTime, t } from "./say";
import { saySets } from "./say-sets";

type Of<K extends RecordEntry["kind"]> = Extract<RecordEntry, { kind: K }>;
const list = (lines: readonly string[]) => lines.map((line) => `- ${line}`).join("\n");

/** A visit note from the record: who, what was done and felt, what was signed, what is proposed, what comes next. */
export function visitNote(stair: StairView, record: RecordView): string {
  const today = record.entries.filter((entry) => localDay(entry.at, stair.zone) === stair.today);
  const sessions = today.filter(
    (entry): entry is Of<"session"> => entry.kind === "session" && !entry.corrected && !entry.voided,
  );
  const decisions = today.filter((entry): entry is Of<"decision"> => entry.kind === "decision");
  const reports = record.entries.filter(
    (entry): entry is Of<"report"> => entry.kind === "report" && !entry.corrected && !entry.voided,
  );
  const open = stair.items.filter(({ proposal }) => canAccept(proposal));
  const report = reports[0];
  return paragraphs([
    t("note.head", { date: sayDate(stair.today) }),
    personLine(stair),
    sessions.length === 0
      ? t("note.noSession")
      : sessions.map((entry) => sessionText(entry, stair, record)).join("\n"),
    stair.reportDay
      ? t("note.noReport", { date: sayDate(stair.reportDay) })
      : report
        ? t("note.report", { date: sayDate(report.trainingDate), pain: report.pain })
        : "",
    section(t("note.measured"), today.flatMap(measuredLines)),
    section(
      t("note.signals"),
      stair.signals.map((signal) => label("signal", signal.code)),
    ),
    decisions.length === 0
      ? t("note.noDecisions")
      : section(
          t("note.decisions"),
          decisions.map(({ decision }) => decisionLine(decision, record)),
        ),
    section(
      t("note.proposals"),
      open.map((item) => proposalLine(item)),
    ),
    section(
      t("note.plan"),
      stair.items.map((item) => `${item.name}, ${item.variantName}: ${dose(item)}`),
    ),
    gateLine(stair),
  ]);
}

/** What a letter says besides the record: who writes it, to whom, where, and when its subject was born. */
export interface LetterFrom {
  /** Who is written to; empty where that is still to be filled in. */
  readonly to: string;
  readonly clinic: string;
  readonly name: string;
  readonly role: Role;
  readonly bornOn: string;
}

/** A handover letter from the record: the course, what was measured, what is missing, what holds now. */
export function handoverLetter(stair: StairView, gate: GateView, from: LetterFrom): string {
  const moves = [...gate.moves].reverse();
  const criteria = gate.gate?.criteria ?? [];
  const missing = criteria.filter((criterion) => criterion.required && !criterion.passes);
  const known = criteria.filter((criterion) => criterion.value !== null);
  const at = stair.stages.findIndex((stage) => stage.code === stair.stage);
  const next = stair.stages[at + 1];
  return paragraphs([
    from.clinic,
    t("letter.to", { name: from.to }),
    t("letter.head", { date: sayLongDate(stair.today) }),
    `${personLine(stair)}\n${t("letter.born", { date: sayLongDate(from.bornOn) })}`,
    section(
      t("letter.course"),
      moves.map((move) =>
        t("letter.stage", {
          date: sayDate(localDay(move.at, stair.zone)),
          stage: move.stageName,
          reason: move.reason,
        }),
      ),
    ),
    section(
      t("letter.measured"),
      known.map((criterion) => {
        const { name, value, takenOn } = criterion;
        const found = sayFound(value ?? 0, criterion);
        return `${name}: ${found} (${sayAsked(criterion)}), ${takenOn ? sayDate(takenOn) : ""}`;
      }),
    ),
    gate.gate
      ? missing.length === 0
        ? t("letter.nothingMissing")
        : section(
            t("letter.missing"),
            missing.map((c) => `${c.name}: ${t(`criterion.${c.verdict}`)}`),
          )
      : "",
    section(
      t("letter.limits"),
      stair.restrictions.map(({ says, until }) =>
        until === null ? says : `${says}, ${t("stair.until", { date: sayDate(until) })}`,
      ),
    ),
    section(
      t("note.plan"),
      stair.items.map((item) => `${item.name}: ${dose(item)}`),
    ),
    next ? t("letter.next", { next: `${next.name}. ${next.aim}` }) : t("letter.lastStage"),
    t("letter.foot"),
    t("letter.signature", { name: from.name, role: t(`role.${from.role}`), clinic: from.clinic }),
  ]);
}

function personLine(stair: StairView): string {
  const { person, age, diagnosis, involvedSide, daysSinceOnset, stages, stage, stageEnteredOn } = stair;
  const words = t("note.person", {
    name: `${person.givenName} ${person.familyName}`,
    age,
    activity: person.activity,
    diagnosis,
    side: t(`side.${involvedSide}`),
    days: daysSinceOnset,
    stage: stages.find(({ code }) => code === stage)?.name ?? stage,
    since: sayDate(stageEnteredOn),
  });
  const { surgery, elsewhere } = stair;
  const done = surgery && [...surgery.procedures, ...(surgery.graft ? [surgery.graft] : [])].join(", ");
  const keep = person.conditions.map(({ short, says }) => `${short} (${says.replace(/\.$/, "")})`);
  return [
    words,
    surgery ? t("note.surgery", { date: sayDate(surgery.on), done: done ? `: ${done}` : "" }) : "",
    keep.length > 0 ? t("note.conditions", { words: keep.join("; ") }) : "",
    elsewhere.length > 0 ? t("note.elsewhere", { problems: elsewhere.join("; ") }) : "",
  ]
    .filter(Boolean)
    .join("\n");
}

function sessionText({ session }: Of<"session">, { zone }: StairView, record: RecordView): string {
  const lines = session.items.map(({ itemId, sets }) => saySets(exerciseOf(record, itemId), sets));
  return `${t("note.session", { time: sayTime(session.at, zone), pain: session.painBefore })}\n${list(lines)}`;
}

/** What was measured at a visit, but for what was corrected or voided since. */
function measuredLines(entry: RecordEntry): string[] {
  if (entry.kind !== "measures") return [];
  return entry.results
    .filter(({ corrected, voided }) => !corrected && !voided)
    .map(({ result, name, unit }) => {
      const side = result.side === "none" ? "" : `, ${label("side", result.side)}`;
      return `${name}${side}: ${sayQuantity(result.value, unit)}`;
    });
}

function decisionLine(decision: Of<"decision">["decision"], record: RecordView): string {
  const { proposal, applied, reason, action, itemId } = decision;
  const change = applied ? ` ${sayChange(applied, null)}.` : "";
  const because = reason ? ` ${t("record.reason", { reason })}.` : "";
  const said = `${t(`outcome.${proposal.outcome}`)}, ${t(`record.action.${action}`)}`;
  return `${nameOf(record, itemId)}: ${said}.${change}${because}`;
}

function proposalLine({ name, proposal, maximumN }: StairView["items"][number]): string {
  const change = proposal.change ? `: ${sayChange(proposal.change, maximumN)}` : "";
  const why = sayRule(proposal.rule, proposal.evidence);
  return `${name}: ${t(`outcome.${proposal.outcome}`)}${change} (${why})`;
}

function gateLine({ gate, stages, stage }: StairView): string {
  const next = stages[stages.findIndex(({ code }) => code === stage) + 1];
  if (!gate || !next) return "";
  const required = gate.criteria.filter((criterion) => criterion.required);
  const met = required.filter((criterion) => criterion.passes).length;
  return t("note.gate", { next: next.name, met, all: required.length });
}

const dose = ({ prescription, maximumN }: StairView["items"][number]) => sayDose(prescription, maximumN);
const exerciseOf = (record: RecordView, itemId: string) =>
  record.items.find((item) => item.itemId === itemId)?.exercise ?? { name: "", faults: [] };
const nameOf = (record: RecordView, itemId: string) => exerciseOf(record, itemId).name;
const section = (title: string, lines: readonly string[]) =>
  lines.length === 0 ? "" : `${title}\n${list(lines)}`;
const paragraphs = (parts: readonly string[]) => parts.filter(Boolean).join("\n\n");
