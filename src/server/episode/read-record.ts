import type { RecordEntry, RecordView } from "~/core/interchange/contract";
import { isLateReport } from "~/core/response/training-day-state";
import { caseDays } from "~/core/interchange/case-days";
import type { StaffContext } from "~/server/auth/staff-context";
import type { LoadedCase } from "./case-loader";
import { loadEpisode, noteRead } from "./read-episode";

/** The record of an episode, newest first: what was done, reported, measured, decided, and by whom. */
export async function readRecord(staff: StaffContext, id: string): Promise<RecordView> {
  const loaded = await loadEpisode(staff, id);
  await noteRead(staff, id, "read-record");
  const { head, file } = loaded;
  const { givenName, familyName, activity } = head.person;
  return {
    episodeId: head.id,
    zone: file.zone,
    person: { givenName, familyName, activity },
    items: file.items.flatMap((item) => {
      const exercise = file.exercises.find((e) => e.id === item.exerciseId);
      return exercise ? [{ itemId: item.id, exercise }] : [];
    }),
    entries: entries(loaded).sort((a, b) => Date.parse(b.at) - Date.parse(a.at)),
  };
}

function entries(loaded: LoadedCase): RecordEntry[] {
  const { file, writers } = loaded;
  const by = new Map(writers.sessions.map((session) => [session.id, session.by]));
  const ends = new Map(caseDays(file).map(({ date, lastSessionAt }) => [date, lastSessionAt]));
  return [
    ...file.sessions.map((s): RecordEntry => ({
      kind: "session",
      at: s.at,
      by: by.get(s.id) ?? "",
      session: s,
    })),
    ...writers.reports.map((r): RecordEntry => ({
      kind: "report",
      at: r.receivedAt,
      by: r.by,
      trainingDate: r.trainingDate,
      pain: r.pain,
      stiffnessMinutes: r.stiffnessMinutes ?? null,
      swelling: r.swelling ?? null,
      late: isLateReport({ lastSessionAt: ends.get(r.trainingDate) ?? r.receivedAt, report: r }),
    })),
    ...file.decisions.map((d): RecordEntry => ({ kind: "decision", at: d.at, by: d.signedBy, decision: d })),
    ...writers.stageMoves.map((m): RecordEntry => ({
      kind: "stage",
      at: m.at,
      by: m.by,
      stageName: file.pathway.stages.find((stage) => stage.code === m.stage)?.name ?? m.stage,
      reason: m.reason,
    })),
    ...writers.schools.map(({ at, by: who, school, reason }): RecordEntry => ({
      kind: "school",
      at,
      by: who,
      school,
      reason,
    })),
    ...writers.clearances.map(({ at, by: who, itemId, reason }): RecordEntry => ({
      kind: "clearance",
      at,
      by: who,
      itemId,
      reason,
    })),
    ...visits(loaded),
  ];
}

/** Results taken on one day by one person, as one entry. */
function visits({ file, writers }: LoadedCase): RecordEntry[] {
  const keys = [...new Set(writers.results.map((r) => `${r.recordedAt}|${r.by}`))];
  return keys.map((key): RecordEntry => {
    const results = writers.results.filter((r) => `${r.recordedAt}|${r.by}` === key);
    return {
      kind: "measures",
      at: results[0]?.recordedAt ?? file.asOf,
      by: results[0]?.by ?? "",
      results: results.map((r) => {
        const measure = file.measures.find((m) => m.code === r.measure);
        return { name: measure?.name ?? r.measure, side: r.side, value: r.value, unit: measure?.unit ?? "1" };
      }),
    };
  });
}
