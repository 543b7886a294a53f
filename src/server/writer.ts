/** Whose record is asked for: ids and the clinic's time, whoever asks. */
export interface Reader {
  readonly clinicId: string;
  readonly zone: string;
}

/** Who writes into a record: somebody of the clinic, or the patient's own phone. */
export interface Writer extends Reader {
  readonly staffId: string | null;
  /** What they are called; a phone has no name of its own. */
  readonly name?: string;
  readonly phoneId?: string;
}
