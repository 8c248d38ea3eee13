import type { Args, Shape } from './args.ts';

/** What a command prints: data as JSON, or text (CSV) as it is. */
export type Output = { readonly json: unknown } | { readonly text: string };

/** One command of `npx brine`: pure but for reading the files it is given. */
export interface Command {
  readonly name: string;
  readonly usage: string;
  readonly summary: string;
  readonly shape: Shape;
  run(args: Args): Output;
}
