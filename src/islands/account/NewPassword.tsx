import type { Problem } from "~/contract/problem";
import { t } from "~/messages/say";
import PasswordField from "./PasswordField";
import { problemAt } from "./problem-at";

interface Props {
  value: string;
  onChange: (value: string) => void;
  problem: Problem | null;
}

/** A password that is chosen, with what is asked of it and what was wrong with the last one. */
export default function NewPassword({ value, onChange, problem }: Props) {
  return (
    <PasswordField
      label={t("account.new")}
      value={value}
      onChange={onChange}
      kind="new"
      help={t("account.newHelp")}
      wrong={problemAt(problem, "/password")}
    />
  );
}
