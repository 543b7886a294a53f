import { standingEvents } from "~/core/event/standing-events";
import { localDay } from "~/core/schedule/local-day";
import type { CaseFile } from "./case-file";

/**
 * A case whose episode says what its events say by `asOf`: injury, the latest operation with its graft. A planned date is no
 * operation: before its day nothing counts from it. Applied twice it changes nothing more.
 */
export function withEvents(file: CaseFile): CaseFile {
  const today = localDay(file.asOf, file.zone);
  const standing = standingEvents(file.events ?? [], file.asOf).filter(({ on }) => on <= today);
  const injury = standing.filter(({ kind }) => kind === "injury").at(-1);
  const operation = standing.filter(({ kind }) => kind === "operation").at(-1);
  const { surgeryOn, graft, ...rest } = file.episode;
  const said =
    surgeryOn !== undefined && surgeryOn <= today && !isCorrected(file)
      ? { on: surgeryOn, graft }
      : undefined;
  const last = operation ?? said;
  return {
    ...file,
    episode: {
      ...rest,
      onsetOn: injury?.on ?? rest.onsetOn,
      ...(last ? { surgeryOn: last.on } : {}),
      ...(last?.graft === undefined ? {} : { graft: last.graft }),
    },
  };
}

/** Once there are events about operations, they alone say what was done: one that was taken back did not happen. */
const isCorrected = ({ events = [] }: CaseFile) => events.some(({ kind }) => kind === "operation");

/** The latest injury anew of the same site, or undefined. */
export function reinjuredOn(file: CaseFile): string | undefined {
  const today = localDay(file.asOf, file.zone);
  return standingEvents(file.events ?? [], file.asOf)
    .filter(({ kind, on }) => kind === "reinjury" && on <= today)
    .at(-1)?.on;
}
