import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { CaseFile } from "~/core/case/case-file";
import { endpoint, smallLimit } from "./endpoint";
import { closed, instant, ListedPerson, orNull, reason, uuid, written } from "./fields";
import { Habits } from "./habits";
import { Identity, PersonView } from "./people";
import { RecordEntry } from "./record";
import { settingRoles } from "./roles";

/** How what was asked for ended. */
const auditOutcomes = ["done", "refused", "failed"] as const;
export type AuditOutcome = (typeof auditOutcomes)[number];

/** One line of the log: who read or changed what, and of whom. */
export const AuditLine = Type.Object(
  {
    id: uuid,
    at: instant,
    by: Type.String(),
    action: Type.String(),
    kind: Type.String(),
    episodeId: orNull(uuid),
    /** Where it was asked from; null for lines from before that was kept. */
    address: orNull(Type.String()),
    outcome: oneOf(auditOutcomes),
    /** Its place in the chain of the clinic's log; null while it is not in it, which takes a second. */
    link: orNull(Type.Integer()),
    /** Family name first; null where it is about no patient, or about one who was erased. */
    person: orNull(Type.String()),
  },
  closed,
);
export type AuditLine = Static<typeof AuditLine>;

export const AuditView = Type.Object(
  {
    zone: Type.String(),
    lines: Type.Array(AuditLine),
    /** What asks for the lines after these; null at the end of the log. */
    next: orNull(Type.String()),
    colleagues: Type.Array(Type.Object({ id: uuid, name: Type.String() }, closed)),
    /** Whose record the lines are about, where they are about one. */
    person: orNull(Type.String()),
  },
  closed,
);
export type AuditView = Static<typeof AuditView>;

export const readAudit = endpoint({
  name: "readAudit",
  says: "Who read and changed what, newest first",
  roles: settingRoles,
  query: Type.Object(
    {
      who: Type.Optional(uuid),
      episode: Type.Optional(uuid),
      after: Type.Optional(Type.String({ maxLength: 80 })),
    },
    closed,
  ),
  answer: AuditView,
});

/** What holds for the whole clinic. */
export const ClinicView = Type.Object(
  {
    name: Type.String(),
    zone: Type.String(),
    zones: Type.Array(Type.String()),
    habits: Habits,
    /** Whether who looks has a second factor, and so may demand one of everybody. */
    mayDemandFactor: Type.Boolean(),
  },
  closed,
);
export type ClinicView = Static<typeof ClinicView>;

export const ClinicBody = Type.Object(
  {
    id: uuid,
    name: Type.String({ minLength: 2, maxLength: 120, pattern: "\\S" }),
    zone: Type.String({ minLength: 1, maxLength: 60 }),
    /** Left out: they stay as they are. */
    habits: Type.Optional(Habits),
  },
  closed,
);
export type ClinicBody = Static<typeof ClinicBody>;

export const readClinic = endpoint({
  name: "readClinic",
  says: "The clinic's name, zone and habits",
  roles: settingRoles,
  answer: ClinicView,
});

export const setClinic = endpoint({
  name: "setClinic",
  says: "Set the clinic's name, zone and habits",
  roles: settingRoles,
  body: ClinicBody,
  limit: smallLimit,
  answer: Type.Object({ ...written, clinic: ClinicView }, closed),
  status: 201,
});

/** Whose record has been kept for as long as asked about, since their last episode was closed. */
export const KeepingView = Type.Object(
  {
    years: Type.Integer(),
    count: Type.Integer(),
    people: Type.Array(Type.Object({ episodeId: uuid, person: ListedPerson, endedAt: instant }, closed)),
  },
  closed,
);
export type KeepingView = Static<typeof KeepingView>;

export const readKeeping = endpoint({
  name: "readKeeping",
  says: "Whose record is older than so many years since it was closed; nothing is erased",
  roles: settingRoles,
  query: Type.Object({ years: Type.String({ pattern: "^[1-9][0-9]?$" }) }, closed),
  answer: KeepingView,
});

/** Everything that is kept of one person, for that person: each episode as a case file, and as entries in words. */
export const PersonFile = Type.Object(
  {
    format: Type.Literal("patient-stair-person"),
    version: Type.Literal(1),
    at: instant,
    clinic: Type.String(),
    identity: Identity,
    identityChanges: PersonView.properties.changes,
    episodes: Type.Array(
      Type.Object(
        {
          diagnosis: Type.String(),
          /** What was answered at intake, each time it was signed. */
          intakes: Type.Array(Type.Unknown()),
          /** What devices told while results were taken. */
          traces: Type.Array(Type.Unknown()),
          /** Points placed in pictures, and the pictures that were kept. */
          stills: Type.Array(Type.Unknown()),
          /** Phones and calendars that the plan was opened on, codes that were made for them, and what was allowed there. */
          phones: Type.Unknown(),
          week: Type.Unknown(),
          case: CaseFile,
          record: Type.Array(RecordEntry),
        },
        closed,
      ),
    ),
    /** Who looked at it or changed it, and when. */
    log: Type.Array(AuditLine),
  },
  closed,
);
export type PersonFile = Static<typeof PersonFile>;

export const exportPerson = endpoint({
  name: "exportPerson",
  says: "Everything that is kept of a person, in one file",
  roles: settingRoles,
  answer: PersonFile,
  file: "person.stair.json",
});

export const ErasureBody = Type.Object(
  {
    id: uuid,
    /** The family name once more, so that nobody else is meant. */ familyName: Type.String(),
    reason,
  },
  closed,
);
export type ErasureBody = Static<typeof ErasureBody>;

export const askErasure = endpoint({
  name: "askErasure",
  says: "Ask for everything that is kept of a person to be erased",
  roles: settingRoles,
  body: ErasureBody,
  limit: smallLimit,
  answer: Type.Object({ id: uuid, repeated: Type.Boolean(), askedAt: instant }, closed),
  status: 201,
});
