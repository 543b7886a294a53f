import { quickProblem, type QuickProblem, type QuickProblemCode, type QuickValues } from "./quick-line";
import { quickUnits } from "./quick-line-grammar";
import type { QuickToken } from "./quick-line-tokens";

/** Walks over the tokens of one line, and collects what is wrong with them. */
export class TokenCursor {
  protected at = 0;
  protected readonly problems: QuickProblem[] = [];

  constructor(
    protected readonly tokens: readonly QuickToken[],
    private readonly end: number,
  ) {}

  /** True when the number ahead begins an amount of its own: `3x12`, `20kg`. */
  protected startsAmount(): boolean {
    const after = this.tokens[this.at + 1];
    return after?.kind === "times" || (after?.kind === "word" && after.text in quickUnits);
  }

  protected peek(): QuickToken | undefined {
    return this.tokens[this.at];
  }

  protected take(kind: QuickToken["kind"]): boolean {
    if (this.peek()?.kind !== kind) return false;
    this.at += 1;
    return true;
  }

  protected takeNumber(after: QuickToken): QuickToken | null {
    const token = this.peek();
    if (token?.kind === "number") {
      this.at += 1;
      return token;
    }
    this.report("number-needed", after, { text: after.text });
    return null;
  }

  protected takeWord<const T extends string>(words: readonly T[]): T | null {
    const token = this.peek();
    const found = token?.kind === "word" ? words.find((word) => word === token.text) : undefined;
    if (found === undefined) return null;
    this.at += 1;
    return found;
  }

  protected refuse<C extends QuickProblemCode>(code: C, token: QuickToken, values: QuickValues<C>): false {
    this.report(code, token, values);
    return false;
  }

  protected report<C extends QuickProblemCode>(
    code: C,
    token: QuickToken | undefined,
    values: QuickValues<C>,
  ): void {
    const place = { at: token?.at ?? this.end, length: token?.text.length ?? 0 };
    this.problems.push(quickProblem(code, place, values));
  }
}
