import { act, WrongAct, type Acted } from '../interpreter.ts';
import type { Act } from '../act.ts';
import type { Machine, PanelState } from '../machine.ts';

/** A step of a plan: the act, what the display shows after it, and which code it is for. */
export interface PlanStep extends Act {
  readonly shows: string;
  readonly say?: string;
  /** The code these strokes are about; absent for the way in and out. */
  readonly for?: string;
  /** Either key, as often as it takes until the display shows that; such a step is said, not run. */
  readonly until?: true;
}

/** Walks a panel and writes down the steps. A copy can try a way and be thrown away. */
export class Walker {
  readonly machine: Machine;
  state: PanelState;
  readonly steps: PlanStep[];
  /** Presses, holds and waits so far, in something like seconds: what is compared where there are several ways. */
  cost: number;
  /** The steps that turned a value, from the first to the one after the last; null where none was turned. */
  turns: { readonly from: number; readonly to: number } | null = null;
  private sealed = false;

  constructor(machine: Machine, state: PanelState, steps: readonly PlanStep[] = [], cost = 0) {
    this.machine = machine;
    this.state = state;
    this.steps = [...steps];
    this.cost = cost;
  }

  copy(): Walker {
    return new Walker(this.machine, this.state, this.steps, this.cost);
  }

  become(other: Walker): void {
    this.state = other.state;
    this.steps.splice(0, this.steps.length, ...other.steps);
    this.cost = other.cost;
    this.sealed = other.sealed;
  }

  do(what: Act, about: { readonly for?: string; readonly say?: string } = {}): void {
    let result: Acted;
    try {
      result = act(this.machine, this.state, what);
    } catch (error) {
      if (!(error instanceof WrongAct)) throw error;
      throw new Error(`a plan tried what the panel has not: ${error.message}`);
    }
    this.state = result.state;
    this.cost += costOf(what);
    const step: PlanStep = { ...what, shows: result.shows, ...about };
    const last = this.steps.at(-1);
    if (last && !this.sealed && repeats(last, step))
      this.steps[this.steps.length - 1] = {
        ...last,
        times: (last.times ?? 1) + (step.times ?? 1),
        shows: step.shows,
      };
    else this.steps.push(step);
    this.sealed = false;
  }

  /** A press of its own, whose display is worth a look: not added to the presses before or after it. */
  pressOnce(key: string, about: { readonly for?: string; readonly say?: string } = {}): void {
    this.sealed = true;
    this.press(key, 1, about);
    this.sealed = true;
  }

  /** Keeps the next press a step of its own. */
  apart(): void {
    this.sealed = true;
  }

  /** Adds a sentence to the last step. */
  sayLast(say: string): void {
    const last = this.steps.pop();
    if (last) this.steps.push({ ...last, say });
  }

  press(key: string, times: number, about: { readonly for?: string; readonly say?: string } = {}): void {
    if (times > 0) this.do({ action: 'press', keys: [key], times }, about);
  }
}

function repeats(last: PlanStep, step: PlanStep): boolean {
  return (
    last.action === 'press' &&
    step.action === 'press' &&
    last.holding === undefined &&
    step.holding === undefined &&
    last.for === step.for &&
    last.say === undefined &&
    step.say === undefined &&
    last.keys?.[0] === step.keys?.[0]
  );
}

function costOf(what: Act): number {
  switch (what.action) {
    case 'press':
      return what.times ?? 1;
    case 'hold':
    case 'chord':
      return 1 + (what.seconds ?? 0) / 2;
    case 'wait':
      return 10 + (what.seconds ?? 0);
    default:
      return 20;
  }
}
