import type { Static, TObject, TSchema } from "@sinclair/typebox";
import type { addresses, EndpointName, PathParameter } from "./addresses";
import type { Role } from "./roles";

/** Largest body of an endpoint, and how deep it may be nested. A long session is about 30 kB and nine deep. */
export interface BodyLimit {
  readonly bytes: number;
  readonly depth: number;
}
export const usualLimit: BodyLimit = { bytes: 262_144, depth: 24 };
/** A visit with the traces of its trials: sixty of them and more. */
export const tracesLimit: BodyLimit = { bytes: 3_145_728, depth: 24 };
/** A form of a few fields. */
export const smallLimit: BodyLimit = { bytes: 16_384, depth: 8 };
/** A file of exercises or of a case. */
export const fileLimit: BodyLimit = { bytes: 4_194_304, depth: 32 };

interface Parts<N extends EndpointName, Q, B, A, S> {
  readonly name: N;
  /** What it does, in a line: for the interface description. */
  readonly says: string;
  /** Who may ask: these roles, everybody who is signed in, a patient's own phone and nobody else, or anybody. */
  readonly roles: readonly Role[] | "signed-in" | "phone" | "anybody";
  /** Open also to somebody who has yet to set up the second factor that their clinic demands: what is needed to do so. */
  readonly beforeFactor?: true;
  /** Parameters of the query, all of them text. */
  readonly query?: Q;
  readonly body?: B;
  readonly limit?: BodyLimit;
  readonly answer: A;
  /** What a 409 carries when the record changed since the sender looked. */
  readonly stale?: S;
  /** 201 where something is written. */
  readonly status?: 200 | 201;
  /** The answer is a file of this name, for download. */
  readonly file?: string;
  /** What the answer is where it is not JSON: its text, or its bytes, as they are sent. */
  readonly media?: string;
}

/** One endpoint of the wire: everything that page, view, interface description and tests need to know of it. */
export type Endpoint<
  N extends EndpointName = EndpointName,
  Q extends TObject | undefined = TObject | undefined,
  B extends TSchema | undefined = TSchema | undefined,
  A extends TSchema = TSchema,
  S extends TSchema | undefined = TSchema | undefined,
> = Parts<N, Q, B, A, S>;

type StaticOr<S, Else> = [NonNullable<S>] extends [infer T extends TSchema]
  ? [T] extends [never]
    ? Else
    : Static<T>
  : Else;
/** Body, query, path and answer of an endpoint, as types. */
export type BodyOf<E extends Endpoint> = StaticOr<E["body"], undefined>;
export type QueryOf<E extends Endpoint> = StaticOr<E["query"], Record<never, string>>;
export type PathOf<E extends Endpoint> = Record<PathParameter<(typeof addresses)[E["name"]]>, string>;
export type AnswerOf<E extends Endpoint> = Static<E["answer"]>;
/** What stands now, when the record changed since the sender looked. */
export type StaleOf<E extends Endpoint> = StaticOr<E["stale"], never>;

/** Defines an endpoint; its method and path stand in the list of addresses under its name. */
export function endpoint<
  const N extends EndpointName,
  A extends TSchema,
  Q extends TObject | undefined = undefined,
  B extends TSchema | undefined = undefined,
  S extends TSchema | undefined = undefined,
>(definition: Parts<N, Q, B, A, S>): Parts<N, Q, B, A, S> {
  return definition;
}
