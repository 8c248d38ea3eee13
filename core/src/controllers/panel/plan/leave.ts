import type { CodeValues } from '../../definitions/index.ts';
import { sameCodeValue } from '../../definitions/index.ts';
import { entriesOf } from '../entries.ts';
import { menuOf, type PanelState } from '../machine.ts';
import { normalSwitches } from './enter.ts';
import { gestureAct } from './gestureAct.ts';
import type { Walker } from './walker.ts';
import { CannotPlan } from './wishes.ts';

/** Leaves the menu so that exactly these values stay in memory, by the cheapest way that does; never by a time-out that discards. */
export function leaveWith(walker: Walker, wanted: CodeValues): void {
  const menu = menuOf(walker.machine, walker.state);
  const good = waysOut(walker)
    .map((way) => {
      const trial = walker.copy();
      way(trial);
      answerYes(trial);
      return trial;
    })
    .filter((trial) => isOut(trial.state) && sameValues(trial.state.memory, wanted))
    .map((trial) => {
      normalSwitches(trial);
      return trial;
    })
    .sort((a, b) => a.cost - b.cost);
  const best = good[0];
  if (!best) throw new CannotPlan(`no way out of the menu ${menu.id} keeps what was set`);
  if (menu.advise === 'powerCycle')
    best.sayLast('Then switch the supply off and on once, so that it takes what was saved.');
  walker.become(best);
}

export function sameValues(a: CodeValues, b: CodeValues): boolean {
  return a.size === b.size && [...a].every(([code, value]) => sameCodeValue(b.get(code) ?? '', value));
}

const isOut = (state: PanelState) => state.phase === 'rest' || state.phase === 'off';

function answerYes(walker: Walker): void {
  const { ask } = walker.state.phase === 'ask' ? menuOf(walker.machine, walker.state) : {};
  if (ask) walker.press(ask.yes, 1);
}

function waysOut(walker: Walker): readonly ((trial: Walker) => void)[] {
  const menu = menuOf(walker.machine, walker.state);
  const { move = {} } = menu;
  const ways: ((trial: Walker) => void)[] = [];
  for (const rule of menu.leave ?? []) {
    if ('power' in rule) ways.push((trial) => trial.do({ action: 'power', to: 'off' }));
    else
      ways.push(
        (trial) => trial.do(gestureAct(trial.machine.panel, rule)),
        // An edit that a move takes and this gesture would drop.
        (trial) => {
          if (move.next !== undefined) trial.press(move.next, 1);
          if (!isOut(trial.state) && trial.state.phase !== 'ask')
            trial.do(gestureAct(trial.machine.panel, rule));
        },
      );
  }
  if (move.next !== undefined && move.end !== undefined && move.end !== 'wrap' && move.end !== 'stop')
    ways.push((trial) => {
      for (let i = 0; i < 400 && (trial.state.phase === 'list' || trial.state.phase === 'edit'); i += 1)
        trial.press(move.next!, 1);
    });
  if (move.back !== undefined && (move.backAtRoot ?? 'stop') !== 'stop')
    ways.push((trial) => {
      for (let i = 0; i < 40 && (trial.state.phase === 'list' || trial.state.phase === 'edit'); i += 1)
        trial.press(move.back!, 1);
    });
  const { timeOut } = menu;
  if (timeOut && timeOut.keeps !== 'nothing') {
    const wait = (trial: Walker) =>
      trial.do(
        { action: 'wait', seconds: timeOut.seconds },
        { say: 'Touch no key until the menu closes by itself; it keeps what was taken.' },
      );
    ways.push(wait, (trial) => {
      if (move.next !== undefined && entriesOf(trial.machine, trial.state).length > 1)
        trial.press(move.next, 1);
      if (!isOut(trial.state)) wait(trial);
    });
  }
  return ways;
}
