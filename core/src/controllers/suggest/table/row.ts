/** A row as the booklet prints it, before it is judged. */
export interface PrintedRow {
  readonly line: number;
  readonly code: string;
  readonly description: string;
  readonly unit: string;
  readonly min: string;
  readonly max: string;
  readonly default: string;
  readonly options: string;
  readonly folder: string;
}

/** A line that is no row of its own, and what it was taken for. */
export interface Aside {
  readonly line: number;
  readonly text: string;
  readonly as: 'note' | 'heading' | 'group' | 'joined';
}
