/** Why nothing, or not everything, can be learned from a log. */
export interface CourseProblem {
  readonly code:
    | 'noAir'
    | 'tooShort'
    | 'tooCoarse'
    | 'nothingSwitches'
    | 'gap'
    | 'changed'
    | 'otherSettings'
    | 'fewCycles';
  /** True where no model comes of it. */
  readonly fatal: boolean;
  readonly numbers: Readonly<Record<string, number>>;
}
