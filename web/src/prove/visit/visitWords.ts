import type { SiteQuestion, Span, VisitPlan } from '@brine/core/judgement/leaving';
import { quantity, type Quantity } from '@brine/core/foundation/quantities';
import { localTime } from '../../shared/display/localTime.ts';

/** A time of the plan on this device's clock; `at` is the moment from which its seconds count, ms. */
export const clock = (at: number, seconds: number): string =>
  localTime(new Date(at + 1000 * seconds).toISOString());

/** “17:31, between 17:24 and 17:43”; the time alone where that is sure. */
export function spanWords(at: number, { early, likely, late }: Span): string {
  const [a, b, c] = [early, likely, late].map((seconds) => clock(at, seconds));
  return a === c ? b! : `${b}, between ${a} and ${c}`;
}

/** How often a visit like this is over in time, as people say it. */
export function oftenWords(fits: number): string {
  const tenths = Math.floor(10 * fits + 1e-9);
  if (tenths >= 10) return 'It fits into your time.';
  if (tenths <= 0) return 'It does not fit into your time.';
  return `It fits ${tenths} times out of 10.`;
}

/** What is in it and what is not. */
export function countWords({ steps, left }: VisitPlan): string {
  const inIt = steps.reduce((sum, { way }) => sum + way.tests.length, 0);
  const all = inIt + left.length;
  return left.length === 0 ? `All ${all} open tests are in it.` : `${inIt} of ${all} open tests are in it.`;
}

/** What the people on site are asked. */
export const askWords = (
  time: string,
  { least, most }: Pick<SiteQuestion, 'least' | 'most'>,
  show: (q: Quantity) => string,
): string =>
  `At ${time} the display must show between ${show(quantity(least, 'degC'))} and ${show(quantity(most, 'degC'))}.`;
