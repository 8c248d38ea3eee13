import { baseValue, type Quantity } from '../../foundation/quantities/index.ts';
import {
  compressorDuties,
  defrostMethods,
  doorUses,
  goods,
  probeRoleNames,
  probeRoles,
  schools,
  type ProbeRole,
  type SchoolId,
} from '../../foundation/unit/index.ts';
import {
  applicationNames,
  applications,
  isApplication,
  isHeated,
  isMachine,
  type Application,
} from '../../foundation/settings/index.ts';

/** How a question of the survey is answered. */
export type QuestionForm =
  | { readonly type: 'choice'; readonly options: Readonly<Record<string, string>> }
  | { readonly type: 'list'; readonly options: Readonly<Record<string, string>> }
  | { readonly type: 'yesNo' }
  /** From and to: what it can be at all, °C. */
  | { readonly type: 'temperature'; readonly from: number; readonly to: number }
  | { readonly type: 'text'; readonly example: string };

/** One question: its words, why it is asked, its form, and whether a plan needs it. */
export interface Question {
  readonly id: QuestionId;
  readonly label: string;
  readonly why: string;
  readonly form: QuestionForm;
  readonly required: boolean;
}

export type QuestionId =
  | 'application'
  | 'goods'
  | `product.${'name' | 'max' | 'min' | 'source'}`
  | 'defrostMethod'
  | 'probes'
  | 'compressor'
  | 'doorUse'
  | 'doorContact'
  | 'heats'
  | 'drainPump'
  | 'probePlace'
  | 'probeType'
  | 'ambient'
  | 'supply'
  | 'refrigerant'
  | 'displayUnit'
  | 'complaint'
  | `school.${SchoolId}`;

/** True where a temperature is one that the question can be answered with. */
export const within = (
  value: Quantity,
  { from, to }: { readonly from: number; readonly to: number },
): boolean => baseValue(value) >= from - 1e-9 && baseValue(value) <= to + 1e-9;

const names = (ids: readonly string[], table: Readonly<Record<string, string>>) =>
  Object.fromEntries(ids.map((id) => [id, table[id] ?? id]));

const methodNames = {
  none: 'None',
  offCycle: 'Off-cycle, by box air',
  electric: 'Electric heater',
  hotGas: 'Hot gas',
};
/** What anything is kept at, °C. */
const keptAt = { from: -90, to: 95 } as const;
const doorNames = { seldom: 'Seldom opened', normal: 'Normal', busy: 'Busy all day' };
const dutyNames = {
  direct: 'A compressor of its own',
  rackSolenoid: 'A solenoid valve on a rack',
  pumpDown: 'A solenoid valve; a unit of its own pumps down',
};
const placeNames = { air: 'In the moving air', bottle: 'In a bottle, slow as the product' };
/** By their ohms at 25 °C, as a meter shows them (EN 60751 for platinum; the others common practice). */
const typeNames = {
  ntc10k: 'NTC, 10 kΩ at 25 °C, falling with heat',
  ptc1k: 'PTC, 1 kΩ at 25 °C, rising with heat',
  pt1000: 'Platinum, 1097 Ω at 25 °C',
  pt100: 'Platinum, 110 Ω at 25 °C',
};

/** The questions about the unit, in the order they are asked. */
export const unitQuestions: readonly Question[] = [
  {
    id: 'application',
    label: 'What is it?',
    why: 'Decides what is sound.',
    form: { type: 'choice', options: names(applications, applicationNames) },
    required: true,
  },
  {
    id: 'goods',
    label: 'What is kept in it?',
    why: 'The limit of the product decides cut-in.',
    form: {
      type: 'choice',
      options: Object.fromEntries(Object.entries(goods).map(([id, g]) => [id, g.name])),
    },
    required: true,
  },
  {
    id: 'product.name',
    label: 'What is this product?',
    why: 'Named in every reason.',
    form: { type: 'text', example: 'Sourdough starter' },
    required: true,
  },
  {
    id: 'product.max',
    label: 'The warmest it may stand',
    why: 'Cut-in lies below it.',
    form: { type: 'temperature', ...keptAt },
    required: true,
  },
  {
    id: 'product.min',
    label: 'The coldest it may stand',
    why: 'Cut-out lies above it.',
    form: { type: 'temperature', ...keptAt },
    required: false,
  },
  {
    id: 'product.source',
    label: 'Who says so?',
    why: 'A data sheet, a rule, the owner: it stands beside the limit.',
    form: { type: 'text', example: 'Data sheet of the maker, 2024' },
    required: false,
  },
  {
    id: 'defrostMethod',
    label: 'How is the coil cleared?',
    why: 'Box air melts nothing below freezing.',
    form: { type: 'choice', options: names(defrostMethods, methodNames) },
    required: true,
  },
  {
    id: 'probes',
    label: 'Which probes are there?',
    why: 'Without a coil probe only time ends a defrost.',
    form: { type: 'list', options: names(probeRoles, probeRoleNames) },
    required: true,
  },
  {
    id: 'compressor',
    label: 'What does the cooling relay switch?',
    why: 'A rack keeps the off time of its own compressors.',
    form: { type: 'choice', options: names(compressorDuties, dutyNames) },
    required: false,
  },
  {
    id: 'doorUse',
    label: 'How is the door used?',
    why: 'Frost and alarm delay follow the door.',
    form: { type: 'choice', options: names(doorUses, doorNames) },
    required: false,
  },
  {
    id: 'doorContact',
    label: 'Is there a door contact?',
    why: 'Fans can stop while it is open.',
    form: { type: 'yesNo' },
    required: false,
  },
  {
    id: 'heats',
    label: 'Does a relay of its own heat as well?',
    why: 'Cooling and heating are then kept apart about one point.',
    form: { type: 'yesNo' },
    required: false,
  },
  {
    id: 'drainPump',
    label: 'Is its drain water pumped away?',
    why: 'A failed pump must call before the tray runs over.',
    form: { type: 'yesNo' },
    required: false,
  },
  {
    id: 'probePlace',
    label: 'Where does the air probe hang?',
    why: 'A bottle hides swings and delays alarms.',
    form: { type: 'choice', options: placeNames },
    required: false,
  },
  {
    id: 'probeType',
    label: 'Which probes are in it?',
    why: 'The wrong type reads tens of degrees off. Printed on the cable, or metered.',
    form: { type: 'choice', options: typeNames },
    required: false,
  },
  {
    id: 'ambient',
    label: 'How warm is it around the unit?',
    why: 'Design ambient of the box.',
    form: { type: 'temperature', from: -40, to: 60 },
    required: false,
  },
  {
    id: 'supply',
    label: 'Supply',
    why: 'Meter it before you trust the plate.',
    form: { type: 'text', example: '208 V, 3 phases' },
    required: false,
  },
  {
    id: 'refrigerant',
    label: 'Refrigerant',
    why: 'As on the plate.',
    form: { type: 'text', example: 'R-449A' },
    required: false,
  },
  {
    id: 'displayUnit',
    label: 'Which degrees do people on site read?',
    why: 'The plan comes in whole degrees of it.',
    form: { type: 'choice', options: { fahrenheit: '°F', celsius: '°C' } },
    required: false,
  },
  {
    id: 'complaint',
    label: 'What is wrong with it?',
    why: 'In the words of the people there.',
    form: { type: 'text', example: 'Frost on the fans every Monday' },
    required: false,
  },
];

/** What a machine without a box is not asked: nothing is kept in it, no coil of it is cleared, it has no door. */
const ofBoxes: ReadonlySet<QuestionId> = new Set([
  'goods',
  'defrostMethod',
  'doorUse',
  'doorContact',
  'heats',
  'drainPump',
  'probePlace',
]);
/** A tank has no coil in its air, no door and no drain water. */
const ofAirBoxes: ReadonlySet<QuestionId> = new Set([
  'defrostMethod',
  'doorUse',
  'doorContact',
  'drainPump',
  'probePlace',
]);
/** Kinds that may get too cold and have a heater for it. */
const mayHeat: ReadonlySet<Application> = new Set([
  'walkInCooler',
  'reachInRefrigerator',
  'merchandiser',
  'cellar',
  'chilledWaterTank',
  'pharmacyRefrigerator',
]);
/** Kinds with a coil that sheds water into a tray. */
const drained: ReadonlySet<Application> = new Set([
  'walkInCooler',
  'walkInFreezer',
  'reachInRefrigerator',
  'merchandiser',
  'cellar',
  'pharmacyRefrigerator',
]);
/** A tank's probe hangs in its water. */
const tankProbeNames = { ...probeRoleNames, air: 'Water' };
const tankProbes: readonly ProbeRole[] = ['air', 'product'];
/** What a heat meter is not asked besides: it cools nothing. */
const ofCooling: ReadonlySet<QuestionId> = new Set(['compressor', 'ambient', 'refrigerant']);
const meterProbes: readonly ProbeRole[] = ['supply', 'return'];
const fanProbes: readonly ProbeRole[] = ['liquid', 'secondLiquid', 'outdoor'];

const probesWhy: Readonly<Partial<Record<Application, string>>> = {
  heatMeter: 'Each is corrected by the tag on it.',
  chilledWaterTank: 'The one in the water regulates.',
  condenserFans: 'Without an outdoor probe the set point cannot float.',
};

function probesOf(application: Application): readonly ProbeRole[] {
  if (application === 'heatMeter') return meterProbes;
  if (application === 'condenserFans') return fanProbes;
  if (application === 'chilledWaterTank') return tankProbes;
  return probeRoles.filter((role) => !meterProbes.includes(role));
}

/** The questions for a kind of unit and what it keeps; those for every unit while the kind is not known. Only what changes a plan is asked. */
export function questionsFor(application: unknown, kept?: unknown): readonly Question[] {
  const own = (q: Question) => kept === 'own' || !q.id.startsWith('product.');
  if (!isApplication(application))
    return unitQuestions.filter((q) => own(q) && q.id !== 'heats' && q.id !== 'drainPump');
  const machine = isMachine(application);
  const heated = isHeated(application);
  return (
    unitQuestions
      .filter(own)
      .filter((q) => !(machine && (ofBoxes.has(q.id) || q.id.startsWith('product.'))))
      .filter((q) => !(application === 'chilledWaterTank' && ofAirBoxes.has(q.id)))
      .filter((q) => q.id !== 'heats' || mayHeat.has(application))
      .filter((q) => q.id !== 'drainPump' || drained.has(application))
      // What keeps warm is limited from below.
      .map((q) =>
        heated && (q.id === 'product.max' || q.id === 'product.min')
          ? { ...q, required: q.id === 'product.min' }
          : q,
      )
      .filter((q) => !(application === 'heatMeter' && ofCooling.has(q.id)))
      .map((q) =>
        q.id === 'probes'
          ? {
              ...q,
              why: probesWhy[application] ?? q.why,
              form: {
                type: 'list',
                options: names(
                  probesOf(application),
                  application === 'chilledWaterTank' ? tankProbeNames : probeRoleNames,
                ),
              },
            }
          : q,
      )
  );
}

/** The schools as questions, asked where a job takes another side than the company. */
export const schoolQuestions: readonly Question[] = (Object.keys(schools) as SchoolId[]).map((id) => ({
  id: `school.${id}`,
  label: schools[id].question,
  why: Object.values(schools[id].sides as Record<string, { name: string; costs: string }>)
    .map((side) => `${side.name}: ${side.costs}`)
    .join('. '),
  form: {
    type: 'choice',
    options: Object.fromEntries(
      Object.entries(schools[id].sides as Record<string, { name: string }>).map(([side, s]) => [
        side,
        s.name,
      ]),
    ),
  },
  required: false,
}));

const all: ReadonlyMap<string, Question> = new Map(
  [...unitQuestions, ...schoolQuestions].map((q) => [q.id, q]),
);

/** The question with that id, or undefined. */
export function findQuestion(id: string): Question | undefined {
  return all.get(id);
}
