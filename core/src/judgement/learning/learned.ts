import { quantity } from '../../foundation/quantities/index.ts';
import { sentence, type Sentence } from '../../foundation/sentences/index.ts';
import type { Scenario } from '../../machines/simulation/index.ts';
import {
  naturalOf,
  parameters,
  valueAt,
  type BoxFinding,
  type Course,
  type Learned,
  type ParameterId,
  type Priors,
} from '../../machines/identification/index.ts';

/** A difference is told from so many standard errors on, and from this factor on: a fifth is nothing a technician could see. */
const CLEAR = 1.6;
const WORTH_SAYING = Math.log(1.2);

const percent = (factor: number) => Math.round(100 * factor);
const round = (value: number) => Number(value.toPrecision(2));

/** What a log told of a box, in words with numbers: what differs from the usual, and what could not be told. */
export function learnedFindings(
  scenario: Scenario,
  course: Course,
  learned: Learned,
  priors?: Priors,
): readonly BoxFinding[] {
  const { at, covariance } = learned;
  const natural = naturalOf(scenario, at, covariance, priors);
  const n = parameters.length;
  const list: BoxFinding[] = [];
  const note = (code: string, message: Sentence, numbers: Readonly<Record<string, number>> = {}) =>
    list.push({ code, severity: 'note', message, numbers });
  const warn = (code: string, message: Sentence, numbers: Readonly<Record<string, number>>) =>
    list.push({ code, severity: 'warning', message, numbers });
  /** How a factor differs from the usual, clearly; 0 where it does not. */
  const differs = (id: ParameterId): number => {
    const i = parameters.findIndex((p) => p.id === id);
    const by = at[i]! - parameters[i]!.usual;
    const error = Math.sqrt(covariance[i * n + i]!);
    return Math.abs(by) > Math.max(WORTH_SAYING, CLEAR * error) ? by : 0;
  };
  const factor = (id: ParameterId) => valueAt(at, id);
  const numbersOf = (id: ParameterId) => ({
    value: natural[id].value,
    error: natural[id].error,
    factor: factor(id),
  });

  const told = (id: ParameterId) => natural[id].from === 'log';
  const loss = differs('wallLoss');
  const lossWords = `${round(natural.wallLoss.value)} ± ${round(natural.wallLoss.error)} W/K`;
  if (loss > 0)
    warn(
      'losesMore',
      `Its walls let through ${lossWords}, ${percent(factor('wallLoss') - 1)} % more than usual for its size: look at the seals, the door and wet insulation.`,
      numbersOf('wallLoss'),
    );
  else if (told('wallLoss'))
    note(
      'loses',
      `Its walls let through ${lossWords}${loss < 0 ? ', less than usual' : ', as usual'} for its size.`,
      numbersOf('wallLoss'),
    );
  if (differs('capacity') < 0)
    warn(
      'givesLess',
      `The machine gives ${percent(factor('capacity'))} % of what is usual for this box: a dirty condenser, a low charge or a weak compressor, or it was built smaller.`,
      numbersOf('capacity'),
    );
  else if (told('capacity'))
    note('gives', `The machine gives about ${round(natural.capacity.value)} W.`, numbersOf('capacity'));
  if (!told('wallLoss') || !told('capacity'))
    note(
      'lossUnknown',
      'What its walls let through and what the machine gives could not both be told from this log; what is not told stays as usual. Log longer, or the air around it.',
    );
  if (course.coil && differs('coilToAir') < 0)
    warn(
      'coilGivesLess',
      `The coil takes up ${percent(factor('coilToAir'))} % of what a clean one does: dirt, ice between defrosts, or a fan that is slow.`,
      numbersOf('coilToAir'),
    );
  const follows = (natural.productFast.value + natural.productSlow.value) / natural.productToAir.value / 3600;
  note('productFollows', sentence`What is kept follows the air in about ${quantity(round(follows), 'h')}.`, {
    hours: follows,
  });
  if (differs('doorUse') > 0)
    warn(
      'doorBusy',
      `The door lets in ${percent(factor('doorUse'))} % of what this use of it usually does: a door that stands open, or warm product that comes in.`,
      numbersOf('doorUse'),
    );
  if (scenario.config.defrost.method === 'electric' && course.defrosts.length > 0 && differs('heater') < 0)
    warn(
      'heaterWeak',
      `The heater does ${percent(factor('heater'))} % of the usual: an element may be lost. Clamp it.`,
      numbersOf('heater'),
    );
  const offset = natural.loggerOffset;
  if (Math.abs(offset.value) > Math.max(0.5, 2 * offset.error))
    note(
      'loggerOff',
      sentence`The logger reads ${quantity(round(Math.abs(offset.value)), 'K')} ${offset.value > 0 ? 'warmer' : 'colder'} than the control’s own probe.`,
      { kelvins: offset.value, error: offset.error },
    );
  if (learned.airRms > POOR_FIT_K)
    warn(
      'poorFit',
      sentence`Between two starts the model strays by ${quantity(round(learned.airRms), 'K')}: take its predictions with care.`,
      { kelvins: learned.airRms },
    );
  untold(scenario, course, note);
  return list;
}

/** Beyond this the model does not say what the air does, K. */
const POOR_FIT_K = 1.5;

/** What the log could not tell, and what would. */
function untold(scenario: Scenario, course: Course, note: (code: string, message: Sentence) => void): void {
  if (!course.outputsLogged)
    note(
      'outputsUnknown',
      'The compressor was not logged; its starts were read from the turns of the air. Log it to sharpen the duty.',
    );
  if (!course.coil)
    note(
      'coilUnknown',
      'No coil in this log; coil and frost stay as usual. A second probe on the coil would tell them.',
    );
  if (!course.door)
    note(
      'doorUnknown',
      'No door openings in this log; how often it is opened was told from the day’s load alone. A door contact would sharpen it.',
    );
  if (!course.ambient)
    note(
      'ambientUnknown',
      'The air around the unit was not logged; it is taken as the unit’s own ambient with a usual day’s swing.',
    );
  if (scenario.config.defrost.method !== 'none' && course.defrosts.length === 0)
    note(
      'defrostsUnknown',
      'No defrost was seen in this log; frost and heater stay as usual. Log the coil, or the defrost.',
    );
}
