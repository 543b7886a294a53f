import { standingEvents } from "~/core/event/standing-events";
import { stageOf } from "~/core/pathway/pathway";
import { localDay } from "~/core/schedule/local-day";
import type { CaseFile } from "./case-file";
import { moveInForce } from "./stage-in-force";

/**
 * A case whose episode says what its events say by `asOf`: injury, the latest operation with its graft. A planned date is no
 * operation: before its day nothing counts from it. What the intake stated stays beside it, so that applied twice it
 * changes nothing more.
 */
export function withEvents(file: CaseFile): CaseFile {
  const today = localDay(file.asOf, file.zone);
  const standing = standingEvents(file.events ?? [], file.asOf).filter(({ on }) => on <= today);
  const injury = standing.filter(({ kind }) => kind === "injury").at(-1);
  const operation = standing.filter(({ kind }) => kind === "operation").at(-1);
  const { surgeryOn: _then, graft: _its, ...rest } = file.episode;
  const stated = statedOperation(file);
  const done = statedAndDone(file);
  const last = operation ?? (done && { on: done.surgeryOn, graft: done.graft });
  return {
    ...file,
    episode: {
      ...rest,
      ...(stated ? { stated } : {}),
      onsetOn: injury?.on ?? rest.onsetOn,
      ...(last ? { surgeryOn: last.on } : {}),
      ...(last?.graft === undefined ? {} : { graft: last.graft }),
    },
  };
}

type Stated = NonNullable<CaseFile["episode"]["stated"]>;

/** The operation that the intake stated, unless events speak of that day: then they alone say what was done. */
function statedOperation({ episode, events = [] }: CaseFile): Stated | undefined {
  const { surgeryOn, graft, stated } = episode;
  const day = stated?.surgeryOn ?? surgeryOn;
  if (day === undefined || events.some(({ kind, on }) => kind === "operation" && on === day))
    return undefined;
  return stated ?? { surgeryOn: day, ...(graft === undefined ? {} : { graft }) };
}

/**
 * The operation that the intake stated, where it was done and no event speaks of it. A date that lay ahead was planned: its
 * coming makes it no operation as long as the patient stands in a stage before it.
 */
export function statedAndDone(file: CaseFile): Stated | undefined {
  const stated = statedOperation(file);
  if (!stated || stated.surgeryOn > localDay(file.asOf, file.zone)) return undefined;
  const wasPlanned = stated.surgeryOn > localDay(file.episode.startedAt, file.zone);
  const stage = stageOf(file.pathway, moveInForce(file).stage);
  return wasPlanned && stage.beforeSurgery === true ? undefined : stated;
}

/** The latest injury anew of the same site, or undefined. */
export function reinjuredOn(file: CaseFile): string | undefined {
  const today = localDay(file.asOf, file.zone);
  return standingEvents(file.events ?? [], file.asOf)
    .filter(({ kind, on }) => kind === "reinjury" && on <= today)
    .at(-1)?.on;
}
