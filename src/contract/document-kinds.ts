/** What can be written from a record, to be signed. Alone in its file, so that a view which offers them carries no schemas. */
export const documentKinds = ["visit-note", "handover-letter"] as const;
export type DocumentKind = (typeof documentKinds)[number];
