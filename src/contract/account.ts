import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { Ways } from "./habits";
import { endpoint, smallLimit } from "./endpoint";
import { closed, instant, orNull, uuid } from "./fields";
import { Role } from "./roles";

const password = Type.String({ minLength: 1, maxLength: 200 });
/** A code of the authenticator app, or a recovery code. */
export const SignInCode = Type.String({ minLength: 6, maxLength: 20 });

/** How somebody likes the product to be. */
export const Preferences = Type.Object(
  {
    theme: oneOf(["device", "light", "dark"]),
    /** Single letters that lead from view to view. */
    letters: Type.Boolean(),
    /** Each as the clinic has it, where it is left out. */
    ...Type.Partial(Ways).properties,
  },
  closed,
);
export type Preferences = Static<typeof Preferences>;
/** What changes of them; the rest stays. Null: as the clinic has it. */
export const PreferencesBody = Type.Object(
  {
    theme: Type.Optional(Preferences.properties.theme),
    letters: Type.Optional(Type.Boolean()),
    weight: Type.Optional(orNull(Ways.properties.weight)),
    length: Type.Optional(orNull(Ways.properties.length)),
    dates: Type.Optional(orNull(Ways.properties.dates)),
  },
  closed,
);
export type PreferencesBody = Static<typeof PreferencesBody>;
export const usualPreferences: Preferences = { theme: "device", letters: true };

/** A signed-in browser; the name of it is a part of what is kept of its token, which leads nowhere. */
export const OpenSession = Type.Object(
  { name: Type.String(), createdAt: instant, lastSeenAt: instant, current: Type.Boolean() },
  closed,
);

export const AccountView = Type.Object(
  {
    id: uuid,
    name: Type.String(),
    email: Type.String(),
    role: Role,
    secondFactor: Type.Boolean(),
    /** Whether the clinic demands one of everybody. */
    factorDemanded: Type.Boolean(),
    recoveryCodesLeft: Type.Integer(),
    sessions: Type.Array(OpenSession),
    preferences: Preferences,
    /** As the clinic has them. */
    clinicWays: Ways,
  },
  closed,
);
export type AccountView = Static<typeof AccountView>;

export const readAccount = endpoint({
  name: "readAccount",
  says: "One's own account: open sessions, second factor, preferences",
  roles: "signed-in",
  beforeFactor: true,
  answer: AccountView,
});

export const changePassword = endpoint({
  name: "changePassword",
  says: "Change one's own password; all other sessions end",
  roles: "signed-in",
  beforeFactor: true,
  body: Type.Object({ current: password, password }, closed),
  limit: smallLimit,
  answer: AccountView,
});

export const endSessions = endpoint({
  name: "endSessions",
  says: "End one of one's own sessions, or all others",
  roles: "signed-in",
  beforeFactor: true,
  body: Type.Object({ session: Type.String({ minLength: 6, maxLength: 40 }) }, closed),
  limit: smallLimit,
  answer: AccountView,
});

/** What an authenticator app is given: as text, and as a picture to be read by a camera. */
export const SecondFactorOffer = Type.Object(
  { secret: Type.String(), address: Type.String(), picture: Type.String() },
  closed,
);
export type SecondFactorOffer = Static<typeof SecondFactorOffer>;

export const offerSecondFactor = endpoint({
  name: "offerSecondFactor",
  says: "A new secret for an authenticator app; it counts once a code of it is entered",
  roles: "signed-in",
  beforeFactor: true,
  body: Type.Object({ password }, closed),
  limit: smallLimit,
  answer: SecondFactorOffer,
  status: 201,
});

export const confirmSecondFactor = endpoint({
  name: "confirmSecondFactor",
  says: "Turn the second factor on by a code of the app; answers with recovery codes, once",
  roles: "signed-in",
  beforeFactor: true,
  body: Type.Object({ code: SignInCode }, closed),
  limit: smallLimit,
  answer: Type.Object({ recoveryCodes: Type.Array(Type.String()), account: AccountView }, closed),
});

export const dropSecondFactor = endpoint({
  name: "dropSecondFactor",
  says: "Turn one's own second factor off",
  roles: "signed-in",
  beforeFactor: true,
  body: Type.Object({ password }, closed),
  limit: smallLimit,
  answer: AccountView,
});

export const setPreferences = endpoint({
  name: "setPreferences",
  says: "Theme, single letters, and how weights, lengths and dates are written",
  roles: "signed-in",
  beforeFactor: true,
  body: PreferencesBody,
  limit: smallLimit,
  answer: AccountView,
});
