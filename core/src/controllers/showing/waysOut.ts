import type { LeaveRule, Menu, MoveRules, PanelKey } from '../definitions/index.ts';
import type { MenuAnswers } from './demonstration.ts';
import { gestureOf } from './gestureOf.ts';
import type { Parts } from './parts.ts';

/** One way in which the last act may have led back to the normal display. */
export interface WayOut {
  readonly menu: Pick<Menu, 'leave' | 'timeOut' | 'ask'>;
  readonly move: MoveRules;
}

/** All ways in which the last act may have led back to the normal display, simplest first. */
export function waysOut(
  { leaving: [before, { act }], asked }: Parts,
  keys: readonly PanelKey[],
  answers: MenuAnswers,
): readonly WayOut[] {
  if (act.action === 'wait')
    return [
      {
        menu: { timeOut: { seconds: act.seconds ?? answers.timeOutSeconds, keeps: answers.keeps } },
        move: {},
      },
    ];
  if (act.action === 'power') return [{ menu: { leave: [{ power: 'off', then: 'save' }] }, move: {} }];
  const gesture = gestureOf(act);
  if (!gesture) return [];
  const key = act.keys?.length === 1 && gesture.seconds === undefined ? act.keys[0]! : null;
  const ways: WayOut[] = [];
  const first = gestureOf(before.act);
  if (asked && key !== null && first) {
    const no = keys.find(({ id }) => id !== key)?.id ?? key;
    const walk = before.act.keys?.length === 1 && first.seconds === undefined ? before.act.keys[0]! : null;
    if (walk) ways.push({ menu: { ask: { yes: key, no } }, move: { next: walk, end: 'ask' } });
    if (walk) ways.push({ menu: { ask: { yes: key, no } }, move: { back: walk, backAtRoot: 'ask' } });
    ways.push({ menu: { ask: { yes: key, no }, leave: [{ ...first, then: 'ask' }] }, move: {} });
  }
  // A short press of the key that walks on, at the last entry: the end of the list.
  if (key !== null) ways.push({ menu: {}, move: { next: key, end: 'save' } });
  if (key !== null) ways.push({ menu: {}, move: { back: key, backAtRoot: 'save' } });
  const leave: readonly LeaveRule[] = [{ ...gesture, then: 'save' }];
  return [...ways, { menu: { leave }, move: {} }];
}
