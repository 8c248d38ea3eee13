import { powerUp, tick, type ControlEvent, type ControlInputs, type ControlState } from '../control/index.ts';
import {
  boxOf,
  humidityRatio,
  restingBox,
  stepBox,
  templates,
  type BoxDrive,
  type BoxFlows,
  type BoxParameters,
  type BoxState,
} from '../plant/index.ts';
import { doorOf } from './doors.ts';
import { FigureCount, type Figures } from './figures.ts';
import type { FaultKind, Scenario } from './scenario.ts';

/** A sample of a run: temperatures °C, outputs, frost in kg. */
export interface Sample {
  readonly t: number;
  readonly air: number;
  readonly coil: number;
  readonly product: number;
  readonly frost: number;
  readonly compressor: boolean;
  readonly fan: boolean;
  readonly defrost: boolean;
  readonly phase: string;
  readonly stage2: boolean;
  readonly alarm: boolean;
  readonly door: boolean;
}

export interface Simulated {
  readonly events: readonly ControlEvent[];
  readonly figures: Figures;
  readonly series: readonly Sample[];
}

export interface SimulateOptions {
  /** A sample every so many seconds; 0: none. */
  readonly sampleEvery?: number;
  /** Told the share done, a hundred times a run; false stops it. */
  readonly progress?: (share: number) => boolean;
}

/** Runs a scenario second by second: the control, then the box under its outputs. Null where it was stopped. */
export function simulate(scenario: Scenario, options: SimulateOptions = {}): Simulated | null {
  const run = new Run(scenario);
  const total = scenario.warmUp + scenario.seconds;
  const every = options.sampleEvery ?? 0;
  const report = Math.max(1, Math.floor(total / 100));
  const series: Sample[] = [];
  for (let t = 0; t < total; t += 1) {
    if (t === scenario.warmUp) run.beginCount();
    run.second(t - scenario.warmUp);
    const counted = t - scenario.warmUp;
    if (every > 0 && counted >= 0 && counted % every === 0) series.push(run.sample(counted));
    if (options.progress && t % report === 0 && !options.progress(t / total)) return null;
  }
  return { events: run.events, figures: run.count.figures(run.flows), series };
}

/** A run under way. Kept in one place so that the loop stays small. */
class Run {
  readonly events: ControlEvent[] = [];
  readonly count: FigureCount;
  readonly flows: BoxFlows = { heat: 0, water: 0, compressorJoules: 0, otherJoules: 0, meltDrained: 0 };
  private readonly box: BoxParameters;
  private readonly state: BoxState;
  private control: ControlState;
  private readonly door: (secondOfDay: number) => boolean;
  private readonly drive: BoxDrive;
  private readonly inputs: ControlInputs;
  private readonly heats: boolean;
  private counting = false;
  /** Second of the run: the control's own time begins anew after a power cut. */
  private now = 0;
  private dark = false;

  private readonly scenario: Scenario;

  constructor(scenario: Scenario) {
    this.scenario = scenario;
    const t = templates[scenario.template];
    const { ambient = t.ambient, humidity = t.humidity } = scenario.choice;
    this.box = boxOf(scenario.template, scenario.choice);
    this.state = restingBox(t.inside);
    this.control = powerUp(scenario.config.setpoint);
    this.door = doorOf(scenario.template, scenario.doorUse);
    this.heats = scenario.config.stage.heat;
    this.count = new FigureCount(scenario.storage, this.state);
    this.drive = {
      compressor: false,
      heater: false,
      hotGas: false,
      fan: false,
      airHeater: false,
      doorOpen: false,
      ambient,
      ambientRatio: humidityRatio(ambient, humidity),
      capacityFactor: 1,
      condenserRise: 0,
      heaterFactor: 1,
      fanFactor: 1,
    };
    this.inputs = {
      air: t.inside,
      coil: t.inside,
      coil2: null,
      doorOpen: false,
      alarmInput: false,
      timeOfDay: 0,
      commands: [],
    };
  }

  /** From here on events and figures count; the control goes on as it stands. */
  beginCount(): void {
    this.counting = true;
    this.events.length = 0;
    this.flows.compressorJoules = 0;
    this.flows.otherJoules = 0;
    this.count.begin(this.state);
  }

  second(t: number): void {
    this.now = t;
    const { drive, inputs, state, control, scenario } = this;
    const secondOfDay = (((scenario.startOfDay + t) % 86400) + 86400) % 86400;
    drive.doorOpen = this.door(secondOfDay);
    inputs.air = state.probe;
    inputs.coil = state.coilProbe;
    inputs.timeOfDay = secondOfDay;
    const power = this.applyFaults(t);
    inputs.doorOpen = drive.doorOpen;
    if (power) {
      if (this.dark) this.control = powerUp(control.setpoint);
      this.dark = false;
      tick(scenario.config, this.control, inputs, this.emit);
    } else if (!this.dark) this.goDark();
    const { out } = this.control;
    const hotGas = scenario.config.defrost.method === 'hotGas' && this.control.phase === 'defrost';
    drive.compressor = power && out.compressor && !this.heats;
    drive.airHeater =
      power && ((out.compressor && this.heats) || (out.stage2 && scenario.config.stage2.heat));
    drive.heater = power && out.defrost && !hotGas;
    drive.hotGas = power && hotGas;
    drive.fan = power && out.fan;
    stepBox(this.box, state, drive, 1, this.flows);
    if (this.counting) this.count.second(state, this.control, drive);
  }

  sample(t: number): Sample {
    const { state, control, drive } = this;
    return {
      t,
      air: state.air,
      coil: state.zones[0].temperature,
      product: state.productSlow,
      frost: state.zones[0].frost + state.zones[1].frost,
      compressor: drive.compressor || (this.heats && drive.airHeater),
      fan: drive.fan,
      defrost: drive.heater || drive.hotGas,
      phase: control.phase,
      stage2: control.out.stage2,
      alarm: control.out.alarm,
      door: drive.doorOpen,
    };
  }

  private readonly emit = (event: ControlEvent): void => {
    if (!this.counting) return;
    const told = { ...event, t: this.now };
    this.events.push(told);
    this.count.event(told);
  };

  /** The power goes: the control cannot say so itself, but its outputs and its phase are over all the same. */
  private goDark(): void {
    this.dark = true;
    const { control } = this;
    for (const kind of ['compressor', 'defrost', 'fan', 'stage2', 'alarm'] as const) {
      if (control.out[kind]) this.emit({ t: this.now, kind, value: false, reason: 'powerCut' });
      control.out[kind] = false;
    }
    if (control.phase === 'regulate') return;
    control.phase = 'regulate';
    this.emit({ t: this.now, kind: 'phase', value: 'regulate', reason: 'powerCut' });
  }

  /** Sets what is broken at this second; false while the power is cut. */
  private applyFaults(t: number): boolean {
    const { drive, inputs } = this;
    drive.capacityFactor = 1;
    drive.condenserRise = 0;
    drive.heaterFactor = 1;
    drive.fanFactor = 1;
    let power = true;
    for (const fault of this.scenario.faults) {
      if (t < fault.from || t >= fault.to) continue;
      const set: Readonly<Record<FaultKind, () => unknown>> = {
        deadHeater: () => (drive.heaterFactor = 0),
        deadFan: () => (drive.fanFactor = 0),
        dirtyCondenser: () => (drive.condenserRise = fault.amount ?? 12),
        lowCharge: () => (drive.capacityFactor = fault.amount ?? 0.6),
        airProbeOpen: () => (inputs.air = Number.NaN),
        airProbeShort: () => (inputs.air = Number.NaN),
        coilProbeOpen: () => (inputs.coil = Number.NaN),
        airProbeDrift: () => (inputs.air += fault.amount ?? 2),
        doorLeftOpen: () => (drive.doorOpen = true),
        powerCut: () => (power = false),
      };
      set[fault.kind]();
    }
    return power;
  }
}
