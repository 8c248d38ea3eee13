import { isCodeStep, type CodeStep, type EnterStep } from '../definitions/index.ts';
import { deedApplies } from './condition.ts';
import { fit, isPress, type Stroke } from './act.ts';
import type { Follower, Machine, PanelState } from './machine.ts';

/** What a stroke at rest, or on the way into a menu, came to. */
export type Entered =
  | { readonly kind: 'following'; readonly following: readonly Follower[] }
  | { readonly kind: 'menu'; readonly index: number }
  | { readonly kind: 'deed'; readonly index: number }
  | { readonly kind: 'rest' };

/** Follows every menu and deed at once: those the stroke fits move on, the longest gesture first; the others are dropped. */
export function follow(machine: Machine, state: PanelState, stroke: Stroke): Entered {
  const fresh = startOf(machine, state);
  if (state.phase !== 'entering') return moveOn(machine, fresh, stroke);
  const result = moveOn(machine, state.following, stroke);
  // A wrong access code, or another key while one is typed, ends at rest; any other stray act is tried as a first step.
  const typing = state.following.some((f) => f.code !== null);
  return result.kind === 'rest' && !typing ? moveOn(machine, fresh, stroke) : result;
}

/** Drops the ways whose menu would have closed after this long without a key. */
export function stillFollowing(machine: Machine, state: PanelState, idle: number): readonly Follower[] {
  return state.following.filter((follower) => {
    const limit =
      follower.kind === 'menu' ? machine.panel.menus[follower.index]!.timeOut?.seconds : undefined;
    return limit === undefined || idle < limit;
  });
}

function startOf(machine: Machine, state: PanelState): readonly Follower[] {
  const menus = machine.panel.menus.flatMap((menu, index) =>
    !state.condition.locked &&
    Object.entries(menu.needs ?? {}).every(([id, position]) => state.switches.get(id) === position)
      ? [at('menu', index, 0, menu.enter)]
      : [],
  );
  const deeds = (machine.panel.deeds ?? []).flatMap((deed, index) =>
    deedApplies(deed.does, state.condition) ? [at('deed', index, 0, deed.steps)] : [],
  );
  return [...menus, ...deeds];
}

function at(kind: Follower['kind'], index: number, step: number, steps: readonly EnterStep[]): Follower {
  const next = steps[step];
  return { kind, index, step, code: next && isCodeStep(next) ? freshCode(next) : null };
}

function freshCode(step: CodeStep): NonNullable<Follower['code']> {
  return step.by === 'count'
    ? { digits: [step.start ?? 0], cursor: 0 }
    : { digits: [...step.code].map(() => 0), cursor: 0 };
}

function moveOn(machine: Machine, followers: readonly Follower[], stroke: Stroke): Entered {
  const moved = followers.flatMap((follower) => {
    const steps = stepsOf(machine, follower);
    const step = steps[follower.step]!;
    if (isCodeStep(step)) {
      const next = typeCode(step, follower, stroke);
      if (next === null) return [];
      return [
        {
          weight: 0,
          next: next === 'right' ? at(follower.kind, follower.index, follower.step + 1, steps) : next,
        },
      ];
    }
    const weight = fit(step.press, step.seconds, stroke);
    return weight === null
      ? []
      : [{ weight, next: at(follower.kind, follower.index, follower.step + 1, steps) }];
  });
  if (moved.length === 0) return { kind: 'rest' };
  const longest = Math.max(...moved.map((m) => m.weight));
  const following = moved.filter((m) => m.weight === longest).map((m) => m.next);
  const done = following.find((f) => f.step >= stepsOf(machine, f).length);
  return done ? { kind: done.kind, index: done.index } : { kind: 'following', following };
}

function stepsOf(machine: Machine, follower: Follower): readonly EnterStep[] {
  return follower.kind === 'menu'
    ? machine.panel.menus[follower.index]!.enter
    : machine.panel.deeds![follower.index]!.steps;
}

/** One stroke in an access code: the code as it then stands, `right` when it was taken and right, null when it ends here. */
function typeCode(step: CodeStep, follower: Follower, stroke: Stroke): Follower | 'right' | null {
  const { digits, cursor } = follower.code!;
  const standing = (next: Partial<NonNullable<Follower['code']>>): Follower => ({
    ...follower,
    code: { digits, cursor, ...next },
  });
  const by = isPress(stroke, step.more) ? 1 : isPress(stroke, step.less) ? -1 : 0;
  if (step.by === 'count') {
    const size = 10 ** step.code.length;
    if (by !== 0) return standing({ digits: [(digits[0]! + by + size) % size] });
    return isPress(stroke, step.take) && digits[0] === Number(step.code) ? 'right' : null;
  }
  if (by !== 0) return standing({ digits: digits.map((d, i) => (i === cursor ? (d + by + 10) % 10 : d)) });
  const last = cursor === digits.length - 1;
  if (isPress(stroke, step.right) && !(step.right === step.take && last))
    return standing({ cursor: Math.min(cursor + 1, digits.length - 1) });
  return isPress(stroke, step.take) && digits.join('') === step.code ? 'right' : null;
}
