import { isCodeStep, type CodeStep, type Menu } from '../../definitions/index.ts';
import { gestureAct } from './gestureAct.ts';
import type { Walker } from './walker.ts';
import { CannotPlan } from './wishes.ts';

/** From rest into a menu: switches, gestures, access code, and the time it takes to sense its probes. */
export function enterMenu(walker: Walker, menu: Menu): void {
  setSwitches(walker, Object.entries(menu.needs ?? {}));
  for (const step of menu.enter) {
    if (isCodeStep(step)) typeCode(walker, step);
    else walker.do(gestureAct(walker.machine.panel, step));
  }
  if (walker.state.phase === 'busy')
    walker.do({ action: 'wait', seconds: walker.state.busy }, { say: 'It reads its probes.' });
  if (walker.state.phase !== 'list' || walker.state.menu !== menu.id)
    throw new CannotPlan(`the menu ${menu.id} does not open by its own steps`);
}

/** Puts switches back as they are in normal use; only at rest. */
export function normalSwitches(walker: Walker): void {
  setSwitches(
    walker,
    (walker.machine.panel.switches ?? []).map((s) => [s.id, s.normal]),
  );
  if (walker.state.phase === 'off') walker.do({ action: 'power', to: 'on' });
}

function setSwitches(walker: Walker, wanted: readonly (readonly [string, string])[]): void {
  const wrong = wanted.filter(([id, to]) => walker.state.switches.get(id) !== to);
  const powerOff = wrong.some(([id]) => switchOf(walker, id)?.movedWith === 'powerOff');
  if (powerOff && walker.state.phase !== 'off') walker.do({ action: 'power', to: 'off' });
  for (const [id, to] of wrong) {
    const where = switchOf(walker, id)?.hidden;
    walker.do(
      { action: 'switch', keys: [id], to },
      where === undefined ? {} : { say: `The switch is ${where}. Isolate before you open a cover.` },
    );
  }
  if (walker.state.phase === 'off' && wanted.length > 0) walker.do({ action: 'power', to: 'on' });
}

const switchOf = (walker: Walker, id: string) => walker.machine.panel.switches?.find((s) => s.id === id);

function typeCode(walker: Walker, step: CodeStep): void {
  if (step.by === 'count') {
    const size = 10 ** step.code.length;
    const up = (Number(step.code) - (step.start ?? 0) + size) % size;
    turns(walker, step, up, (size - up) % size);
    walker.press(step.take, 1);
    return;
  }
  [...step.code].forEach((digit, i) => {
    turns(walker, step, Number(digit), (10 - Number(digit)) % 10);
    const last = i === step.code.length - 1;
    if (!last && step.right !== undefined) walker.press(step.right, 1);
  });
  walker.press(step.take, 1);
}

function turns(walker: Walker, step: CodeStep, up: number, down: number): void {
  if (step.more !== undefined && (step.less === undefined || up <= down)) walker.press(step.more, up);
  else if (step.less !== undefined) walker.press(step.less, down);
}
