import {
  controlConfig,
  humidityRatio,
  powerUp,
  tick,
  type ControlInputs,
} from '../../src/machines/box/index.ts';
import type { SettingValues } from '../../src/foundation/settings/index.ts';
import { normal as normalOf } from '../../src/foundation/statistics/index.ts';
import type { DayFigures } from '../../src/machines/identification/index.ts';
import { seeded } from '../seeded.ts';
import type { LoggedRow } from './logCsv.ts';
import { OtherPlant } from './plant.ts';
import type { OtherBox } from './recipe.ts';

/** What a run of a test box comes to; air as the logger reads it. */
export type OtherFigures = Pick<
  DayFigures,
  'startsPerHour' | 'dutyPercent' | 'defrostMinutes' | 'defrostsPerDay' | 'airMean' | 'airMax'
>;

const DAY = 86_400;
/** Days before the log begins, in which the box settles. */
const SETTLES = 2;

/** Sees every second of a run. */
type Watch = (now: {
  readonly t: number;
  readonly plant: OtherPlant;
  readonly compressor: boolean;
  readonly phase: string;
}) => void;

/** Runs a control on a test box: rows as they were logged, and what they come to. Weather, doors and noise follow the seed. */
export function runOther(
  box: OtherBox,
  values: SettingValues,
  { days, seed, watch }: { readonly days: number; readonly seed: number; readonly watch?: Watch },
): { readonly rows: readonly LoggedRow[]; readonly figures: OtherFigures } {
  const config = controlConfig(values);
  if (typeof config === 'string') throw new Error(config);
  const { recipe: r } = box;
  const random = seeded(seed);
  const normal = () => normalOf(random);
  const plant = new OtherPlant(r, config.setpoint, r.weather[0]);
  const control = powerUp(config.setpoint);
  const inputs: ControlInputs = {
    air: plant.probe,
    coil: plant.coilProbe,
    coil2: null,
    doorOpen: false,
    alarmInput: false,
    timeOfDay: 0,
    commands: [],
  };
  const drive = {
    compressor: false,
    fan: false,
    heater: false,
    ambient: r.weather[0],
    ambientRatio: humidityRatio(r.weather[0], r.weather[3]),
    exchange: 0,
    load: 0,
  };
  const rows: LoggedRow[] = [];
  let weather = 0;
  let doorLeft = 0;
  let logged = [plant.probe, plant.probe];
  let [starts, running, regulating, defrosts, defrosting] = [0, 0, 0, 0, 0];
  let before = { compressor: false, phase: 'regulate' };
  let [sum, max, coolSeconds] = [0, -Infinity, 0];
  const total = (SETTLES + days) * DAY;
  const quiet = () => undefined;
  for (let now = 0; now < total; now += 1) {
    const ofDay = now % DAY;
    const hour = ofDay / 3600;
    if (now % 600 === 0) {
      weather += -weather / 36 + normal() * r.weather[2] * Math.sqrt(2 / 36);
      drive.ambient = r.weather[0] + weather + r.weather[1] * Math.cos((2 * Math.PI * (hour - 15)) / 24);
      drive.ambientRatio = humidityRatio(r.weather[0] + weather * 0.5, r.weather[3]);
    }
    if (ofDay === 8 * 3600 && random() < r.delivery[2]) plant.deliver(r.delivery[0], r.delivery[1]);
    if (doorLeft > 0) doorLeft -= 1;
    else if (hour >= r.doorHours[0] && hour < r.doorHours[1]) {
      const busy = 1 + 0.7 * Math.cos((2 * Math.PI * (hour - 12)) / 6);
      if (random() < (r.door[0] * busy) / 3600) doorLeft = Math.ceil(r.door[1] * Math.exp(0.6 * normal()));
    }
    const open = doorLeft > 0;
    drive.exchange = (open ? r.door[2] : 0) + r.air / 36_000;
    drive.load = r.load[0] + (hour >= 8 && hour < 20 ? r.load[1] : 0);
    inputs.air = plant.probe;
    inputs.coil = plant.coilProbe;
    inputs.doorOpen = open && box.unit.doorContact === true;
    inputs.timeOfDay = ofDay;
    const out = tick(config, control, inputs, quiet);
    drive.compressor = out.compressor;
    drive.fan = out.fan;
    drive.heater = out.defrost;
    plant.second(drive);
    const hangs = r.logger[0] * plant.supply + (1 - r.logger[0]) * plant.air.t;
    logged = [
      logged[0]! + (hangs - logged[0]!) / r.logger[1],
      logged[1]! + (logged[0]! - logged[1]!) / r.logger[2],
    ];
    const t = now - SETTLES * DAY;
    if (t >= 0) {
      watch?.({ t, plant, compressor: out.compressor, phase: control.phase });
      const reading = logged[1]! + r.logger[3];
      sum += reading;
      coolSeconds += 1;
      if (reading > max) max = reading;
      if (out.compressor && !before.compressor) starts += 1;
      if (control.phase === 'regulate') {
        regulating += 1;
        if (out.compressor) running += 1;
      }
      if (control.phase === 'defrost') {
        defrosting += 1;
        if (before.phase !== 'defrost') defrosts += 1;
      }
      if (t % box.every === 0) {
        const noisy = reading + normal() * r.logger[4];
        rows.push({
          t,
          air: Math.round(noisy / r.logger[5]) * r.logger[5],
          coil: Math.round((plant.coilProbe + normal() * r.logger[4]) / r.logger[5]) * r.logger[5],
          compressor: out.compressor ? 1 : 0,
          defrost: control.phase === 'defrost' ? 1 : 0,
          fan: out.fan ? 1 : 0,
          door: open ? 1 : 0,
          ambient: Math.round(drive.ambient * 10) / 10,
        });
      }
    }
    before = { compressor: out.compressor, phase: control.phase };
  }
  return {
    rows,
    figures: {
      startsPerHour: (starts * 3600) / coolSeconds,
      dutyPercent: (100 * running) / Math.max(1, regulating),
      defrostMinutes: defrosts > 0 ? defrosting / defrosts / 60 : null,
      defrostsPerDay: (defrosts * DAY) / coolSeconds,
      airMean: sum / coolSeconds,
      airMax: max,
    },
  };
}
