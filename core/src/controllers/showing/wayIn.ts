import type { EnterStep } from '../definitions/index.ts';
import type { Fault, ShownStep } from './demonstration.ts';
import { gestureOf } from './gestureOf.ts';

/** The way in: gestures, and access codes where some are asked for. `at`: the step that shows the first entry. */
export function enteredBy(
  steps: readonly ShownStep[],
  accessCodes: readonly string[],
): { readonly enter: readonly EnterStep[]; readonly at: number } | Fault {
  const enter: EnterStep[] = [];
  let i = 0;
  const gesture = () => {
    const made = gestureOf(steps[i]!.act);
    if (made) enter.push(made);
  };
  // At the normal display a key may do nothing that can be seen, as the first of two steps in.
  while (i < steps.length - 1 && steps[i]!.shows === null) {
    gesture();
    i += 1;
  }
  gesture();
  for (const code of accessCodes) {
    const asked = codeStep(steps, i, code);
    if ('problem' in asked) return asked;
    enter.push(asked.step);
    i = asked.at;
  }
  return enter.length === 0
    ? { problem: 'The first step must be the key that opens the menu.', step: 0 }
    : { enter, at: i };
}

/** An access code from the step that asks for it on: counted up and down, or digit by digit. */
function codeStep(
  steps: readonly ShownStep[],
  from: number,
  code: string,
): { readonly step: EnterStep; readonly at: number } | Fault {
  const asked = steps[from]!.shows ?? '';
  const missing = {
    problem: `Step ${from + 1}: an access code ${code} is to be asked for, but the display does not count to it.`,
    step: from,
  };
  if (!/^\d+$/.test(asked.trim())) return missing;
  let more: string | undefined;
  let less: string | undefined;
  let right: string | undefined;
  const digits = asked.trim().length > 1;
  for (let i = from + 1; i < steps.length; i += 1) {
    const [before, { act, shows }] = [steps[i - 1]!.shows!.trim(), steps[i]!];
    const key = act.keys?.length === 1 ? act.keys[0]! : null;
    const reached = Number(before) === Number(code);
    const isCount = shows !== null && /^\d+$/.test(shows.trim()) && key !== null && act.action === 'press';
    const change = isCount ? Number(shows) - Number(before) : 0;
    // The same digits again: the cursor went on. Anything else by a key that does not turn them: the code is taken.
    const same = shows !== null && shows.trim() === before;
    if (reached && key !== null && key !== more && key !== less && !same) {
      return {
        step: digits
          ? {
              code,
              by: 'digits',
              ...(more && { more }),
              ...(less && { less }),
              ...((right ?? key) && { right: right ?? key }),
              take: key,
            }
          : {
              code,
              by: 'count',
              start: Number(asked),
              ...(more && { more }),
              ...(less && { less }),
              take: key,
            },
        at: i,
      };
    }
    if (!isCount) return missing;
    const times = act.times ?? 1;
    const way = digits ? digitTurn(before, shows.trim()) : countTurn(change, times, 10 ** code.length);
    if (change === 0) right = key;
    else if (way === 1) more = key;
    else if (way === -1) less = key;
    else return missing;
  }
  return missing;
}

/** Which way the one digit went that differs, round without carry; 0 where it is not one step of one digit. */
function digitTurn(from: string, to: string): number {
  const places = [...from].flatMap((digit, i) => (digit === to[i] ? [] : [i]));
  if (places.length !== 1 || from.length !== to.length) return 0;
  const step = (Number(to[places[0]!]) - Number(from[places[0]!]) + 10) % 10;
  return step === 1 ? 1 : step === 9 ? -1 : 0;
}

/** Which way a count went, once round where it passed its end; 0 where it went otherwise. */
function countTurn(change: number, times: number, round: number): number {
  if (change === times || change === times - round) return 1;
  return change === -times || change === round - times ? -1 : 0;
}
