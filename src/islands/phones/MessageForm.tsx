import { useState } from "react";
import type { PhonesView } from "~/contract/phones";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { t } from "~/messages/say";

const mostLetters = 400;

interface Props {
  id: string;
  onWritten: (view: PhonesView) => void;
}

/** A few words to the patient's phone. */
export default function MessageForm({ id, onWritten }: Props) {
  const { send, busy, problem } = useWrite("writeMessage", { id });
  const [words, setWords] = useState("");
  const write = async (event: React.FormEvent) => {
    event.preventDefault();
    const answer = await send({ words });
    if (!answer) return;
    setWords("");
    onWritten(answer.phones);
  };
  return (
    <form className="flex flex-col gap-2" noValidate onSubmit={(event) => void write(event)}>
      <ProblemNote problem={problem} />
      <label className="flex flex-col gap-1 font-medium">
        {t("phones.message")}
        <textarea
          className="textarea w-full text-base"
          rows={2}
          maxLength={mostLetters}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      </label>
      <div className="flex flex-wrap items-center gap-3">
        <button className="btn btn-primary" disabled={busy || words.trim().length < 2}>
          {t("phones.send")}
        </button>
        <p className="text-base-content/80 text-sm">{t("phones.messageHint")}</p>
      </div>
    </form>
  );
}
