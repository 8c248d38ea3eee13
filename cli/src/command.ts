import type { Args, Shape } from './args.ts';

/** What a command prints: data as JSON, or text (CSV) as it is. */
export type Output = ({ readonly json: unknown } | { readonly text: string }) & {
  /** A sentence for the person at the terminal, on stderr beside a good result. */
  readonly note?: string;
};

/** One command of `npx brine`: pure but for reading the files it is given. */
export interface Command {
  readonly name: string;
  readonly usage: string;
  readonly summary: string;
  readonly shape: Shape;
  run(args: Args): Output;
}
