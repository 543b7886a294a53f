import {
  flag,
  listOf,
  number,
  oneOfThese,
  optional,
  orNull,
  parseKept,
  recordOf,
  shape,
  text,
} from "~/islands/frame/kept-shape";
import type { Guard } from "~/islands/frame/kept-shape";
import { sampleUnits } from "~/core/device/device-message";
import type { KeptTrace } from "~/core/device/pack-trace";
import type { RowEntry, SideEntry, VisitDraft } from "./entry-draft";

const trace = shape<KeptTrace>({
  device: text,
  unit: oneOfThese(...sampleUnits),
  sampleHz: number,
  step: number,
  data: text,
});

const side = optional(
  shape<{
    trials: string[];
    limit: string | undefined;
    marks: string[] | undefined;
    traces: (KeptTrace | null)[] | undefined;
  }>({
    trials: listOf(text),
    limit: optional(text),
    marks: optional(listOf(text)),
    traces: optional(listOf(orNull(trace))),
  }),
) as Guard<SideEntry | undefined>;

export const isRow = shape<RowEntry>({
  unit: text,
  way: text,
  meant: flag,
  submaximal: optional(flag) as Guard<boolean>,
  leverCm: optional(text) as Guard<string>,
  sides: shape<Record<"left" | "right" | "none", SideEntry | undefined>>({
    left: side,
    right: side,
    none: side,
  }) as Guard<RowEntry["sides"]>,
});

const isVisitDraft = shape<VisitDraft>({
  id: text,
  takenOn: text,
  codes: listOf(text),
  rows: recordOf(isRow),
});

const keyOf = (episodeId: string) => `visit-${episodeId}`;

/** Keeps what is being typed in this tab, so that leaving the page or a lost connection loses nothing. */
export function keepVisitDraft(episodeId: string, draft: VisitDraft): void {
  sessionStorage.setItem(keyOf(episodeId), JSON.stringify(draft));
}

/** What was being typed, or null; what another version left in another shape is passed over. */
export function keptVisitDraft(episodeId: string): VisitDraft | null {
  return parseKept(sessionStorage.getItem(keyOf(episodeId)), isVisitDraft);
}

export function dropVisitDraft(episodeId: string): void {
  sessionStorage.removeItem(keyOf(episodeId));
}
