import { FileDown, Printer, QrCode } from "lucide-react";
import { useState, type ReactNode } from "react";
import type { HandoutView, SheetBody } from "~/contract/handout";
import { languages, type Language } from "~/contract/languages";
import type { PhoneLink } from "~/contract/phones";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import FilterSelect from "~/islands/frame/FilterSelect";
import { island } from "~/islands/frame/island";
import { saveFile } from "~/islands/frame/save-file";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayTimeIn } from "~/messages/time-in";
import { t } from "~/messages/say";
import SheetCode, { type CodeWords } from "./SheetCode";

interface Props {
  handout: Pick<HandoutView, "episodeId" | "zone" | "mayMakeCode">;
  /** What the sheet is written in. */
  language: Language;
  words: Omit<CodeWords, "until">;
  /** The sheet itself, as the server wrote it. */
  children?: ReactNode;
}

/** The sheet that a patient takes home, as it is printed: in usual or large letters, in colour or without. */
function HandoutPage({ handout, language, words, children }: Props) {
  const { episodeId: id, zone } = handout;
  const [large, setLarge] = useState(false);
  const [mono, setMono] = useState(false);
  const [code, setCode] = useState<PhoneLink | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [paper, setPaper] = useState<SheetBody["paper"]>("a4");
  const [busy, setBusy] = useState(false);
  const savePdf = async () => {
    setBusy(true);
    const answer = await call(
      "printHandout",
      { id },
      {
        language,
        paper,
        letters: large ? "large" : "usual",
        ink: mono ? "black" : "colour",
        ...(code ? { phone: { token: code.token, code: code.code } } : {}),
      },
    );
    setBusy(false);
    setProblem(answer.ok ? null : answer.problem);
    if (answer.ok) saveFile(answer.value as Blob, "exercises.pdf");
  };
  const addCode = async () => {
    const answer = await call("makePhoneLink", { id });
    setProblem(answer.ok ? null : answer.problem);
    if (answer.ok) setCode(answer.value);
  };
  return (
    <div className="mx-auto max-w-4xl p-4 print:max-w-none print:p-0">
      <div className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2 print:hidden">
        {(
          [
            ["handout.large", large, setLarge],
            ["handout.mono", mono, setMono],
          ] as const
        ).map(([says, is, set]) => (
          <label key={says} className="flex min-h-11 cursor-pointer items-center gap-2 font-medium">
            <input type="checkbox" className="checkbox" checked={is} onChange={() => set(!is)} />
            {t(says)}
          </label>
        ))}
        {handout.mayMakeCode && (
          <button type="button" className="btn" onClick={() => void addCode()}>
            <QrCode className="size-5" aria-hidden />
            {t("handout.addCode")}
          </button>
        )}
        <button type="button" className="btn" onClick={() => print()}>
          <Printer className="size-5" aria-hidden />
          {t("handout.print")}
        </button>
        <div className="flex flex-wrap items-end gap-2">
          <div className="w-36">
            <FilterSelect
              name={t("handout.language")}
              value={language}
              onValue={(value) => location.assign(`?language=${value}`)}
              options={languages.map((one) => [one, t(`handout.language.${one}`)])}
            />
          </div>
          <div className="w-24">
            <FilterSelect
              name={t("handout.paper")}
              value={paper}
              onValue={(value) => setPaper(value as SheetBody["paper"])}
              options={(["a4", "letter"] as const).map((one) => [one, t(`handout.paper.${one}`)])}
            />
          </div>
          <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void savePdf()}>
            <FileDown className="size-5" aria-hidden />
            {t("handout.pdf")}
          </button>
        </div>
      </div>
      <ProblemNote problem={problem} />
      <article
        className={`handout ${large ? "handout-large" : ""} ${mono ? "handout-mono" : ""}`}
        data-testid="handout"
      >
        {children}
        {code && (
          <SheetCode code={code} words={{ ...words, until: sayTimeIn(language, code.expiresAt, zone) }} />
        )}
      </article>
    </div>
  );
}

export default island(HandoutPage);
