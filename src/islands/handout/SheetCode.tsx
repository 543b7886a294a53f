import { createPortal } from "react-dom";
import type { PhoneLink } from "~/contract/phones";
import { codePlace } from "./code-place";

/** What the sheet says beside a code, in its own language: `{address}`, `{code}` and `{until}` are put in here. */
export interface CodeWords {
  readonly heading: string;
  readonly says: string;
  readonly until: string;
}

/** A code for the phone, in its place on the sheet. */
export default function SheetCode({ code, words }: { code: PhoneLink; words: CodeWords }) {
  const place = document.getElementById(codePlace);
  if (!place) return null;
  const told: Record<string, string> = { address: code.address, code: code.code, until: words.until };
  return createPortal(
    <div className="handout-code" data-testid="handout-code">
      <h3>{words.heading}</h3>
      <img src={`data:image/svg+xml,${encodeURIComponent(code.picture)}`} alt="" />
      <p>{words.says.replaceAll(/\{(\w+)\}/g, (_, name: string) => told[name] ?? "")}</p>
    </div>,
    place,
  );
}
