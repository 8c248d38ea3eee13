import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import {
  letPass,
  notQuiet,
  powerUp,
  quietFor,
  staysQuiet,
  tick,
  type Command,
  type ControlConfig,
  type ControlEvent,
  type ControlInputs,
  type ControlState,
} from '../box/index.ts';
import {
  BoxFlows,
  boxWork,
  restingBox,
  stepBox,
  type BoxDrive,
  type BoxParameters,
  type BoxState,
} from '../box/index.ts';
import { engineAtRest, tickEngine, type EngineEvent, type EngineState } from '../engine/index.ts';
import { pourInto, stepTank } from '../tank/index.ts';
import { doorOfScenario } from './doors.ts';
import { beginsAt, boxOfScenario, restingDrive } from './scenarioBox.ts';
import { FigureCount } from './figures.ts';
import { ambientCourse, type OwnPlant } from './ownPlant.ts';
import type { Fault, FaultKind, Scenario } from './scenario.ts';
import type { Sample } from './simulate.ts';

/** The air around a box of its own is moved so often, s. */
const AMBIENT_STEP = 300;

/**
 * A control and its box, second by second: a simulation runs through one, a practice panel has one behind it. Settings may be exchanged and keys pressed on the way.
 */
export class UnitRun {
  readonly events: ControlEvent[] = [];
  readonly count: FigureCount;
  readonly flows = new BoxFlows();
  private readonly work = boxWork();
  private readonly box: BoxParameters;
  private readonly state: BoxState;
  private control: ControlState;
  private door: (secondOfDay: number) => boolean;
  /** Day of the run, and the mean of the air around it: a box of its own has warm and cold days. */
  private day = 0;
  private readonly ambient: number;
  private readonly drive: BoxDrive;
  private readonly inputs: ControlInputs;
  private heats: boolean;
  private engine: EngineState | null;
  private counting = false;
  /** Second of the run: the control's own time begins anew after a power cut. */
  private now = 0;
  private dark = false;
  private phase: ControlState['phase'] = 'regulate';
  private secondOfDay: number;

  /** Seconds that the box is behind the control. */
  private behind = 0;
  private broken: readonly Fault[] = [];
  /** Second at which a fault begins or ends next. */
  private nextFault = -Infinity;
  /** Seconds in which the control would change nothing, and between which readings. */
  private readonly quiet = notQuiet();

  private readonly scenario: Scenario;
  private readonly stride: number;

  private config: ControlConfig;

  constructor(scenario: Scenario, stride = 1) {
    this.scenario = scenario;
    this.config = scenario.config;
    this.stride = stride;
    this.box = boxOfScenario(scenario);
    const inside = beginsAt(scenario);
    this.state = restingBox(inside);
    this.control = powerUp(scenario.config.setpoint);
    this.engine = scenario.engine ? engineAtRest(scenario.engine.setpoint) : null;
    this.door = doorOfScenario(scenario, 0);
    const begins = (scenario.startOfDay - scenario.warmUp) % SECONDS_PER_DAY;
    this.secondOfDay = begins < 0 ? begins + SECONDS_PER_DAY : begins;
    this.heats = scenario.config.stage.heat;
    this.count = new FigureCount(
      scenario.storage,
      this.state,
      this.box.zones[0].full + this.box.zones[1].full,
    );
    this.drive = restingDrive(scenario);
    this.ambient = this.drive.ambient;
    if (scenario.own) this.drive.ambient += ambientCourse(scenario.own, 0, this.secondOfDay);
    this.inputs = {
      air: inside,
      coil: inside,
      coil2: null,
      doorOpen: false,
      alarmInput: false,
      timeOfDay: 0,
      commands: [],
    };
  }

  /** Other settings from the next second on: what the control remembers of its times stays. */
  reconfigure(config: ControlConfig): void {
    this.config = config;
    this.heats = config.stage.heat;
    this.control.setpoint = config.setpoint;
    this.quiet.seconds = 0;
  }

  /** Keys and bus: done in the next second. */
  give(commands: readonly Command[]): void {
    this.inputs.commands = [...this.inputs.commands, ...commands];
    this.quiet.seconds = 0;
  }

  /** How the control and what it switches stand. */
  get standing(): {
    readonly control: Readonly<ControlState>;
    readonly box: Readonly<BoxState>;
    readonly drive: Readonly<BoxDrive>;
    /** A transport engine, where one drives the box. */
    readonly engine: Readonly<EngineState> | null;
  } {
    return { control: this.control, box: this.state, drive: this.drive, engine: this.engine };
  }

  /** From here on events and figures count; the control goes on as it stands. */
  beginCount(): void {
    this.advance();
    this.counting = true;
    this.events.length = 0;
    this.flows.restartEnergy();
    this.count.begin(this.state);
  }

  /** One second: the control on what it reads, then the box under what it switched. */
  second(t: number): void {
    this.now = t;
    const { drive, inputs, scenario } = this;
    const secondOfDay = this.secondOfDay;
    this.secondOfDay = secondOfDay === SECONDS_PER_DAY - 1 ? 0 : secondOfDay + 1;
    if (scenario.own && secondOfDay % AMBIENT_STEP === 0) this.moveAmbient(scenario.own, secondOfDay);
    this.takeReadings();
    inputs.timeOfDay = secondOfDay;
    inputs.doorOpen = scenario.tank === undefined && this.door(secondOfDay);
    const power = scenario.faults.length === 0 || this.applyFaults(t);
    if (power) {
      if (this.dark) {
        this.control = powerUp(this.control.setpoint);
        if (this.engine) this.engine = engineAtRest(this.engine.setpoint);
        this.quiet.seconds = 0;
      }
      this.dark = false;
      if (
        inputs.doorOpen === drive.doorOpen &&
        staysQuiet(this.quiet, inputs) &&
        inputs.commands.length === 0
      ) {
        // What is read changes nothing and nothing is due: the second only passes.
        this.quiet.seconds -= 1;
        letPass(this.config, this.control, inputs);
        this.behind += 1;
        if (this.behind >= this.stride) this.advance();
        return;
      }
      tick(this.config, this.control, inputs, this.emit);
      if (inputs.commands.length > 0) inputs.commands = [];
      quietFor(this.config, this.control, this.quiet);
    } else if (!this.dark) this.goDark();
    const { out, phase } = this.control;
    const hotGas = power && phase === 'defrost' && this.config.defrost.method === 'hotGas';
    let compressor = power && out.compressor && !this.heats;
    let airHeater = power && ((out.compressor && this.heats) || (out.stage2 && this.config.stage2.heat));
    const heater = power && out.defrost && !hotGas;
    let fan = power && out.fan;
    if (this.engine && power) {
      const action = this.tickEngine();
      compressor = hotGas || action === 'cool';
      airHeater = action === 'heat';
      fan = fan && this.engine.engine;
    }
    if (
      compressor !== drive.compressor ||
      heater !== drive.heater ||
      fan !== drive.fan ||
      inputs.doorOpen !== drive.doorOpen ||
      airHeater !== drive.airHeater ||
      hotGas !== drive.hotGas ||
      phase !== this.phase
    ) {
      // Up to here the box went under what was switched before.
      this.advance();
      drive.compressor = compressor;
      drive.airHeater = airHeater;
      drive.heater = heater;
      drive.hotGas = hotGas;
      drive.fan = fan;
      drive.doorOpen = inputs.doorOpen;
      this.phase = phase;
    }
    this.behind += 1;
    if (this.behind >= this.stride) this.advance();
  }

  /**
   * Passes at once over seconds in which nothing is switched and the box keeps its readings: up to the end of the box's stride. How many passed; 0 where the next second must be looked at.
   * What comes of a run is the same as second by second.
   */
  letQuietPass(t: number, most: number): number {
    const { inputs, drive, scenario, quiet } = this;
    if (quiet.seconds <= 1 || this.dark || this.engine || scenario.faults.length > 0) return 0;
    if (inputs.commands.length > 0 || this.behind > 0) return 0;
    let seconds = Math.min(most, this.stride, quiet.seconds - 1, SECONDS_PER_DAY - 1 - this.secondOfDay);
    if (scenario.own) {
      const since = this.secondOfDay % AMBIENT_STEP;
      seconds = since === 0 ? 0 : Math.min(seconds, AMBIENT_STEP - since);
    }
    if (scenario.tank === undefined) seconds = this.doorStays(seconds);
    if (seconds <= 1 || inputs.doorOpen !== drive.doorOpen) return 0;
    this.takeReadings();
    if (!staysQuiet(quiet, inputs)) return 0;
    quiet.seconds -= seconds;
    this.secondOfDay += seconds;
    inputs.timeOfDay = this.secondOfDay - 1;
    this.now = t + seconds - 1;
    letPass(this.config, this.control, inputs, seconds);
    this.behind = seconds;
    if (this.behind >= this.stride) this.advance();
    return seconds;
  }

  /** What the control reads of the box as it stands. */
  private takeReadings(): void {
    const { inputs, state, config } = this;
    inputs.air = state.probe;
    // A second probe that is none of the coil hangs among what is kept.
    inputs.coil = config.stage2.bySecond && !config.probes.coilPresent ? state.productSlow : state.coilProbe;
  }

  /** For how many of the next seconds the door stays as it stands. */
  private doorStays(most: number): number {
    const open = this.drive.doorOpen;
    let seconds = 0;
    while (seconds < most && this.door(this.secondOfDay + seconds) === open) seconds += 1;
    return seconds;
  }

  /** The air around goes its course; each day has its own door. */
  private moveAmbient(own: OwnPlant, secondOfDay: number): void {
    this.advance();
    if (secondOfDay === 0) {
      this.day += 1;
      this.door = doorOfScenario(this.scenario, this.day);
    }
    this.drive.ambient = this.ambient + ambientCourse(own, this.day, secondOfDay);
  }

  /** What the engine does in this second; a defrost holds it from cooling and heating. */
  private tickEngine(): 'cool' | 'heat' | 'none' {
    const engine = this.engine!;
    // An engine is looked at every second.
    this.quiet.seconds = 0;
    tickEngine(this.scenario.engine!, engine, { air: this.inputs.air, commands: [] }, this.emitEngine);
    return this.control.phase === 'regulate' ? engine.action : 'none';
  }

  private readonly emitEngine = (event: EngineEvent): void => {
    if (event.kind === 'engine')
      this.tell({
        t: this.now,
        kind: 'compressor',
        value: event.value === true,
        reason: event.reason ?? 'demand',
      });
  };

  /** Water poured into a tank: a share of what is there. */
  pour(share: number, celsius: number): void {
    this.advance();
    pourInto(this.state, share, celsius);
  }

  /** Brings the box to the control's time. */
  advance(): void {
    const { behind, drive, state } = this;
    if (behind === 0) return;
    this.behind = 0;
    if (this.scenario.tank) stepTank(this.scenario.tank, state, drive, behind, this.flows);
    else stepBox(this.box, state, drive, behind, this.flows, this.work);
    if (this.counting) this.count.add(state, this.phase, drive, behind);
  }

  sample(t: number): Sample {
    const { state, control, drive } = this;
    return {
      t,
      air: state.air,
      coil: state.zones[0].temperature,
      product: state.productSlow,
      frost: state.ice,
      compressor: this.engine ? this.engine.engine : drive.compressor || (this.heats && drive.airHeater),
      fan: drive.fan,
      defrost: drive.heater || drive.hotGas,
      phase: control.phase,
      stage2: control.out.stage2,
      alarm: control.out.alarm,
      door: drive.doorOpen,
    };
  }

  private readonly emit = (event: ControlEvent): void => {
    // With an engine the control's own call starts nothing.
    if (this.engine && (event.kind === 'compressor' || event.kind === 'held')) return;
    this.tell(event);
  };

  private tell(event: ControlEvent): void {
    if (!this.counting) {
      this.count.eventBefore(event);
      return;
    }
    const told = { ...event, t: this.now };
    this.events.push(told);
    this.count.event(told);
  }

  /** The power goes: the control cannot say so itself, but its outputs and its phase are over all the same. */
  private goDark(): void {
    this.dark = true;
    const { control } = this;
    for (const kind of ['compressor', 'defrost', 'fan', 'stage2', 'alarm'] as const) {
      if (control.out[kind]) this.emit({ t: this.now, kind, value: false, reason: 'powerCut' });
      control.out[kind] = false;
    }
    if (this.engine?.engine) this.tell({ t: this.now, kind: 'compressor', value: false, reason: 'powerCut' });
    if (control.phase === 'regulate') return;
    control.phase = 'regulate';
    this.emit({ t: this.now, kind: 'phase', value: 'regulate', reason: 'powerCut' });
  }

  /** Sets what is broken at this second; false while the power is cut. */
  private applyFaults(t: number): boolean {
    if (t >= this.nextFault) this.breakAndMend(t);
    const { inputs } = this;
    let power = true;
    for (const fault of this.broken) {
      if (fault.kind === 'airProbeOpen' || fault.kind === 'airProbeShort') inputs.air = Number.NaN;
      else if (fault.kind === 'coilProbeOpen') inputs.coil = Number.NaN;
      else if (fault.kind === 'airProbeDrift') inputs.air += fault.amount ?? 2;
      else if (fault.kind === 'doorLeftOpen') inputs.doorOpen = true;
      else if (fault.kind === 'powerCut') power = false;
    }
    return power;
  }

  /** Which faults are on from here, until the next begins or ends; what they do to the box itself. */
  private breakAndMend(t: number): void {
    // Up to here the box went as it was.
    this.advance();
    const { drive, scenario } = this;
    this.broken = scenario.faults.filter((fault) => t >= fault.from && t < fault.to);
    this.nextFault = Math.min(
      ...scenario.faults.flatMap(({ from, to }) => [from, to].filter((edge) => edge > t)),
    );
    const amountOf = (kind: FaultKind, usual: number): number | null => {
      const fault = this.broken.find((one) => one.kind === kind);
      return fault ? (fault.amount ?? usual) : null;
    };
    drive.capacityFactor = amountOf('deadCompressor', 0) === null ? (amountOf('lowCharge', 0.6) ?? 1) : 0;
    drive.condenserRise = amountOf('dirtyCondenser', 12) ?? 0;
    drive.heaterFactor = amountOf('deadHeater', 0) === null ? 1 : 0;
    drive.fanFactor = amountOf('deadFan', 0) === null ? 1 : 0;
  }
}
