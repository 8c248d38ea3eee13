/** Names of codes, where the job’s controls are at hand. */
export interface CodeNames {
  readonly old?: (code: string) => string | undefined;
  readonly replacement?: (code: string) => string | undefined;
}

/** What the record does with one kind of entry. */
export interface KindOfEntry<Body> {
  /** The register it writes: two entries of one register replace each other. Null where entries only add up. */
  readonly key: (body: Body) => string | null;
  /** What it is about: “At the cabinet, hY”. */
  readonly about: (body: Body, names?: CodeNames) => string;
  /** What it says: “keyed 6”. */
  readonly says: (body: Body) => string;
}
