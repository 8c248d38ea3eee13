import { bandOf, controlConfig } from '../../../machines/box/index.ts';
import { stagesDay } from '../../../machines/simulation/index.ts';
import type { SettingId, SettingValues } from '../../../foundation/settings/index.ts';
import { unitScenario } from '../../tuning/index.ts';
import {
  figure,
  shownCelsius,
  shownKelvin,
  tryAll,
  typedCelsius,
  typedKelvin,
  type ToolInput,
  type ToolRow,
  type ToolWork,
} from '../report.ts';
import { twoBands, type TwoBands } from './bands.ts';

/** Overshoot that has to find room after a stop, K (common practice: a probe and a coil run on). */
const LEAST_MARGIN = 1;
/** Dead bands tried, K. */
const tried = [1, 2, 3, 4, 6];

interface Trial {
  readonly deadBand: number;
  readonly set: SettingValues;
  readonly bands: TwoBands;
  /** Times a day one follows the other within an hour. */
  readonly turnovers: number;
  readonly least: number;
  readonly most: number;
  readonly kWh: number;
}

/** Two stages that heat and cool: both bands, whether they fight, and a dead band that lets them not. */
export const stagesReport: ToolWork = (input, progress) => {
  const { values, display } = input;
  const config = controlConfig(values);
  if (typeof config === 'string') return config;
  const bands = twoBands(config);
  if (!bands) return 'The second stage is not a thermostat here.';
  const c = (value: number) => shownCelsius(value, display);
  const k = (value: number) => shownKelvin(value, display);
  const { apart } = bands;
  const rows = (['first', 'second'] as const).map((id): ToolRow => ({
    id,
    cells: [
      id === 'first' ? 'First stage' : 'Second stage',
      bands[id].heat ? 'heats' : 'cools',
      c(bands[id].on),
      c(bands[id].off),
    ],
  }));
  const both = {
    id: 'bands',
    title: 'Both bands',
    heads: ['Stage', 'Does', 'Starts at', 'Stops at'],
    rows,
  };
  if (!apart)
    return {
      answer: config.stage2.bySecond
        ? 'The stages go by two probes: each regulates its own place.'
        : `Both stages ${bands.first.heat ? 'heat' : 'cool'}: the second ${Math.abs(bands.second.on - bands.first.on) < 0.05 ? 'comes with' : 'follows'} the first.`,
      words: [],
      tables: [both],
    };

  const trials = tryAll(tried, (deadBand) => tryDeadBand(input, deadBand), progress);
  if (trials === null || typeof trials === 'string') return trials;
  const best =
    trials.find((t) => (t.bands.apart?.margin ?? 0) >= LEAST_MARGIN && t.turnovers === 0) ??
    trials.toSorted((a, b) => a.turnovers - b.turnovers)[0];
  const reference = values['stage2.reference'] === 'relative' ? 'relative' : 'absolute';
  return {
    answer:
      apart.margin <= 0
        ? `They fight: one is still running where the other begins (${k(-apart.margin)} too far).`
        : apart.margin < LEAST_MARGIN
          ? `Close: only ${k(apart.margin)} for overshoot after a stop; ${k(LEAST_MARGIN)} and more is usual.`
          : `They stand apart: heating begins ${k(apart.deadBand)} below where cooling begins, ${k(apart.margin)} are left for overshoot.`,
    words: [
      reference === 'relative'
        ? 'The second stage is relative: move the first set point and both move; their distance stays.'
        : 'The second stage is absolute: move one set point and the other stays; look at the distance each time.',
      'Each of the two acts the other way. With the same action on both the second only repeats the first; with the wrong one on either they fight from the first minute.',
    ],
    tables: [
      both,
      {
        id: 'dead-bands',
        title: 'Dead bands, a day each',
        heads: ['Dead band', 'Second stage', 'One after the other', 'Temperature', 'Energy'],
        rows: trials.map((t): ToolRow => ({
          id: String(t.deadBand),
          cells: [
            k(t.deadBand),
            `${c(t.bands.second.on)} to ${c(t.bands.second.off)}`,
            t.turnovers === 0 ? 'never' : `${figure(t.turnovers, 'times', 0)}`,
            `${c(t.least)} to ${c(t.most)}`,
            figure(t.kWh, 'kWh'),
          ],
          best: t === best,
          off: (t.bands.apart?.margin ?? 0) <= 0,
          values: t.set,
          why: `dead band of ${k(t.deadBand)}: ${t.turnovers === 0 ? 'the stages never follow each other within an hour' : `${t.turnovers} times a day one follows the other`}`,
        })),
      },
    ],
  };
};

/** The second stage moved so that it begins so many kelvin from the first, and a day with it; a sentence where it cannot be run. */
function tryDeadBand(input: ToolInput, deadBand: number): Trial | string {
  const { values, display } = input;
  const now = controlConfig(values);
  if (typeof now === 'string') return now;
  const away = now.stage2.heat ? -deadBand : deadBand;
  const band = bandOf(now.stage2, 0);
  const setpoint = bandOf(now.stage, now.setpoint).cutIn + away - band.cutIn;
  const id: SettingId = values['stage2.reference'] === 'relative' ? 'stage2.offset' : 'stage2.setpoint';
  const set = {
    [id]:
      id === 'stage2.offset'
        ? typedKelvin(setpoint - now.setpoint, display)
        : typedCelsius(setpoint, display),
  } as SettingValues;
  const all = { ...values, ...set };
  const config = controlConfig(all);
  if (typeof config === 'string') return config;
  const bands = twoBands(config)!;
  const scenario = unitScenario({ ...input.unit, facts: input.facts }, all);
  if (typeof scenario === 'string') return scenario;
  const { figures, turnovers } = stagesDay(scenario);
  return {
    deadBand,
    set,
    bands,
    turnovers,
    least: figures.air.min,
    most: figures.air.max,
    kWh: figures.kWhPerDay,
  };
}
