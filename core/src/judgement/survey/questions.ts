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
  isMachine,
  type Application,
} from '../../foundation/settings/index.ts';

/** How a question of the survey is answered. */
export type QuestionForm =
  | { readonly type: 'choice'; readonly options: Readonly<Record<string, string>> }
  | { readonly type: 'list'; readonly options: Readonly<Record<string, string>> }
  | { readonly type: 'yesNo' }
  | { readonly type: 'temperature' }
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
  | 'defrostMethod'
  | 'probes'
  | 'compressor'
  | 'doorUse'
  | 'doorContact'
  | 'ambient'
  | 'supply'
  | 'refrigerant'
  | 'displayUnit'
  | 'complaint'
  | `school.${SchoolId}`;

const names = (ids: readonly string[], table: Readonly<Record<string, string>>) =>
  Object.fromEntries(ids.map((id) => [id, table[id] ?? id]));

const methodNames = {
  none: 'None',
  offCycle: 'Off-cycle, by box air',
  electric: 'Electric heater',
  hotGas: 'Hot gas',
};
const doorNames = { seldom: 'Seldom opened', normal: 'Normal', busy: 'Busy all day' };
const dutyNames = { direct: 'A compressor of its own', rackSolenoid: 'A solenoid valve on a rack' };

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
    id: 'ambient',
    label: 'How warm is it around the unit?',
    why: 'Design ambient of the box.',
    form: { type: 'temperature' },
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
const ofBoxes: ReadonlySet<QuestionId> = new Set(['goods', 'defrostMethod', 'doorUse', 'doorContact']);
/** What a heat meter is not asked besides: it cools nothing. */
const ofCooling: ReadonlySet<QuestionId> = new Set(['compressor', 'ambient', 'refrigerant']);
const meterProbes: readonly ProbeRole[] = ['supply', 'return'];
const fanProbes: readonly ProbeRole[] = ['liquid', 'secondLiquid', 'outdoor'];

const probesWhy: Readonly<Partial<Record<Application, string>>> = {
  heatMeter: 'Each is corrected by the tag on it.',
  condenserFans: 'Without an outdoor probe the set point cannot float.',
};

function probesOf(application: Application): readonly ProbeRole[] {
  if (application === 'heatMeter') return meterProbes;
  if (application === 'condenserFans') return fanProbes;
  return probeRoles.filter((role) => !meterProbes.includes(role));
}

/** The questions for a kind of unit; all of them while it is not known. */
export function questionsFor(application: unknown): readonly Question[] {
  if (!isApplication(application)) return unitQuestions;
  const machine = isMachine(application);
  return unitQuestions
    .filter((q) => !(machine && ofBoxes.has(q.id)))
    .filter((q) => !(application === 'heatMeter' && ofCooling.has(q.id)))
    .map((q) =>
      q.id === 'probes'
        ? {
            ...q,
            why: probesWhy[application] ?? q.why,
            form: { type: 'list', options: names(probesOf(application), probeRoleNames) },
          }
        : q,
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
