import type { SettingValues } from '../../foundation/settings/index.ts';
import { quantity } from '../../foundation/quantities/index.ts';
import { sentence, type Sentence } from '../../foundation/sentences/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import {
  parameters,
  parametersWith,
  pointOf,
  saidByLog,
  type BoxFile,
  type ParameterId,
  type Priors,
} from '../../machines/identification/index.ts';
import { covarianceOf, naturalPoint, partWords, usualOf } from '../learning/index.ts';
import { unitScenario } from '../tuning/index.ts';
import { causesFor } from './causesFor.ts';

/** What a learned box is compared with: its own earlier one, or the usual of its kind. */
export interface Compared {
  readonly unit: UnitDescription;
  readonly values: SettingValues;
  readonly box: BoxFile;
  readonly earlier: BoxFile | null;
}

/** What a learned box says of one cause. */
export interface LearnedSays {
  /** The cause, by its id in the complaint finder. */
  readonly cause: string;
  /** How many times likelier the log is with this cause than without it. */
  readonly times: number;
  readonly words: Sentence;
}

/** What a sound box drifts by from one log to the next, in what is fitted. Ours. */
const DRIFT = 0.08;
/** No log is believed beyond this either way, in logarithms of thirty to one: the model errs as well. Approached, not cut off, so that of two the likelier stays so. */
const MOST = Math.log(30);

/**
 * How a learned box speaks for and against causes, by Bayes' factors: how likely what the log said of a parameter is where the cause changed it, against a sound box. A parameter's own say is what its posterior adds to its
 * prior; parameters are taken each for itself. Two causes that change the same are told apart by nothing in a log: they share what it says. Empty where the unit cannot be run.
 */
export function learnedSays({ unit, values, box, earlier }: Compared): readonly LearnedSays[] {
  const scenario = unitScenario(usualOf(unit), values);
  if (typeof scenario === 'string') return [];
  const at = pointOf(scenario, naturalPoint(box));
  const errors = errorsOf(box);
  const thought = parametersWith(box.priors);
  const before = earlier && { at: pointOf(scenario, naturalPoint(earlier)), errors: errorsOf(earlier) };
  return causesFor(unit).flatMap(({ id: cause, box: change = {} }): readonly LearnedSays[] => {
    let [log, most] = [0, { by: 0, i: -1 }];
    for (const [id, [mean, spread]] of Object.entries(change) as [ParameterId, readonly [number, number]][]) {
      const i = parameters.findIndex((p) => p.id === id);
      const said = saidByLog(at[i]!, errors[i]!, thought[i]!);
      if (!said) continue;
      const usual = thought[i]!;
      const from = before ? before.at[i]! : usual.usual;
      const sound = said.variance + (before ? before.errors[i]! ** 2 + DRIFT ** 2 : usual.spread ** 2);
      const by =
        normalLog(said.value - from - mean, sound + spread ** 2) - normalLog(said.value - from, sound);
      log += by;
      if (Math.abs(by) > Math.abs(most.by)) most = { by, i };
    }
    if (most.i < 0) return [];
    const times = Math.exp(MOST * Math.tanh(log / MOST));
    return [
      {
        cause,
        times,
        words: wordsOf(most.i, at[most.i]! - (before ? before.at[most.i]! : thought[most.i]!.usual), {
          before: before !== null,
          priors: box.priors,
        }),
      },
    ];
  });
}

const errorsOf = (box: BoxFile): readonly number[] => {
  const square = covarianceOf(box);
  const n = parameters.length;
  return parameters.map((_, i) => Math.sqrt(square[i * n + i]!));
};

/** Logarithm of a normal density, without its constant. */
const normalLog = (x: number, variance: number) => -0.5 * (Math.log(variance) + x ** 2 / variance);

/** A part against what it is compared with: the box before, the company's own units of the kind where it was learned with them, else the usual. */
function wordsOf(
  i: number,
  by: number,
  { before, priors }: { readonly before: boolean; readonly priors: Priors | undefined },
): Sentence {
  const { id } = parameters[i]!;
  if (id === 'loggerOffset')
    return sentence`The log reads ${quantity(Math.round(Math.abs(by) * 10) / 10, 'K')} ${by > 0 ? 'warmer' : 'colder'} than the control’s own probe${before ? ', against the log before' : ''}.`;
  const against = before
    ? 'what it was when it was learned before'
    : priors?.[id]
      ? 'what your units of the kind have in common'
      : 'what is usual';
  const part = partWords[id]!;
  return `${part[0]!.toUpperCase()}${part.slice(1)} ${Math.round(100 * Math.exp(by))} % of ${against}.`;
}
