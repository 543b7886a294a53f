import { useState } from "react";
import { Printer } from "lucide-react";
import type { DocumentBody } from "~/contract/record";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayLongDate, t } from "~/messages/say";
import { island } from "~/islands/frame/island";

interface Props {
  episodeId: string;
  kind: DocumentBody["kind"];
  text: string;
  /** Shows, with the text, that it was proposed by the record. */
  mark: string;
  maySign: boolean;
  /** Who signs, and on which day, for the printed line. */
  signer: string;
  today: string;
}

const longest = 20_000;

/** A visit note or a letter, made from the record: edited here, then signed and kept as it stands. */
function DocumentPage({ episodeId, kind, text: proposed, mark, maySign, signer, today }: Props) {
  const [text, setText] = useState(proposed);
  const [signed, setSigned] = useState(false);
  const { send, problem } = useWrite("signDocument", { id: episodeId });
  const sign = async () => {
    const written = await send({ kind, body: text, proposed, mark }, kind);
    setSigned(written !== null);
  };
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-3 px-4 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="text-xl font-bold print:hidden">{t(`document.${kind}`)}</h2>
        <div className="ml-auto flex gap-2 print:hidden">
          <button type="button" className="btn" onClick={() => print()}>
            <Printer className="size-5" aria-hidden />
            {t("record.print")}
          </button>
          <a className="btn" href={`/episodes/${episodeId}/record`}>
            {t("stair.record")}
          </a>
        </div>
      </div>
      <ProblemNote problem={problem} />
      <p className="text-base-content/80 print:hidden">{t("document.help")}</p>
      <textarea
        className="textarea min-h-120 w-full text-base leading-relaxed print:hidden"
        aria-label={t(`document.${kind}`)}
        maxLength={longest}
        value={text}
        readOnly={signed}
        onChange={(event) => setText(event.target.value)}
      />
      <pre className="hidden font-sans whitespace-pre-wrap print:block">{text}</pre>
      {signed && (
        <p className="hidden print:mt-6 print:block">
          {t("document.signedBy", { name: signer, date: sayLongDate(today) })}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        {maySign && !signed && (
          <button
            type="button"
            className="btn btn-primary"
            disabled={text.trim() === ""}
            onClick={() => void sign()}
          >
            {t("document.sign")}
          </button>
        )}
        {!maySign && <p>{t("sign.mayNot")}</p>}
        {!signed && text !== proposed && (
          <button type="button" className="btn" onClick={() => setText(proposed)}>
            {t("document.anew")}
          </button>
        )}
        <p role="status" className="text-success font-medium">
          {signed && t("document.signed")}
        </p>
      </div>
    </div>
  );
}

export default island(DocumentPage);
