import { useState } from "react";
import { useForm } from "react-hook-form";
import type { Problem } from "~/contract/problem";
import { callApi } from "./call-api";
import ProblemNote from "./ProblemNote";
import ReasonField, { reasonRules } from "./ReasonField";

interface Props<T> {
  /** Endpoint, and what it is sent beside the reason. */
  path: string;
  body: () => object;
  label: string;
  submit: string;
  onDone: (written: T) => void;
  children?: React.ReactNode;
}

/** Something signed with a reason: the reason, what else it needs, and the signature. */
export default function ReasonForm<T>({ path, body, label, submit, onDone, children }: Props<T>) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const { register, handleSubmit, formState } = useForm<{ reason: string }>();
  const send = handleSubmit(async ({ reason }) => {
    const answer = await callApi<T>(path, { ...body(), reason: reason.trim() });
    if (answer.ok) onDone(answer.value);
    else setProblem(answer.problem);
  });
  return (
    <form onSubmit={send} className="bg-base-200 mt-2 flex flex-col gap-2 rounded-md p-2">
      <ProblemNote problem={problem} />
      {children}
      <ReasonField
        label={label}
        field={register("reason", reasonRules)}
        invalid={!!formState.errors.reason}
      />
      <button className="btn btn-primary self-start" disabled={formState.isSubmitting}>
        {submit}
      </button>
    </form>
  );
}
