import type { Dose } from "~/core/dose/dose";
import type { Work } from "~/core/dose/dose-style";
import type { InvolvedSide } from "~/core/measure/side-value";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";
import type { ItemRole } from "~/core/exercise/role";

/** A word that a setting of the movement can stand at, and how it is said. */
export interface SettingWord {
  readonly knob: string;
  readonly value: string;
  /** Name of the setting, and of where it stands, as they are read on the screen. */
  readonly label: string;
  readonly said: string;
}

/** What the line is about: numbers without a name go to the setting that has their unit. */
export interface DoseLineContext {
  readonly prescription: Pick<Prescription, "settings"> & {
    readonly dose: Pick<Dose, "style" | "bandN" | Work>;
  };
  readonly words: readonly SettingWord[];
  readonly involvedSide: InvolvedSide;
  /** Whether it may be said what an exercise is in the plan for. */
  readonly takesRole?: boolean;
}

/** What a line says of a prescription; nothing that it does not say. */
export interface DoseLineTurns {
  readonly settings?: Readonly<Record<string, KnobValue>>;
  readonly dose?: Partial<Dose>;
  /** Null: each leg in turn. */
  readonly leg?: NonNullable<Prescription["leg"]> | null;
  readonly role?: ItemRole;
}

/** Where a line could not be read: nothing is known by the name, it can mean several things, or it was said before. */
export interface DoseLineProblem {
  readonly kind: "unknown" | "several" | "twice";
  readonly at: number;
  readonly text: string;
  /** What it could mean. */
  readonly among?: readonly string[];
}

export interface DoseLine {
  readonly turns: DoseLineTurns;
  readonly problems: readonly DoseLineProblem[];
}

/** What a term of the line was read as: turns, or what it could mean; null where it is not that term after all. */
export type TermRead = DoseLineTurns | { readonly among: readonly string[] } | null;

/** One way of saying something: where it matches, what it says of this prescription. */
export interface DoseTerm {
  readonly pattern: RegExp;
  readonly read: (match: RegExpExecArray, context: DoseLineContext) => TermRead;
}
