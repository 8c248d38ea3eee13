/** What was measured, beside what an issue asks for; at most. */
export interface Bound {
  readonly name: string;
  readonly measured: number;
  readonly bound: number;
  readonly unit: string;
}
