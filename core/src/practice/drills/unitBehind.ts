import { controlConfig, type Command, type ControlConfig } from '../../machines/box/index.ts';
import {
  displayOf,
  settingsOfCodes,
  type CodeValues,
  type ControllerDefinition,
} from '../../controllers/definitions/index.ts';
import type { PanelState } from '../../controllers/panel/index.ts';
import type { TemplateId } from '../../machines/box/index.ts';
import { printFixed, quantity, valueIn } from '../../foundation/quantities/index.ts';
import { UnitRun, type Fault } from '../../machines/simulation/index.ts';
import { alarmCodeOf } from '../../controllers/alarmCodes/index.ts';

/** The box that fits what a control is set to: what it heats, how cold it is set, what feeds it. */
export function templateFor(config: ControlConfig, definition: ControllerDefinition): TemplateId {
  if (config.stage.heat) return 'hotCupboard';
  if (config.setpoint < -8) return 'walkInFreezer';
  const direct = definition.supply?.every((s) => s.kind === 'dc');
  if (direct) return 'vehicleFridge';
  return config.setpoint > 8 ? 'cellar' : 'reachInRefrigerator';
}

/** Deeds of a panel that the control behind it carries out. */
const commands: Readonly<Record<string, Command['does']>> = {
  startDefrost: 'startDefrost',
  stopDefrost: 'stopDefrost',
  standbyOn: 'standbyOn',
  standbyOff: 'standbyOff',
};

/** What of a panel the unit behind it looks at and changes. */
type Behind = Pick<PanelState, 'memory' | 'deeds' | 'condition'>;

/** What is to be seen at the unit, apart from the panel. */
export interface AtTheUnit {
  readonly compressor: boolean;
  readonly fan: boolean;
  readonly heater: boolean;
  readonly doorOpen: boolean;
  readonly iceGrams: number;
  readonly air: number;
  readonly coil: number;
}

/**
 * The control's own machine and a box behind a practice panel. What the panel stores is what the machine works with; deeds are carried out; defrost, standby and alarms
 * come back as the panel's condition. Null (from {@link unitBehind}) for a control that regulates no air: a meter, a condenser's fans.
 */
export class UnitBehind {
  private readonly run: UnitRun;
  private memory: CodeValues;
  private deeds: number;
  private now = 0;
  private readonly definition: ControllerDefinition;

  constructor(
    definition: ControllerDefinition,
    state: Pick<PanelState, 'memory' | 'deeds'>,
    config: ControlConfig,
    faults: readonly Fault[],
    template: TemplateId,
  ) {
    this.definition = definition;
    this.memory = state.memory;
    this.deeds = state.deeds.length;
    this.run = new UnitRun({
      config,
      template,
      choice: {},
      // A door that happens to stand open while somebody looks would be a false trail.
      doorUse: 'shut',
      faults,
      seconds: 0,
      warmUp: 0,
      startOfDay: 9 * 3600,
      storage: { min: null, max: null },
    });
  }

  /** Lets seconds pass at the unit and returns the panel with the condition that follows. */
  pass<S extends Behind>(state: S, seconds: number): S {
    this.obey(state);
    for (let i = 0; i < seconds; i += 1) {
      this.run.second(this.now);
      this.now += 1;
    }
    this.run.advance();
    const { control } = this.run.standing;
    const alarms = (Object.keys(control.causes) as (keyof typeof control.causes)[]).flatMap((cause) =>
      control.causes[cause] ? (alarmCodeOf(this.definition, cause) ?? []) : [],
    );
    const before = state.condition;
    const condition = {
      ...before,
      defrost: control.phase === 'defrost',
      standby: control.standby,
      silenced: before.silenced && alarms.length > 0,
      alarms: [
        ...before.alarms.filter((code) => alarms.includes(code)),
        ...alarms.filter((code) => !before.alarms.includes(code)),
      ],
    };
    const page = condition.page !== null && condition.alarms.includes(condition.page) ? condition.page : null;
    return { ...state, condition: { ...condition, page } };
  }

  /** What the display shows at rest: the air in the control's own unit and tenths, a label in defrost where it is so set. */
  reading(probe: 'air' | 'coil' = 'air'): string {
    const { control } = this.run.standing;
    const values = settingsOfCodes(this.definition, this.memory);
    if (probe === 'air' && control.phase !== 'regulate' && values['defrost.display'] === 'label')
      return 'dEF';
    const celsius = probe === 'air' ? control.air.value : control.coil.value;
    if (Number.isNaN(celsius)) return '---';
    const display = displayOf(this.definition, this.memory);
    const { unit } = display;
    return printFixed(valueIn(quantity(celsius, 'degC'), unit), display.decimal ? 1 : 0);
  }

  /** What somebody who walks round the unit sees. */
  get atTheUnit(): AtTheUnit {
    const { box, drive } = this.run.standing;
    return {
      compressor: drive.compressor && drive.capacityFactor > 0,
      fan: drive.fan && drive.fanFactor > 0,
      heater: (drive.heater || drive.airHeater) && drive.heaterFactor > 0,
      doorOpen: drive.doorOpen,
      iceGrams: Math.round((box.zones[0].frost + box.zones[1].frost) * 1000),
      air: box.air,
      coil: box.zones[0].temperature,
    };
  }

  /** What the control itself reads, in °C, NaN of a probe that failed or is not there; its phase (0 regulates, 1 defrosts, 2 drains); and what it switches. */
  get readings(): {
    readonly air: number;
    readonly coil: number;
    readonly secondCoil: number;
    readonly product: number;
    readonly phase: number;
    readonly compressor: boolean;
    readonly fan: boolean;
    readonly defrost: boolean;
    readonly alarm: boolean;
  } {
    const { control, box } = this.run.standing;
    const { compressor, fan, defrost, alarm } = control.out;
    return {
      air: control.air.value,
      coil: control.coil.value,
      secondCoil: control.coil2.value,
      product: box.productSlow,
      phase: ['regulate', 'defrost', 'drain'].indexOf(control.phase),
      compressor,
      fan,
      defrost,
      alarm,
    };
  }

  /** Relays as the control holds them. */
  get outputs(): {
    readonly compressor: boolean;
    readonly fan: boolean;
    readonly defrost: boolean;
    readonly alarm: boolean;
  } {
    return this.run.standing.control.out;
  }

  private obey(state: Behind): void {
    const given = state.deeds
      .slice(this.deeds)
      .flatMap((does) => (commands[does] ? [{ does: commands[does] } as Command] : []));
    this.deeds = state.deeds.length;
    if (given.length > 0) this.run.give(given);
    if (state.memory === this.memory) return;
    this.memory = state.memory;
    const config = controlConfig(settingsOfCodes(this.definition, state.memory));
    if (typeof config !== 'string') this.run.reconfigure(config);
  }
}

/** A unit behind a panel as it stands; null where the control regulates no air. */
export function unitBehind(
  definition: ControllerDefinition,
  state: Pick<PanelState, 'memory' | 'deeds'>,
  faults: readonly Fault[] = [],
  template: TemplateId | null = null,
): UnitBehind | null {
  const values = settingsOfCodes(definition, state.memory);
  const config = controlConfig(values);
  if (typeof config === 'string' || values['condenser.setpoint'] !== undefined) return null;
  return new UnitBehind(definition, state, config, faults, template ?? templateFor(config, definition));
}
