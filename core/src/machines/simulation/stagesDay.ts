import type { ControlEvent } from '../box/index.ts';
import type { Figures } from './figures.ts';
import type { Scenario } from './scenario.ts';
import { UnitRun } from './unitRun.ts';

/** Warm or cold water poured in at a second of the day: a share of what is there, of so many °C. */
export interface Pour {
  readonly at: number;
  readonly share: number;
  readonly celsius: number;
}

/** What a day of a unit that may cool and heat comes to, besides what any day does. */
export interface StagesDay {
  readonly figures: Figures;
  readonly starts: number;
  readonly coolingHours: number;
  readonly heatingHours: number;
  /** Times heating began within an hour after cooling, or the other way: the two fight. */
  readonly turnovers: number;
  readonly alarms: number;
}

/** A following within this is a turnover, s. */
const SOON = 3600;

/** Runs a day second by second: the same run that the forecast shows, with water poured into a tank where that is asked. */
export function stagesDay(scenario: Scenario, pours: readonly Pour[] = []): StagesDay {
  const run = new UnitRun(scenario);
  const turn = new TurnCount();
  for (let t = -scenario.warmUp; t < scenario.seconds; t += 1) {
    if (t === 0) run.beginCount();
    for (const pour of pours) if (pour.at === t) run.pour(pour.share, pour.celsius);
    run.second(t);
    const { drive } = run.standing;
    if (t >= 0) turn.second(t, drive.compressor, drive.airHeater);
  }
  run.advance();
  const count = (test: (event: ControlEvent) => boolean) => run.events.filter(test).length;
  return {
    figures: run.count.figures(run.flows),
    starts: count((e) => e.kind === 'compressor' && e.value === true),
    coolingHours: turn.chilled / 3600,
    heatingHours: turn.heated / 3600,
    turnovers: turn.turnovers,
    alarms: count((e) => e.kind === 'alarmCause' && e.value === true),
  };
}

/** Counts how long either ran and how often one followed the other soon; told every second. */
export class TurnCount {
  chilled = 0;
  heated = 0;
  turnovers = 0;
  private lastChilled = -Infinity;
  private lastHeated = -Infinity;
  private before = '';

  second(t: number, chills: boolean, heats: boolean): void {
    const now = chills ? 'chills' : heats ? 'heats' : '';
    if (now !== this.before) {
      if (now === 'chills' && t - this.lastHeated < SOON) this.turnovers += 1;
      if (now === 'heats' && t - this.lastChilled < SOON) this.turnovers += 1;
    }
    this.before = now;
    if (chills) {
      this.chilled += 1;
      this.lastChilled = t;
    }
    if (heats) {
      this.heated += 1;
      this.lastHeated = t;
    }
  }
}
