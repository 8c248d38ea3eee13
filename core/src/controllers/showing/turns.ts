import { resolutionOf, type CodeValue, type EditRules, type Parameter } from '../definitions/index.ts';
import type { Act } from '../panel/index.ts';
import type { Goal, ShownStep } from './demonstration.ts';
import { shownAlike, shownNumber } from './shownText.ts';

/** The acts that change a value: which key raises it, which lowers it, which goes to the next digit. */
export function turnsOf(
  steps: readonly ShownStep[],
  from: number,
  opened: string | null,
  goal: Goal,
  holding: boolean,
): { readonly edit: EditRules; readonly at: number; readonly before: string | null } {
  let edit: EditRules = {};
  let shown = opened;
  let before: string | null = null;
  let i = from;
  for (; i < steps.length; i += 1) {
    const { act, shows } = steps[i]!;
    const key = act.keys?.[0];
    if (key === undefined || act.action !== 'press' || shows === null || Boolean(act.holding) !== holding)
      break;
    // Once the wished value shows, another key no longer turns it.
    const isTurning = key === edit.more || key === edit.less || key === edit.right;
    if (shown !== null && shownAlike(shown, goal.value) && !isTurning) break;
    const changed = turnOf(goal, holding && before === null ? null : shown, shows, act);
    if (changed === null) break;
    if (changed.way === 'none') {
      // The cursor went on, if the value changes again by another key after it.
      const next = steps.findIndex(
        (step, n) => n > i && (step.act.keys?.[0] !== key || !step.shows || !shownAlike(step.shows, shows)),
      );
      const then = next < 0 ? null : turnOf(goal, shows, steps[next]!.shows, steps[next]!.act);
      if (!then || then.way === 'none' || steps[next]!.act.keys?.[0] === key) break;
      edit = { ...edit, by: 'digits', right: key };
    } else {
      if (changed.far) edit = { ...edit, by: 'digits' };
      edit = { ...edit, [changed.way]: key };
      if (before === null) before = changed.from;
    }
    shown = shows;
  }
  return { edit, at: i, before };
}

/** Which way a value went between two displays; null where one of them shows none. */
function turnOf(
  { parameter: { encoding }, display }: Goal,
  from: string | null,
  to: string | null,
  act: Act,
): { readonly way: 'more' | 'less' | 'none'; readonly far: boolean; readonly from: string | null } | null {
  const times = act.times ?? 1;
  if (encoding.type === 'number') {
    const [a, b] = [shownNumber(from), shownNumber(to)];
    if (b === null) return null;
    const step = resolutionOf(encoding, display);
    // While a key is held the first value seen has been turned already; which way is told by its key.
    if (a === null) return { way: 'more', far: false, from: String(Number((b - times * step).toFixed(6))) };
    if (a === b) return { way: 'none', far: false, from };
    const steps = (b - a) / step;
    const far = Math.abs(steps) > times * 1.5;
    // Nine of a place is one step round the other way.
    const round = far && /^-?90*$/.test(String(Math.round(steps)));
    return { way: b > a !== round ? 'more' : 'less', far, from };
  }
  if (encoding.type !== 'choice' || to === null) return null;
  const place = (text: string | null) =>
    text === null ? -1 : encoding.options.findIndex((o) => shownAlike(String(o.value), text));
  const [a, b] = [place(from), place(to)];
  if (b < 0) return null;
  if (a < 0)
    return { way: 'more', far: false, from: String(encoding.options[Math.max(0, b - times)]!.value) };
  return { way: a === b ? 'none' : b > a ? 'more' : 'less', far: false, from };
}

/** Notes what a parameter stood at before. */
export function standing(
  present: Map<string, CodeValue>,
  { code, encoding }: Parameter,
  shows: string | null,
): void {
  if (shows === null || present.has(code)) return;
  const number = shownNumber(shows);
  if (encoding.type === 'number' && number !== null) present.set(code, number);
  if (encoding.type === 'choice') {
    const option = encoding.options.find((o) => shownAlike(String(o.value), shows));
    if (option) present.set(code, option.value);
  }
}
