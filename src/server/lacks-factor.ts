import type { StaffContext } from "./staff-context";

/** Whether somebody has yet to set up the second factor that their clinic demands: until then their account alone is open to them. */
export const lacksFactor = ({ habits, hasFactor }: Pick<StaffContext, "habits" | "hasFactor">): boolean =>
  habits.demandsFactor && !hasFactor;
