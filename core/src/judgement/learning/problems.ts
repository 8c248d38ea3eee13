import { quantity } from '../../foundation/quantities/index.ts';
import { sentence, type Sentence } from '../../foundation/sentences/index.ts';
import type { CourseProblem } from '../../logs/course/index.ts';
import type { BoxFinding } from '../../machines/identification/index.ts';

const hours = (h: number) => quantity(Math.round(h), 'h');
const celsius = (t: number) => quantity(Math.round(t * 10) / 10, 'degC');

/** Why nothing, or not all of a log, was learned from, in a sentence. */
const words: Readonly<Record<CourseProblem['code'], (n: Readonly<Record<string, number>>) => Sentence>> = {
  noAir: () => 'The log has no readings of the air; nothing can be told without them.',
  tooShort: (n) =>
    sentence`The log has ${hours(n['hours']!)} in one piece; a day is needed, since the load of the night is not that of the day.`,
  tooCoarse: (n) =>
    sentence`A row every ${quantity(Math.round(n['minutes']!), 'min')} is too coarse for how fast this unit cycles; log every minute, or log the compressor too.`,
  nothingSwitches: (n) =>
    sentence`In ${hours(n['hours']!)} the compressor never stopped and started again; what the box loses and what the machine gives cannot be told apart then.`,
  fewCycles: (n) =>
    sentence`Only ${n['starts']!} starts in ${hours(n['hours']!)}; a dozen are needed. Log longer, or more often.`,
  gap: (n) =>
    sentence`${n['gaps']!} ${n['gaps'] === 1 ? 'gap' : 'gaps'} in the log, the longest ${quantity(Math.round(n['longest']!), 'min')}; learned from the ${hours(n['hours']!)} without one.`,
  changed: (n) =>
    sentence`The settings were changed in the middle of the log; learned from the ${hours(n['hours']!)} in which they stayed.`,
  otherSettings: (n) =>
    sentence`The log swings about ${celsius(n['logged']!)}, these settings about ${celsius(n['set']!)}: another unit’s log, or other settings were in force.`,
};

export const courseFinding = ({ code, fatal, numbers }: CourseProblem): BoxFinding => ({
  code,
  severity: fatal ? 'error' : 'warning',
  message: words[code](numbers),
  numbers,
});
