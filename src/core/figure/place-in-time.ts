import type { Dose } from "~/core/dose/dose";
import type { Timing } from "./figure";

const unsaid = [2, 0, 2, 0] as const;

/** Seconds of one repetition as it is drawn, part by part: there, held, back, and the pause before the next. */
function parts(lowers: "there" | "back", { tempo, hold }: Pick<Dose, "tempo" | "hold">): number[] {
  const [down = 2, below = 0, up = 2, above = 0] = tempo ? tempo.split("-").map(Number) : unsaid;
  const held = hold?.bottom ?? 0;
  return lowers === "there" ? [down, below + held, up, above] : [up, above + held, down, below];
}

/**
 * Where along its keys a figure stands after some seconds, at the tempo and holds of a dose. Movement eases in and out.
 *
 * @param keyCount number of keys
 * @param seconds since the figure began, ≥ 0
 * @returns 0 to keyCount − 1; in a sequence up to keyCount, on the way back to its first key
 */
export function placeInTime(
  timing: Timing,
  keyCount: number,
  dose: Pick<Dose, "tempo" | "hold">,
  seconds: number,
): number {
  if (timing.kind === "hold" || keyCount < 2) return 0;
  const spans = timing.kind === "sequence" ? timing.seconds : parts(timing.lowers, dose);
  const cycle = spans.reduce((sum, span) => sum + span, 0);
  let left = seconds % cycle;
  const at = spans.findIndex((span) => (left < span ? true : ((left -= span), false)));
  const share = eased(left / (spans[at] ?? 1));
  if (timing.kind === "sequence") return at + share;
  const last = keyCount - 1;
  return [share * last, last, (1 - share) * last, 0][at] ?? 0;
}

const eased = (share: number) => share * share * (3 - 2 * share);
