import { AIR_HEAT, JOULES_PER_KWH, SECONDS_PER_DAY, VAPORISATION } from '../../../foundation/limits/index.ts';
import { baseValue, clockWords, isQuantity } from '../../../foundation/quantities/index.ts';
import { boxOf, doorFlow, humidityRatio, templates } from '../../../machines/box/index.ts';
import { doorOf, UnitRun, type Scenario } from '../../../machines/simulation/index.ts';
import { unitScenario } from '../../tuning/index.ts';
import { figure, shownCelsius, shownKelvin, type ToolInput, type ToolWork } from '../report.ts';
import { dewPoint, glassSurface, heaterNeeded, sweatsFrom } from './sweat.ts';

/** A glass-door merchandiser or vending machine: sweat on the glass, what doors bring, the night. */
export const glassReport: ToolWork = (input) => {
  const { unit, values, facts, display } = input;
  const base = unitScenario(unit, values, { hours: 48 });
  if (typeof base === 'string') return base;
  const c = (value: number) => shownCelsius(value, display);
  const template = templates[base.template];
  const room = base.choice.ambient ?? template.ambient;
  const relative = facts.roomHumidity / 100;
  const scenario: Scenario = { ...base, choice: { ...base.choice, humidity: relative } };
  const front = {
    room,
    inside: base.config.setpoint,
    conductance: facts.glassConductance,
    heater: facts.glassHeater,
  };
  const surface = glassSurface(front);
  const dew = dewPoint(room, relative);
  const wet = surface < dew;
  const needed = heaterNeeded(front, relative);

  return {
    answer: wet
      ? `The glass sweats: ${c(surface)} on the outside, dew point of the room ${c(dew)}. ${figure(needed, 'W/m²', 0)} of glass heater would keep it dry, or the room below ${figure(sweatsFrom(front) * 100, '%', 0)}.`
      : `The glass stays dry: ${c(surface)} on the outside, dew point of the room ${c(dew)}; it sweats from ${figure(sweatsFrom(front) * 100, '%', 0)} of humidity.`,
    words: [
      doorWords(input, room, relative),
      'The old cold control is bridged and the new control put into the compressor’s feed: its contact opens what the cold control opened, its supply is tapped before it. Fit and Wire draws it.',
      setbackWords(input, scenario),
    ],
    tables: [],
  };
};

/** Heat and water that the openings of a day bring in. */
function doorWords({ unit }: ToolInput, room: number, relative: number): string {
  const t = templates[unit.application as 'merchandiser'];
  const box = boxOf(unit.application as 'merchandiser');
  const inside: [number, number] = [t.inside, humidityRatio(t.inside, 0.8)];
  const outside: [number, number] = [room, humidityRatio(room, relative)];
  const flow = doorFlow(box.door, inside, outside, true);
  const isOpen = doorOf(unit.application as 'merchandiser', unit.doorUse ?? 'normal');
  let [openings, seconds] = [0, 0];
  for (let second = 1; second < SECONDS_PER_DAY; second += 1) {
    if (!isOpen(second)) continue;
    seconds += 1;
    if (!isOpen(second - 1)) openings += 1;
  }
  const heat =
    flow * seconds * (AIR_HEAT * (room - t.inside) + Math.max(0, outside[1] - inside[1]) * VAPORISATION);
  const water = flow * seconds * Math.max(0, outside[1] - inside[1]);
  return `Doors: about ${figure(openings, 'openings', 0)} a day bring ${figure(heat / JOULES_PER_KWH, 'kWh')} of heat and ${figure(water * 1000, 'g', 0)} of water, which the coil must take and the defrost give back.`;
}

/** What a set-back in the closed hours saves, where the control has one. */
function setbackWords({ definition, facts, values, unit, display }: ToolInput, scenario: Scenario): string {
  const has = definition?.parameters.some((p) => p.setting === 'regulation.setback') ?? false;
  if (definition && !has) return `${definition.family} has no set-back for the night.`;
  const back = values['regulation.setback'];
  const by = isQuantity(back) && baseValue(back) > 0 ? baseValue(back) : 2;
  const [on, off] = [facts.setbackFrom * 3600, facts.setbackTo * 3600];
  const run = (setback: boolean) => {
    const one = new UnitRun({ ...scenario, config: { ...scenario.config, setback: by } }, 1);
    const total = scenario.warmUp + scenario.seconds;
    for (let t = 0; t < total; t += 1) {
      if (t === scenario.warmUp) one.beginCount();
      const clockSecond = (t - scenario.warmUp + SECONDS_PER_DAY * 60) % SECONDS_PER_DAY;
      if (setback && clockSecond === on) one.give([{ does: 'setbackOn' }]);
      if (setback && clockSecond === off) one.give([{ does: 'setbackOff' }]);
      one.second(t - scenario.warmUp);
    }
    one.advance();
    return one.count.figures(one.flows);
  };
  const [plain, night] = [run(false), run(true)];
  return `Night set-back of ${shownKelvin(by, display)} from ${clockWords(facts.setbackFrom * 3600)} to ${clockWords(facts.setbackTo * 3600)}: ${figure(plain.kWhPerDay, '')} becomes ${figure(night.kWhPerDay, 'kWh a day')}, product at most ${shownCelsius(night.product.max, display)} instead of ${shownCelsius(plain.product.max, display)}.${unit.goods === 'drinks' ? '' : ' Only where the product may have it.'}`;
}
