import { Type, type Static } from "@sinclair/typebox";
import { Attention, CaseloadState } from "~/core/caseload/attention";
import { InvolvedSide } from "~/core/measure/side-value";
import { SignInCode } from "./account";
import { endpoint, smallLimit } from "./endpoint";
import { closed, ListedPerson, uuid, written } from "./fields";
import { settingRoles } from "./roles";

export const SignInBody = Type.Object(
  {
    email: Type.String({ minLength: 3, maxLength: 190 }),
    password: Type.String({ minLength: 1, maxLength: 200 }),
    /** Where there is a second factor: a code of the authenticator app, or a recovery code. */
    code: Type.Optional(SignInCode),
  },
  closed,
);

const words = Type.String({ minLength: 1, maxLength: 400, pattern: "\\S" });

/** Whom to call, by urgency, in the clinic's own words and numbers. */
export const Calls = Type.Object({ emergency: words, "same-day": words, soon: words, review: words }, closed);
export type Calls = Static<typeof Calls>;

export const CallsBody = Type.Object({ id: uuid, calls: Calls }, closed);
export type CallsBody = Static<typeof CallsBody>;

export const CallsView = Type.Object({ calls: Calls, maySet: Type.Boolean() }, closed);
export type CallsView = Static<typeof CallsView>;

export const CallsWritten = Type.Object({ ...written, calls: Calls }, closed);
export type CallsWritten = Static<typeof CallsWritten>;

export const CaseloadRow = Type.Object(
  {
    episodeId: uuid,
    person: ListedPerson,
    birthYear: Type.Integer(),
    /** Who looks after it; null where nobody was named. */
    heldBy: Type.Union([Type.Object({ id: uuid, name: Type.String() }, closed), Type.Null()]),
    diagnosis: Type.String(),
    involvedSide: InvolvedSide,
    /** Expected today: at a time, or at some time; null for somebody who is not. */
    expected: Type.Union([
      Type.Object({ time: Type.Union([Type.String(), Type.Null()]) }, closed),
      Type.Null(),
    ]),
    ...CaseloadState.properties,
  },
  closed,
);
export type CaseloadRow = Static<typeof CaseloadRow>;

const SignedIn = Type.Object({ signedIn: Type.Boolean() }, closed);

export const signIn = endpoint({
  name: "signIn",
  says: "Sign in",
  roles: "anybody",
  body: SignInBody,
  limit: smallLimit,
  answer: SignedIn,
});

export const signOut = endpoint({ name: "signOut", says: "Sign out", roles: "anybody", answer: SignedIn });

export const readCalls = endpoint({
  name: "readCalls",
  says: "Whom to call, by urgency",
  roles: "signed-in",
  answer: CallsView,
});

export const setCalls = endpoint({
  name: "setCalls",
  says: "Set whom to call, by urgency",
  roles: settingRoles,
  body: CallsBody,
  limit: smallLimit,
  answer: CallsWritten,
  status: 201,
});

/** What of the caseload is wanted; all of it, a page at a time, where nothing is said. */
export const CaseloadQuery = Type.Object(
  {
    only: Type.Optional(Attention),
    /** Those whom the asker looks after. */
    held: Type.Optional(Type.Literal("mine")),
    /** Those who are expected today. */
    today: Type.Optional(Type.Literal("yes")),
    /** Parts of a name, or a year of birth. */
    name: Type.Optional(Type.String({ maxLength: 100 })),
    /** These, with commas between. */
    ids: Type.Optional(Type.String({ maxLength: 4000 })),
    /** What a page named as its next. */
    after: Type.Optional(Type.String({ maxLength: 80 })),
  },
  closed,
);
export type CaseloadQuery = Static<typeof CaseloadQuery>;

export const CaseloadPage = Type.Object(
  {
    rows: Type.Array(CaseloadRow),
    /** What asks for the rows after these; null at the end. */
    next: Type.Union([Type.String(), Type.Null()]),
    /** How many there are in the whole clinic, of each kind too; a kind is counted as far as `countedTo`, and then there are so many or more. */
    count: Type.Integer(),
    counts: Type.Partial(Type.Record(Attention, Type.Integer())),
    countedTo: Type.Integer(),
    /** How many are expected today. */
    expected: Type.Integer(),
  },
  closed,
);
export type CaseloadPage = Static<typeof CaseloadPage>;

export const listCaseload = endpoint({
  name: "listCaseload",
  says: "Active episodes, worst first, a page at a time",
  roles: "signed-in",
  query: CaseloadQuery,
  answer: CaseloadPage,
});

export const listCalculations = endpoint({
  name: "listCalculations",
  says: "Names of all calculations",
  roles: "anybody",
  answer: Type.Object(
    {
      calculations: Type.Array(
        Type.Object({ name: Type.String(), says: Type.String(), source: Type.String() }, closed),
      ),
    },
    closed,
  ),
});

export const describeInterface = endpoint({
  name: "describeInterface",
  says: "This description",
  roles: "anybody",
  answer: Type.Record(Type.String(), Type.Unknown()),
});
