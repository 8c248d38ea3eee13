import {
  readSupplyText,
  readUnit,
  UNIT_FORMAT,
  type Sides,
  type UnitDescription,
} from '../../foundation/unit/index.ts';
import { isQuantity, printQuantity, quantity, valueIn } from '../../foundation/quantities/index.ts';
import {
  decode,
  type ControllerDefinition,
  type Decoded,
  type SheetRow,
} from '../../controllers/definitions/index.ts';
import { isFileProblem, type FileProblem } from '../../foundation/files/index.ts';
import { typedFacts } from './facts.ts';
import { learnedValues } from './learnedBox.ts';
import { isApplication, isMachine } from '../../foundation/settings/index.ts';
import { allStanding, standing, type JobState } from '../fold/index.ts';
import { findQuestion, questionsFor, type Question, type QuestionId } from '../../judgement/survey/index.ts';
import type { Body } from '../fold/index.ts';

/** Answers as they stand. */
export function answersOf(state: JobState): ReadonlyMap<QuestionId, NonNullable<Body<'answer'>['value']>> {
  return new Map(
    allStanding(state, 'answer').flatMap((a) => (a.value === null ? [] : [[a.question, a.value] as const])),
  );
}

/** Questions a plan needs that are not answered yet. */
export function openQuestions(state: JobState): readonly Question[] {
  const answers = answersOf(state);
  return questionsFor(answers.get('application'), answers.get('goods')).filter(
    (q) => q.required && !answers.has(q.id),
  );
}

/** The unit as the survey describes it, or null while a plan cannot be made. Sides of the company stand behind those of the job. */
export function unitOf(state: JobState, name: string, companyDefaults: Sides): UnitDescription | null {
  const unit = readSurvey(state, name, companyDefaults);
  return unit === null || isFileProblem(unit) ? null : unit;
}

/** What of the answers does not go together, in a sentence; null where nothing does not. */
export function surveyProblem(state: JobState): string | null {
  const unit = readSurvey(state, '', {});
  if (unit === null || !isFileProblem(unit)) return null;
  return `${findQuestion(unit.field)?.label ?? unit.field}: ${unit.message}.`;
}

function readSurvey(
  state: JobState,
  name: string,
  companyDefaults: Sides,
): UnitDescription | FileProblem | null {
  if (openQuestions(state).length > 0) return null;
  const answers = answersOf(state);
  const schools = Object.fromEntries(
    [...answers]
      .filter(([id]) => id.startsWith('school.'))
      .map(([id, side]) => [id.slice('school.'.length), side]),
  );
  const plain = [
    'application',
    'goods',
    'defrostMethod',
    'probes',
    'compressor',
    'doorUse',
    'doorContact',
    'heats',
    'drainPump',
    'probePlace',
    'ambient',
    'refrigerant',
    'displayUnit',
  ] as const;
  const fields = Object.fromEntries(plain.flatMap((id) => (answers.has(id) ? [[id, answers.get(id)]] : [])));
  const application = answers.get('application');
  const unasked =
    isApplication(application) && isMachine(application)
      ? { goods: 'nothing', defrostMethod: 'none' }
      : application === 'chilledWaterTank'
        ? { defrostMethod: 'none' }
        : {};
  const supplyText = answers.get('supply');
  const supply =
    typeof supplyText === 'string' ? readSupplyText(supplyText, application === 'vehicleFridge') : null;
  const facts = typedFacts(state);
  const measured = Object.keys(facts).length > 0 ? { facts } : {};
  const learned = learnedValues(state, application);
  return readUnit({
    format: UNIT_FORMAT,
    name,
    ...fields,
    ...unasked,
    ...measured,
    ...(learned && { learned }),
    ...(supply && { supply }),
    ...(answers.get('goods') === 'own' && { product: ownProduct(answers) }),
    ...(typeof answers.get('probeType') === 'string' && { probeTypes: [answers.get('probeType')] }),
    schools,
    companyDefaults,
  });
}

/** A product that stands in no list, as far as it was stated. */
function ownProduct(answers: ReturnType<typeof answersOf>): Readonly<Record<string, unknown>> {
  const fields = (['name', 'max', 'min', 'source'] as const).flatMap((field) => {
    const value = answers.get(`product.${field}`);
    return value === undefined || value === '' ? [] : [[field, value]];
  });
  return Object.fromEntries(fields) as Readonly<Record<string, unknown>>;
}

/** The as-found sheet in the old control's own codes, in the order of its definition, unknown codes last. */
export function foundSheet(state: JobState, definition: ControllerDefinition | null): readonly SheetRow[] {
  const rows = allStanding(state, 'found').flatMap((f) =>
    f.value === null ? [] : [{ code: f.code, value: f.value }],
  );
  if (!definition) return rows;
  const place = new Map(definition.parameters.map((p, i) => [p.code, i]));
  return [...rows].sort((a, b) => (place.get(a.code) ?? Infinity) - (place.get(b.code) ?? Infinity));
}

/** What the old control was set to: its sheet read, or the band of a mechanical one as measured; null where neither is known. */
export function foundMeaning(state: JobState, definition: ControllerDefinition | null): Decoded | null {
  return definition ? decode(definition, foundSheet(state, definition)) : mechanicalMeaning(state);
}

/**
 * A mechanical control has no codes: it is taken over by the cut-in and cut-out that were measured on it. Set point is the cut-out, the
 * differential what lies between. Null while one of the two is missing or cut-in does not lie above cut-out.
 */
export function mechanicalMeaning(state: JobState): Decoded | null {
  const band = standing(state, 'mechanical', 'mechanical');
  if (!band?.cutIn || !band.cutOut) return null;
  const kelvin = valueIn(band.cutIn, 'degC') - valueIn(band.cutOut, 'degC');
  if (kelvin <= 0) return null;
  const fahrenheit = band.cutOut.unit === 'degF';
  const width = fahrenheit ? quantity((kelvin * 9) / 5, 'deltaF') : quantity(kelvin, 'K');
  return {
    values: {
      'regulation.setpoint': band.cutOut,
      'regulation.differential': { ...width, value: Math.round(width.value * 100) / 100 },
      'regulation.differentialPlacement': 'setpointIsCutOut',
    },
    unplaced: [],
    codes: new Map(),
    display: { unit: fahrenheit ? 'degF' : 'degC', decimal: true },
  };
}

/** What was wrong, in the words of the people there; empty where nobody said. */
export function complaintOf(state: JobState): string {
  const said = answersOf(state).get('complaint');
  return typeof said === 'string' ? said : '';
}

/** What the sheet says of the plate: the unit's own words, and answers that they do not already hold. */
export function plateLines(plate: string, state: JobState): readonly string[] {
  const answers = answersOf(state);
  const said = (['refrigerant', 'supply', 'ambient'] as const).flatMap((id) => {
    const value = answers.get(id);
    if (value === undefined || value === '') return [];
    return [isQuantity(value) ? `ambient ${printQuantity(value)}` : String(value)];
  });
  return [plate, ...said.filter((line) => !plateSays(plate, line))].filter((line) => line !== '');
}

/** A plate says a supply in its own words: `208 V three-phase` needs no `208 V, 3 phases` beside it. */
function plateSays(plate: string, line: string): boolean {
  const [, volts, phases] = /^(\d+(?:\.\d+)? V)(.*)$/.exec(line) ?? [];
  if (volts === undefined) return plate.includes(line);
  const known = new RegExp(`(?<![\\d.])${volts}(?!\\w)`).test(plate);
  return known && (!/phase/.test(phases ?? '') || /phase|\b3 ?~/i.test(plate));
}
