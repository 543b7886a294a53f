import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { endpoint, smallLimit } from "./endpoint";
import { closed, instant, orNull, reason, uuid, written } from "./fields";
import { Role, settingRoles } from "./roles";

const name = Type.String({ minLength: 2, maxLength: 120, pattern: "\\S" });
const email = Type.String({ minLength: 3, maxLength: 190, pattern: "^\\S+@\\S+$" });
const password = Type.String({ minLength: 1, maxLength: 200 });

/** What can be changed about a colleague. */
export const staffChangeKinds = [
  "name",
  "email",
  "role",
  "deactivate",
  "reactivate",
  "second-factor-off",
] as const;

/** A colleague as the lead sees them. */
export const Colleague = Type.Object(
  {
    id: uuid,
    name: Type.String(),
    email: Type.String(),
    role: Role,
    active: Type.Boolean(),
    /** False until a first password was set. */
    hasPassword: Type.Boolean(),
    secondFactor: Type.Boolean(),
    lastSeenAt: orNull(instant),
  },
  closed,
);
export type Colleague = Static<typeof Colleague>;

/** Something that was changed about somebody, newest first. */
export const StaffChange = Type.Object(
  {
    at: instant,
    by: Type.String(),
    who: Type.String(),
    kind: Type.String(),
    before: orNull(Type.String()),
    after: orNull(Type.String()),
    reason: orNull(Type.String()),
  },
  closed,
);

export const StaffView = Type.Object(
  { you: uuid, colleagues: Type.Array(Colleague), changes: Type.Array(StaffChange) },
  closed,
);
export type StaffView = Static<typeof StaffView>;

export const ColleagueBody = Type.Object({ id: uuid, name, email, role: Role }, closed);
export type ColleagueBody = Static<typeof ColleagueBody>;

export const StaffChangeBody = Type.Object(
  {
    id: uuid,
    staffId: uuid,
    kind: oneOf(staffChangeKinds),
    /** The new name, address or role. */
    value: Type.Optional(Type.String({ minLength: 1, maxLength: 190 })),
    reason,
  },
  closed,
);
export type StaffChangeBody = Static<typeof StaffChangeBody>;

export const StaffWritten = Type.Object({ ...written, staff: StaffView }, closed);
export type StaffWritten = Static<typeof StaffWritten>;

/** The token of a link is told once, to the lead who made it. */
export const PasswordLink = Type.Object({ token: Type.String(), expiresAt: instant }, closed);
export type PasswordLink = Static<typeof PasswordLink>;

export const readStaff = endpoint({
  name: "readStaff",
  says: "Colleagues, and what was changed about them",
  roles: settingRoles,
  answer: StaffView,
});

export const addColleague = endpoint({
  name: "addColleague",
  says: "Add a colleague, who sets a password by a one-time link",
  roles: settingRoles,
  body: ColleagueBody,
  limit: smallLimit,
  answer: StaffWritten,
  status: 201,
});

export const changeColleague = endpoint({
  name: "changeColleague",
  says: "Change a colleague's name, address or role, deactivate, reactivate, take the second factor away",
  roles: settingRoles,
  body: StaffChangeBody,
  limit: smallLimit,
  answer: StaffWritten,
  status: 201,
});

export const makePasswordLink = endpoint({
  name: "makePasswordLink",
  says: "Make a one-time link with which a colleague sets a password; earlier ones end",
  roles: settingRoles,
  body: Type.Object({ staffId: uuid }, closed),
  limit: smallLimit,
  answer: PasswordLink,
  status: 201,
});

export const setPassword = endpoint({
  name: "setPassword",
  says: "Set a password by a one-time link",
  roles: "anybody",
  body: Type.Object({ token: Type.String({ minLength: 20, maxLength: 100 }), password }, closed),
  limit: smallLimit,
  answer: Type.Object({ email: Type.String() }, closed),
});
