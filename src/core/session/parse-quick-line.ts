import { quickLimits, quickPhases, quickUnits, quickWords, type QuickUnit } from "./quick-line-grammar";
import {
  type QuickFault,
  type QuickLine,
  type QuickPart,
  type QuickPlace,
  type QuickSet,
  type QuickSetPlace,
} from "./quick-line";
import { kgFromPounds } from "~/core/load/pounds";
import { painWords, type PainWord } from "./pain-words";
import { numberOf, quickTokens, type QuickToken } from "./quick-line-tokens";
import { TokenCursor } from "./token-cursor";

const mostSets = 20;
const usualUnit = "reps";
type Amount = (typeof quickUnits)[QuickUnit] | typeof usualUnit;

/** Least, most and step of every number, as the record takes them. */
const ranges: Record<
  Amount | "pain" | "effort" | "confidence" | "pinchGrade" | "faultReps" | "painFromDeg" | "painToDeg",
  [number, number, number]
> = {
  reps: [0, 200, 1],
  holdSeconds: [0, 600, 0],
  contacts: [0, 400, 1],
  minutes: [0, 180, 0],
  loadKg: [0, 500, 0],
  forceN: [0, 4999, 0],
  pain: [0, 10, 1],
  effort: [0, 10, 0.5],
  confidence: [0, 10, 1],
  pinchGrade: [0, 3, 1],
  faultReps: [1, 200, 1],
  painFromDeg: [0, 150, 1],
  painToDeg: [0, 150, 1],
};

type Draft = { -readonly [K in keyof QuickSet]: QuickSet[K] } & { faults: QuickFault[] };

/**
 * Parses a quick line: `[before n] [exercise:] [left|right] sets; …`, sets parted by `/`, several alike as `3x12`. Words may be cut
 * short where the grammar says so; anything not understood becomes a problem that points at its character, and
 * nothing is filled in that was not written.
 *
 * @param text any text; never throws
 * @example parseQuickLine("squat: 3x12 20kg p2 e7 fault knee-in 3").parts[0].sets[0]
 *   // { count: 3, reps: 12, loadKg: 20, pain: 2, effort: 7, faults: [{ fault: "knee-in", severity: "marked", reps: 3 }] }
 */
export function parseQuickLine(text: string): QuickLine {
  const { painBefore, until } = readBefore(text);
  const colon = text.indexOf(":", until);
  const named = colon < 0 ? "" : text.slice(until, colon);
  const item = colon < 0 ? null : { text: named.trim(), at: until + named.length - named.trimStart().length };
  const from = colon < 0 ? until : colon + 1;
  const reader = new LineReader(quickTokens(text.slice(from), from), text.length);
  return { painBefore, item, ...reader.line() };
}

/** The pain before the session, where a line begins with it, and where the rest of the line does; a number it cannot be is left. */
function readBefore(text: string): { painBefore: number | null; until: number } {
  const found = /^\s*(?:before|b)\s*(\d+)\s*(?:;\s*|(?=\s)|$)/i.exec(text);
  const [low, high] = ranges.pain;
  const painBefore = Number(found?.[1]);
  return found && painBefore >= low && painBefore <= high
    ? { painBefore, until: found[0].length }
    : { painBefore: null, until: 0 };
}

/** Walks over the tokens of one line and collects parts and problems. */
class LineReader extends TokenCursor {
  /** Whether the set in hand was told how often it was done. */
  private countSaid = false;
  /** Where the faults of the set in hand are named. */
  private faultsAt: QuickPlace[] = [];

  line(): Pick<QuickLine, "parts" | "places" | "problems"> {
    const parts: QuickPart[] = [];
    const places: QuickSetPlace[][] = [];
    if (this.tokens.length === 0) return { parts, places, problems: this.problems };
    do {
      const before = this.peek();
      const ofPart: QuickSetPlace[] = [];
      const part = this.part(ofPart);
      if (!part) continue;
      const again = parts.some(({ side }) => side === part.side || side === null || part.side === null);
      if (again) this.report("side-twice", before, {});
      else {
        parts.push(part);
        places.push(ofPart);
      }
    } while (this.take("semicolon"));
    return { parts, places, problems: this.problems };
  }

  private part(places: QuickSetPlace[]): QuickPart | null {
    let side: QuickPart["side"] = null;
    const first = this.peek();
    if (first?.kind === "word" && (first.text === "left" || first.text === "right")) {
      side = first.text;
      this.at += 1;
    }
    const sets: QuickSet[] = [];
    do {
      const start = this.peek();
      const set = this.set();
      if (set && start) {
        sets.push(set);
        const last = this.tokens[this.at - 1] ?? start;
        places.push({
          at: start.at,
          length: last.at + last.text.length - start.at,
          faults: this.faultsAt,
        });
      } else this.report("empty-set", start, {});
    } while (this.take("slash"));
    const count = sets.reduce((sum, set) => sum + set.count, 0);
    if (count > mostSets) {
      this.report("too-many-sets", first, { most: mostSets });
      return null;
    }
    return sets.length > 0 ? { side, sets } : null;
  }

  private set(): QuickSet | null {
    const set: Draft = { count: 1, faults: [] };
    let said = false;
    this.countSaid = false;
    this.faultsAt = [];
    for (
      let token = this.peek();
      token && !["slash", "semicolon"].includes(token.kind);
      token = this.peek()
    ) {
      this.at += 1;
      if (token.kind === "number") said = this.amount(token, set) || said;
      else if (token.kind === "word") said = this.word(token, set) || said;
      else this.report("unexpected", token, { text: token.text });
    }
    return said ? set : null;
  }

  /** A number with its unit, or so many times another. */
  private amount(token: QuickToken, set: Draft): boolean {
    let value = token;
    let count = 1;
    if (this.take("times")) {
      count = numberOf(token);
      const next = this.takeNumber(token);
      if (!next) return false;
      if (!Number.isInteger(count) || count < 1 || count > mostSets) {
        this.report("too-many-sets", token, { most: mostSets });
        return false;
      }
      if (this.countSaid) return this.refuse("twice", token, { text: token.text });
      value = next;
    }
    const unit = this.peek();
    const field: Amount =
      unit?.kind === "word" && unit.text in quickUnits ? quickUnits[unit.text as QuickUnit] : usualUnit;
    if (field !== usualUnit) this.at += 1;
    // Pounds are read, kilograms are kept.
    const inPounds = unit?.kind === "word" && unit.text === "lb";
    const kept = inPounds ? { ...value, text: String(kgFromPounds(numberOf(value))) } : value;
    if (!this.put(set, field, kept)) return false;
    if (value !== token) {
      this.countSaid = true;
      set.count = count;
    }
    return true;
  }

  private word(token: QuickToken, set: Draft): boolean {
    const known = quickWords.find(({ word, also }) => word === token.text || also.includes(token.text));
    switch (known?.word) {
      case "pain":
      case "effort":
        return this.number(token, set, known.word);
      case "before":
        return this.refuse("before", token, {});
      case "sure":
        return this.number(token, set, "confidence");
      case "hold":
        return this.number(token, set, "holdSeconds");
      case "muscle":
      case "elsewhere":
        if (set.site !== undefined) return this.refuse("twice", token, { text: token.text });
        set.site = known.word;
        return true;
      case "depth":
        return this.painWith(token, set, "depth") && this.painArc(set);
      case "heavy":
      case "down":
      case "up":
      case "after":
      case "anyhow":
        return this.painWith(token, set, known.word);
      case "fault":
      case "slight":
        return this.fault(token, set, known.word === "fault" ? "marked" : "slight");
      case "limit":
        return this.limit(token, set);
      case "left":
      case "right":
        return this.refuse("unexpected", token, { text: token.text });
      default:
        return this.refuse("unknown-word", token, { text: token.text });
    }
  }

  private painWith(token: QuickToken, set: Draft, word: PainWord): boolean {
    if (set.painWith !== undefined) return this.refuse("twice", token, { text: token.text });
    set.painWith = painWords[word];
    return true;
  }

  /** The angle at which it hurt, and where it ended: `depth 70`, `depth 30 to 50`; or nobody named one. */
  private painArc(set: Draft): boolean {
    const from = this.peek();
    if (from?.kind !== "number" || this.startsAmount()) return true;
    this.at += 1;
    if (!this.fits(from, "painFromDeg")) return false;
    set.painFromDeg = numberOf(from);
    const joint = this.peek();
    if (joint?.text !== "to") return true;
    this.at += 1;
    const to = this.takeNumber(joint);
    if (!to || !this.fits(to, "painToDeg")) return false;
    if (numberOf(to) < set.painFromDeg)
      return this.refuse("arc-backward", to, { from: set.painFromDeg, to: numberOf(to) });
    set.painToDeg = numberOf(to);
    return true;
  }

  private number(
    token: QuickToken,
    set: Draft,
    field: "pain" | "effort" | "confidence" | "holdSeconds",
  ): boolean {
    const value = this.takeNumber(token);
    if (!value) return false;
    if (field === "holdSeconds" && this.peek()?.text === "s") this.at += 1;
    return this.put(set, field, value);
  }

  private fault(token: QuickToken, set: Draft, severity: QuickFault["severity"]): boolean {
    const name = this.peek();
    if (name?.kind !== "word") return this.refuse("fault-needed", token, { text: token.text });
    this.at += 1;
    const phase = this.takeWord(quickPhases);
    const amount = this.takeWord(["some", "most"] as const);
    const count =
      amount === null && this.peek()?.kind === "number" && !this.startsAmount() ? this.peek() : null;
    if (count) this.at += 1;
    if (count && !this.fits(count, "faultReps")) return false;
    const reps = amount ?? (count ? numberOf(count) : null);
    if (reps === null) return this.refuse("fault-count", name, { fault: name.text });
    if (set.faults.some((other) => other.fault === name.text))
      return this.refuse("twice", name, { text: name.text });
    this.faultsAt.push({ at: name.at, length: name.text.length });
    set.faults.push({ fault: name.text, severity, reps, ...(phase === null ? {} : { phase }) });
    return true;
  }

  private limit(token: QuickToken, set: Draft): boolean {
    const name = this.peek();
    const kind = this.takeWord(quickLimits);
    if (kind === null) return this.refuse("limit-unknown", name ?? token, { text: name?.text ?? "" });
    if (set.limit !== undefined) return this.refuse("twice", token, { text: token.text });
    set.limit = kind;
    const grade = this.peek();
    if (kind !== "pinch") return true;
    if (grade?.kind !== "number" || this.startsAmount())
      return this.refuse("pinch-grade", name ?? token, {}) || true;
    this.at += 1;
    if (this.fits(grade, "pinchGrade")) set.pinchGrade = numberOf(grade);
    return true;
  }

  private put(set: Draft, field: Amount | "pain" | "effort" | "confidence", token: QuickToken): boolean {
    if (!this.fits(token, field)) return false;
    if (set[field] !== undefined) return this.refuse("twice", token, { text: token.text });
    set[field] = numberOf(token);
    return true;
  }

  private fits(token: QuickToken, field: keyof typeof ranges): boolean {
    const [low, high, step] = ranges[field];
    const value = numberOf(token);
    const whole = step === 0 || Number.isInteger(value / step);
    if (value >= low && value <= high && whole) return true;
    return this.refuse("out-of-range", token, { field, low, high });
  }
}
