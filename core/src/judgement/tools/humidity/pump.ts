import { faultsOf, unitScenario } from '../../tuning/index.ts';
import { simulate } from '../../../machines/simulation/index.ts';
import { figure, type ToolInput, type ToolRow } from '../report.ts';

/** What each answer to a failed drain pump costs: hours until the tray runs over, hours until the goods leave their limit. Infinity: not in three days. */
export interface PumpPrice {
  readonly overflowAfter: number;
  readonly warmAfter: number;
}

/** Price of warning and of stopping, from the water of a day and a room whose machine stands. */
export function pumpPrice(input: ToolInput, litresPerDay: number): PumpPrice | string {
  const scenario = unitScenario(input.unit, input.values, {
    hours: 72,
    faults: faultsOf('deadCompressor', 72),
  });
  if (typeof scenario === 'string') return scenario;
  const stopped = { ...scenario, faults: scenario.faults.map((f) => ({ ...f, from: 0 })) };
  const minutes = simulate(stopped, { stride: 5 })!.figures.minutesUntilOutside;
  return {
    overflowAfter: litresPerDay <= 0 ? Infinity : (input.facts.trayLitres / litresPerDay) * 24,
    warmAfter: minutes === null ? Infinity : minutes / 60,
  };
}

/** Which costs nothing before somebody is there; null where both or neither do: then the owner chooses. */
export function pumpAdvice(price: PumpPrice, hoursToHelp: number): 'warn' | 'stop' | null {
  const [dry, cold] = [price.overflowAfter >= hoursToHelp, price.warmAfter >= hoursToHelp];
  return dry === cold ? null : dry ? 'warn' : 'stop';
}

/** Both answers with what they cost, as lines to choose from. */
export function pumpRows(price: PumpPrice, hoursToHelp: number): readonly ToolRow[] {
  const advice = pumpAdvice(price, hoursToHelp);
  const hours = (n: number) => (Number.isFinite(n) ? `after ${figure(n, 'h')}` : 'not in three days');
  return [
    {
      id: 'warn',
      cells: ['Warn and go on', `the tray runs over ${hours(price.overflowAfter)}`, 'product stays cold'],
      best: advice === 'warn',
      values: { 'alarms.inputAction': 'warn' },
      why: `drain pump failed: the tray runs over ${hours(price.overflowAfter)}, somebody comes within ${figure(hoursToHelp, 'h')}`,
    },
    {
      id: 'stop',
      cells: ['Stop cooling', 'no more water', `product leaves its limit ${hours(price.warmAfter)}`],
      best: advice === 'stop',
      values: { 'alarms.inputAction': 'stop' },
      why: `drain pump failed: product leaves its limit ${hours(price.warmAfter)}, somebody comes within ${figure(hoursToHelp, 'h')}`,
    },
  ];
}
