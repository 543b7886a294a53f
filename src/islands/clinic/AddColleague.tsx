import { useState } from "react";
import type { StaffView } from "~/contract/staff";
import { roles, type Role } from "~/contract/roles";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { t } from "~/messages/say";

/** A new colleague: name, address, role. */
export default function AddColleague({ onAdded }: { onAdded: (staff: StaffView, name: string) => void }) {
  const { send, busy, problem } = useWrite("addColleague", {});
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  const [role, setRole] = useState<Role>("clinician");
  const add = async (event: React.FormEvent) => {
    event.preventDefault();
    const written = await send({ name: name.trim(), email: email.trim(), role }, email);
    if (!written) return;
    onAdded(written.staff, name.trim());
    setName("");
    setEmail("");
  };
  return (
    <form
      className="bg-base-100 border-base-300 rounded-box mt-4 flex flex-col gap-3 border p-3"
      noValidate
      data-testid="add-colleague"
      onSubmit={(event) => void add(event)}
    >
      <h2 className="text-lg font-semibold">{t("staff.add")}</h2>
      <ProblemNote problem={problem} />
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex grow flex-col gap-1 font-medium">
          {t("staff.name")}
          <input
            className="input w-full"
            maxLength={120}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <label className="flex grow flex-col gap-1 font-medium">
          {t("staff.email")}
          <input
            type="email"
            className="input w-full"
            maxLength={190}
            value={email}
            onChange={(e) => setEmail(e.target.value)}
          />
        </label>
        <label className="flex flex-col gap-1 font-medium">
          {t("staff.role")}
          <select className="select w-44" value={role} onChange={(e) => setRole(e.target.value as Role)}>
            {roles.map((one) => (
              <option key={one} value={one}>
                {t(`role.${one}`)}
              </option>
            ))}
          </select>
        </label>
        <button className="btn btn-primary" disabled={busy || name.trim().length < 2 || !email.includes("@")}>
          {t("staff.addSubmit")}
        </button>
      </div>
    </form>
  );
}
