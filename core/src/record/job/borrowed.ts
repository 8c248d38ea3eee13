import type { SettingValues } from '../../foundation/settings/index.ts';
import { allStanding, type Body, type JobState } from '../fold/index.ts';

/** Something that was borrowed for a proof, out or back. */
export type BorrowedThing = Body<'borrowed'>;

/** Everything that was borrowed in a job and still counts for a test. */
export const borrowedOf = (state: JobState): readonly BorrowedThing[] =>
  allStanding(state, 'borrowed').filter(({ since, tests }) => since !== null || tests.length > 0);

/** What is out now: it must be back, and read back, before anybody signs. */
export const outNow = (state: JobState): readonly BorrowedThing[] =>
  allStanding(state, 'borrowed').filter(({ since }) => since !== null);

/** What the control does while a test runs: the values in force with those that are borrowed for it. */
export function valuesInTest(
  inForce: SettingValues,
  test: string,
  borrowed: readonly BorrowedThing[],
): SettingValues {
  const moved = borrowed.flatMap(({ setting, to, tests }) =>
    setting !== null && to !== null && tests.includes(test) ? [[setting, to] as const] : [],
  );
  return moved.length === 0 ? inForce : { ...inForce, ...Object.fromEntries(moved) };
}
