import type { UnitDescription } from '../../foundation/unit/index.ts';
import { settingsOf, type ControllerDefinition } from '../../controllers/definitions/index.ts';
import { isMachine, type SettingId, type SettingValues } from '../../foundation/settings/index.ts';
import { batteryReport } from './battery/report.ts';
import type { ToolFactId } from '../../foundation/unit/index.ts';
import { frostReport } from './frost/report.ts';
import { glassReport } from './glass/report.ts';
import { heatMeterReport } from './heatMeter/report.ts';
import { humidityReport } from './humidity/report.ts';
import { periodsReport } from './periods/report.ts';
import { pharmacyReport } from './pharmacy/report.ts';
import { presetsReport } from './presets/report.ts';
import { rackReport } from './rack/report.ts';
import type { ToolWork } from './report.ts';
import { roadReport } from './road/report.ts';
import { stagesReport } from './stages/report.ts';
import { waterReport } from './water/report.ts';

export const toolIds = [
  'road',
  'heatMeter',
  'water',
  'stages',
  'battery',
  'humidity',
  'glass',
  'periods',
  'pharmacy',
  'rack',
  'frost',
  'presets',
] as const;
export type ToolId = (typeof toolIds)[number];

/** What a job must be for a tool to stand in it. */
export interface ToolContext {
  readonly unit: UnitDescription;
  readonly values: SettingValues;
  readonly definition: ControllerDefinition | null;
}

/** A tool of one kind of job. */
export interface Tool {
  readonly name: string;
  readonly question: string;
  readonly facts: readonly ToolFactId[];
  readonly belongs: (context: ToolContext) => boolean;
  readonly work: ToolWork;
}

const has = (definition: ControllerDefinition | null, id: SettingId) =>
  definition?.parameters.some((p) => settingsOf(p).includes(id)) ?? false;

/** Whether a control counts a cooling period: as a fact of it, or by one of its options. */
const countsCooling = (definition: ControllerDefinition | null): boolean =>
  definition?.fixed?.['defrost.initiation'] === 'coolingTime' ||
  (definition?.parameters.some(
    ({ setting, encoding }) =>
      setting === 'defrost.initiation' &&
      encoding.type === 'choice' &&
      encoding.options.some((option) => option.means === 'coolingTime'),
  ) ??
    false);

/** Every tool that only some kinds of job need. */
export const tools: Readonly<Record<ToolId, Tool>> = {
  road: {
    name: 'Engine',
    question: 'Run the engine all the time, or on demand?',
    facts: [],
    belongs: ({ unit }) => unit.application === 'transportUnit',
    work: roadReport,
  },
  heatMeter: {
    name: 'Heat',
    question: 'Do slope and offset of both sensors give the right heat?',
    facts: ['meterFlow', 'supplyReads', 'returnReads', 'meterInReturn'],
    belongs: ({ unit }) => unit.application === 'heatMeter',
    work: heatMeterReport,
  },
  water: {
    name: 'Water',
    question: 'How does the water answer, does the chiller ice, which limits do not keep sounding?',
    facts: [
      'waterLitres',
      'salinity',
      'tankInsulation',
      'chillerWatts',
      'chillerArea',
      'heaterWatts',
      'pumpWatts',
      'roomAir',
    ],
    belongs: ({ unit }) => unit.application === 'chilledWaterTank',
    work: waterReport,
  },
  stages: {
    name: 'Stages',
    question: 'Do heating and cooling stay apart?',
    facts: ['heaterWatts'],
    belongs: ({ values }) => values['stage2.function'] === 'thermostat',
    work: stagesReport,
  },
  battery: {
    name: 'Battery',
    question: 'How many amp hours a day, and how long does the battery last?',
    facts: ['batteryAmpHours', 'batteryUsable', 'chargePerDay', 'fridgeInsulation'],
    belongs: ({ unit }) => unit.application === 'vehicleFridge',
    work: batteryReport,
  },
  humidity: {
    name: 'Humidity',
    question: 'When may the fans run on longer, and by how much?',
    facts: ['humidityLow', 'humidityHigh', 'roomHumidity', 'trayLitres', 'hoursToHelp'],
    belongs: ({ unit }) => unit.application === 'cellar',
    work: humidityReport,
  },
  glass: {
    name: 'Glass',
    question: 'Does the glass sweat, what do doors bring, what does the night save?',
    facts: ['roomHumidity', 'glassConductance', 'glassHeater', 'setbackFrom', 'setbackTo'],
    belongs: ({ unit }) => unit.application === 'merchandiser',
    work: glassReport,
  },
  periods: {
    name: 'Periods',
    question: 'Which cooling period and which defrost period?',
    facts: [],
    belongs: ({ unit, values, definition }) =>
      !isMachine(unit.application) &&
      unit.defrostMethod !== 'none' &&
      (values['defrost.initiation'] === 'coolingTime' || countsCooling(definition)),
    work: periodsReport,
  },
  pharmacy: {
    name: 'Medicine',
    question: 'Which alarm delay lets doors pass and still calls a failure in time?',
    facts: [],
    belongs: ({ unit }) => unit.application === 'pharmacyRefrigerator',
    work: pharmacyReport,
  },
  rack: {
    name: 'Rack',
    question: 'Why does this box keep no minimum off time?',
    facts: ['rackRest'],
    belongs: ({ unit }) => unit.compressor === 'rackSolenoid' && unit.application !== 'condenserFans',
    work: rackReport,
  },
  frost: {
    name: 'Frost',
    question: 'Where does the coil sensor belong, and is demand better than an interval?',
    facts: ['coilRows', 'coilColumns', 'sensorRow', 'sensorColumn'],
    belongs: ({ unit, definition }) =>
      unit.application !== 'transportUnit' &&
      unit.probes.includes('coil') &&
      has(definition, 'defrost.demandTemperatureDifference'),
    work: frostReport,
  },
  presets: {
    name: 'Presets',
    question: 'Which preset comes nearest to the old control, and what is left to change?',
    facts: [],
    belongs: ({ definition }) => (definition?.presets ?? []).length > 0,
    work: presetsReport,
  },
};

/** The tools a job has, in the order they stand. */
export const toolsFor = (context: ToolContext): readonly ToolId[] =>
  toolIds.filter((id) => tools[id].belongs(context));
