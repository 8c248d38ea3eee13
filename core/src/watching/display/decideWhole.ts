import { characterOf } from '../characters/index.ts';
import type { Light } from '../light/index.ts';
import { clearest, LEFT, RIGHT } from './clearest.ts';
import { decide, litOf, type Decided } from './decide.ts';
import { fitPose } from './fitPose.ts';
import { levelsAt, type DigitLevels } from './levels.ts';
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
  const unsure: DecidedWhole = { ok: false, why: 'unsure', level: decided.level };
  const beside = levelsAt(light, widened(pose, 1, 1));
  const isLit = (digit: DigitLevels): { readonly lit: boolean; readonly sure: boolean } => {
    const { lit, unsure: doubt } = litOf(digit, decided.level);
    return { lit: lit !== 0, sure: !doubt && characterOf(lit) !== null };
  };
  const [before, after] = [isLit(beside[0]!), isLit(beside.at(-1)!)];
  if (!before.lit && !after.lit) return { ...decided, pose };
  const wider = widened(pose, before.lit ? 1 : 0, after.lit ? 1 : 0);
  if (wider.digits > MAX_DIGITS) return unsure;
  const isSure = (!before.lit || before.sure) && (!after.lit || after.sure);
  if (isSure) return decideWhole(light, wider);
  // Few digits hold the pose of their neighbours badly: it is fitted with all of them.
  const ends = before.lit === after.lit ? [...LEFT, ...RIGHT] : before.lit ? LEFT : RIGHT;
  const fitted = fitPose(light, clearest(light, wider, ends));
  const whole = decide(levelsAt(light, fitted));
  const added = whole.ok
    ? [...(before.lit ? [whole.digits[0]!] : []), ...(after.lit ? [whole.digits.at(-1)!] : [])]
    : [];
  return added.length > 0 && added.every(({ pattern }) => pattern !== 0 && characterOf(pattern) !== null)
    ? decideWhole(light, fitted)
    : unsure;
}
