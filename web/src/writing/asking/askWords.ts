import {
  lookUntil,
  type Asking,
  type Bath,
  type HandAct,
  type Outcome,
  type SavingPlan,
  type Seen,
} from '@brine/core/judgement/asking';
import { printNumber } from '@brine/core/foundation/quantities';
import { stopwatch } from '../../shared/display/localTime.ts';

const bathNames: Readonly<Record<Bath, string>> = {
  iceAndSalt: 'ice and salt',
  iceWater: 'ice water, stirred',
  room: 'the air of the room',
  hand: 'your hand',
  hotWater: 'hot water',
};

const seenNames: Readonly<Record<Seen, string>> = {
  compressor: 'cooling',
  defrost: 'the defrost output',
  fan: 'the fans',
  stage2: 'the second stage',
  alarm: 'the alarm',
  doorAlarm: 'the alarm of the door',
  inputAlarm: 'the alarm of the contact',
};

function actWords({ does }: HandAct): string {
  switch (does.kind) {
    case 'air':
      return `air probe into ${bathNames[does.bath]}`;
    case 'coil':
      return `coil probe into ${bathNames[does.bath]}`;
    case 'defrost':
      return 'start a defrost by hand';
    case 'door':
      return does.open ? 'open the door contact' : 'shut the door contact';
    case 'input':
      return does.closed ? 'bridge the alarm contact' : 'open the alarm contact';
    case 'wire':
      return does.pulled ? 'pull one wire of the air probe' : 'put the wire of the air probe back';
  }
}
const sentence = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** A trial, step by step. */
function trialSteps({ trial, at, by }: Pick<Asking, 'trial' | 'at' | 'by'>): readonly string[] {
  const { keyed, acts } = trial;
  const before = acts.filter((act) => act.at === 0).map(actWords);
  const later = acts.filter((act) => act.at > 0);
  const watched = by.map((one) => (one === 'reading' ? 'the display' : seenNames[one])).join(' and ');
  return [
    'Switch the supply of the control off.',
    ...(before.length > 0 ? [sentence(before.join(', '))] : []),
    ...(keyed.length > 0
      ? [
          `Power on, key ${keyed.map(({ code, value }) => `${code} to ${String(value).replace('-', '−')}`).join(', ')}, and power off again.`,
        ]
      : []),
    'Power on: the stopwatch begins.',
    ...later.map((act) => `At ${stopwatch(act.at)}: ${actWords(act)}.`),
    `Watch ${watched} until ${stopwatch(lookUntil(at))}.`,
  ];
}

/** What a trial shows under some meanings. */
function outcomeWords({ at, by }: Pick<Asking, 'at' | 'by'>, { sight }: Pick<Outcome, 'sight'>): string {
  const until = lookUntil(at);
  const parts = by.map((one) => {
    if (one === 'reading')
      return `the display reads about ${printNumber(sight.reading[Math.min(sight.reading.length, Math.ceil(at)) - 1]!, 0)}`;
    const changes = sight.changes[one].filter(({ t }) => t < until);
    const name = seenNames[one];
    if (changes.length === 0) return `${name}: off all the time`;
    return `${name}: ${changes.map(({ t, on }) => `${on ? 'on' : 'off'} ${t < AT_ONCE ? 'at once' : `at ${stopwatch(t)}`}`).join(', ')}`;
  });
  return sentence(parts.join('; '));
}

/** Nobody tells seconds like these from none. */
const AT_ONCE = 4;

/** What is done, and what may be seen, each with the meanings it leaves and what comes then. */
export interface AskView {
  readonly steps: readonly string[];
  readonly outcomes: readonly {
    readonly words: string;
    readonly meanings: readonly number[];
    readonly then: Asking | null;
  }[];
}

export const trialView = (asking: Asking): AskView => ({
  steps: trialSteps(asking),
  outcomes: asking.outcomes.map((outcome) => ({
    words: outcomeWords(asking, outcome),
    meanings: outcome.meanings,
    then: outcome.then,
  })),
});

export const savingView = ({ code, strokes, shows }: SavingPlan): AskView => ({
  steps: [
    ...strokes.map((stroke) => `${stroke}.`),
    'At once, before the menu is left, switch the supply off and on.',
    `Read ${code} again.`,
  ],
  outcomes: shows.map((value, i) => ({ words: `${code} shows ${value}.`, meanings: [i], then: null })),
});

/** How long it takes, as people say it. */
export const lastsWords = (seconds: number): string =>
  seconds < 5400 ? `${Math.max(1, Math.round(seconds / 60))} min` : `${printNumber(seconds / 3600, 1)} h`;
