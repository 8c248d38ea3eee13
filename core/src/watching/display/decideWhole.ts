import { characterOf } from '../characters/index.ts';
import type { Light } from '../light/index.ts';
import { decide, litOf, type Decided } from './decide.ts';
import { levelsAt } from './levels.ts';
import { MAX_DIGITS, widened, type Pose } from './pose.ts';

/** What a display shows, and where it stands once digits that are lit beside it belong to it. */
export type DecidedWhole =
  (Extract<Decided, { ok: true }> & { readonly pose: Pose }) | Extract<Decided, { ok: false }>;

/**
 * Reads a display that stands so, and looks at one digit more on either side: a minus or a digit there, dark before, would else be left out of the
 * number. Where something is lit there that is no character, nothing is sure.
 */
export function decideWhole(light: Light, pose: Pose): DecidedWhole {
  const decided = decide(levelsAt(light, pose));
  if (!decided.ok) return decided;
  const beside = levelsAt(light, widened(pose, 1, 1));
  let [before, after] = [0, 0];
  for (const side of ['before', 'after'] as const) {
    const digit = side === 'before' ? beside[0]! : beside.at(-1)!;
    const { lit, unsure } = litOf(digit, decided.level);
    if (lit === 0) continue;
    if (unsure || characterOf(lit) === null) return { ok: false, why: 'unsure', level: decided.level };
    if (side === 'before') before = 1;
    else after = 1;
  }
  if (before + after === 0) return { ...decided, pose };
  if (pose.digits + before + after > MAX_DIGITS) return { ok: false, why: 'unsure', level: decided.level };
  return decideWhole(light, widened(pose, before, after));
}
