import { parameters, type Parameter, type ParameterId } from './parameters.ts';

/** What is thought of one parameter before a log is seen, in what is fitted (logarithms of factors): its middle and one standard deviation. */
export interface Prior {
  readonly usual: number;
  readonly spread: number;
}

/** Where more is known of a kind's boxes than what is usual everywhere: what a company learned of its own. */
export type Priors = Readonly<Partial<Record<ParameterId, Prior>>>;

/** The parameters with these priors; bounds stay, since they are what a box can be at all. */
export const parametersWith = (priors: Priors = {}): readonly Parameter[] =>
  parameters.map((p) => ({ ...p, ...priors[p.id] }));

/** What the log alone says of a parameter: mean and variance, in what is fitted. */
export interface SaidByLog {
  readonly value: number;
  readonly variance: number;
}

/** A log says something of a parameter where it adds this share of the prior's precision. */
const LEAST_ADDED = 0.05;

/** A posterior without its prior, both normal. Null where the log says next to nothing. */
export function saidByLog(at: number, error: number, { usual, spread }: Prior): SaidByLog | null {
  const precision = 1 / error ** 2 - 1 / spread ** 2;
  if (precision <= LEAST_ADDED / spread ** 2) return null;
  return { value: (at / error ** 2 - usual / spread ** 2) / precision, variance: 1 / precision };
}
