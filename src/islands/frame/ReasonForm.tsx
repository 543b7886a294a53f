import { useEffect, useRef, useState } from "react";
import type { AnswerTo, ValuesOf } from "./call";
import FormFeet from "./FormFeet";
import ProblemNote from "./ProblemNote";
import ReasonField from "./ReasonField";
import { isReason } from "./reason-rules";
import { useWrite, type Content, type IdentifiedWrite } from "./use-write";

interface Props<N extends IdentifiedWrite> {
  /** Endpoint, and what goes into its address. */
  write: N;
  values: ValuesOf<N>;
  /** What is sent, with the reason. */
  body: (reason: string) => Content<N>;
  /** Tells one thing that may be signed at this endpoint from another. */
  about?: string;
  label: string;
  submit: string;
  onDone: (written: AnswerTo<N>) => void;
  onCancel?: () => void;
  children?: React.ReactNode;
}

/**
 * Something signed with a reason: the reason, what else it needs, and the signature. One that can be cancelled was opened by a
 * button, which is gone by then: its first field takes the focus, or the next letters would be commands of the page.
 */
export default function ReasonForm<N extends IdentifiedWrite>({
  write,
  values,
  body,
  about,
  label,
  submit,
  onDone,
  onCancel,
  children,
}: Props<N>) {
  const { send, busy, problem } = useWrite(write, values);
  const [reason, setReason] = useState("");
  const [tried, setTried] = useState(false);
  const form = useRef<HTMLFormElement>(null);
  const isOpened = onCancel !== undefined;
  useEffect(() => {
    if (isOpened) form.current?.querySelector<HTMLElement>("select, input, textarea")?.focus();
  }, [isOpened]);
  const invalid = tried && !isReason(reason);
  const sign = async (event: React.FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    setTried(true);
    if (!isReason(reason)) return event.currentTarget.querySelector("textarea")?.focus();
    const written = await send(body(reason.trim()), about);
    if (!written) return;
    setReason("");
    setTried(false);
    onDone(written);
  };
  return (
    <form
      ref={form}
      onSubmit={(event) => void sign(event)}
      className="bg-base-200 mt-2 flex flex-col gap-2 rounded-md p-2"
    >
      <ProblemNote problem={problem} />
      {children}
      <ReasonField
        label={label}
        field={{ value: reason, onChange: (event) => setReason(event.target.value) }}
        invalid={invalid}
      />
      <FormFeet submit={submit} disabled={busy} onCancel={onCancel} />
    </form>
  );
}
