import { shownUnitOfFact } from '../../../foundation/unit/index.ts';
import { printNumber } from '../../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../../foundation/settings/index.ts';
import {
  figure,
  shownCelsius,
  shownKelvin,
  type ToolReport,
  type ToolRow,
  type ToolWork,
} from '../report.ts';
import { countsTenths, meterHeat, straight, type MeterHeat, type SensorLine } from './heat.ts';

/** A sensor’s correction further than this from none is not plausible, K at its reading (common practice: class B is 0.3 to 0.8 K). */
const PLAUSIBLE_K = 2;

/** The line set for a sensor; straight where nothing is. */
const lineOf = (values: SettingValues | null, which: 'supply' | 'return'): SensorLine => {
  const number = (id: SettingId, usual: number) => {
    const value = values?.[id];
    return typeof value === 'number' ? value : usual;
  };
  return {
    slope: number(`meter.${which}Slope`, straight.slope),
    offset: number(`meter.${which}Offset`, straight.offset),
  };
};

/** Supply and return sensors with their tags: what the correction does to the heat, before and after, and what a slipped point would do. */
export const heatMeterReport: ToolWork = ({ values, found, facts, display }): ToolReport => {
  const reading = {
    flow: facts.meterFlow,
    supply: facts.supplyReads,
    return: facts.returnReads,
    inReturn: facts.meterInReturn >= 0.5,
  };
  const now = { supply: lineOf(values, 'supply'), return: lineOf(values, 'return') };
  const before = { supply: lineOf(found, 'supply'), return: lineOf(found, 'return') };
  const heat = (s: SensorLine, r: SensorLine) => meterHeat(reading, s, r);
  const [was, is] = [heat(before.supply, before.return), heat(now.supply, now.return)];
  const change = was.kilowatts === 0 ? Number.NaN : (is.kilowatts / was.kilowatts - 1) * 100;
  const cases: readonly (readonly [string, string, MeterHeat, boolean])[] = [
    ['before', found ? 'As found' : 'Uncorrected', was, false],
    ['after', 'As planned', is, false],
    ['swapped', 'If the two tags were swapped', heat(now.return, now.supply), true],
    ['slip-supply', 'If the supply offset slipped a place', heat(slipped(now.supply), now.return), true],
    ['slip-return', 'If the return offset slipped a place', heat(now.supply, slipped(now.return)), true],
  ];
  const [kw, m3h] = [shownUnitOfFact('kW', display), shownUnitOfFact('m³/h', display)];
  const power = (kilowatts: number) => figure(kilowatts * kw.each, kw.unit, display === 'degF' ? 1 : 2);
  const row = ([id, name, h, wrong]: (typeof cases)[number]): ToolRow => ({
    id,
    cells: [
      name,
      shownCelsius(h.supply, display),
      shownCelsius(h.return, display),
      shownKelvin(h.difference, display),
      power(h.kilowatts),
    ],
    off: wrong,
  });
  const doubts = (['supply', 'return'] as const).flatMap((which) => {
    const shift = is[which] - reading[which];
    return Math.abs(shift) > PLAUSIBLE_K
      ? [
          `The ${which} sensor is moved by ${shownKelvin(shift, display)}: more than a sensor is wrong. Read the tag again, digit by digit.`,
        ]
      : [];
  });
  return {
    answer:
      reading.supply <= reading.return
        ? 'The supply reads no warmer than the return: the two sensors may be swapped in their pockets.'
        : `${power(was.kilowatts)} before, ${power(is.kilowatts)} after: ${Number.isNaN(change) ? 'no heat before' : `${change >= 0 ? '+' : '−'}${figure(Math.abs(change), '%')}`}. Note the instrument’s own figure at both moments; they must agree with these within a percent.`,
    words: [
      ...doubts,
      ...(countsTenths(now.supply, now.return)
        ? [
            'Slopes near 10: the signal is a tenth of the degrees, and each slope stands before it. Both sensors of a pair have slopes of the same size.',
          ]
        : []),
      `Supply: ${digits(now.supply)}. Return: ${digits(now.return)}. Copy each digit by digit from its own tag, twice, under Prove, Probes; a slipped point is stopped there.`,
      `The two share the error of the difference: a tenth of a degree wrong on one is ${figure((0.1 / Math.max(0.1, Math.abs(is.difference))) * 100, '%')} of the heat here.`,
      'Each sensor belongs in a pocket of its own pipe, down to its bottom, the tip in the middle of the flow: the one of the pair that shares the pipe with the flow meter close behind it, the other in the other pipe, both cables as they came. On the outside of a pipe it reads low.',
      'The tag stays on the sensor. If the meter is sealed for billing, only its keeper may open it.',
    ],
    tables: [
      {
        id: 'heat',
        title: `Heat at ${figure(reading.flow * m3h.each, m3h.unit, display === 'degF' ? 1 : 3)}`,
        heads: ['Correction', 'Supply', 'Return', 'Difference', 'Heat'],
        rows: cases.map(row),
      },
    ],
    caution:
      'Pockets and pipes are hot and may be under pressure: a sensor without a pocket is never drawn from a full pipe.',
  };
};

const digits = ({ slope, offset }: SensorLine) =>
  `slope ${printNumber(slope, 4)}, offset ${printNumber(offset, 4)} K`;

/** The offset with its point one place to the right: the slip that is easily missed. */
const slipped = ({ slope, offset }: SensorLine): SensorLine => ({ slope, offset: offset * 10 });
