import type { Panel } from '../../definitions/index.ts';
import type { PlanStep } from '../plan/walker.ts';
import { keyLabel } from './keyLabel.ts';

/** A step as a technician reads it: what comes before the keys, the keys, what comes after. */
export interface StrokeWords {
  readonly before: string;
  readonly keys: readonly string[];
  readonly after: string;
}

/** More presses than this are said as “hold until it shows”: keys held in an edit repeat. */
const MOST_PRESSES = 8;

const counted = (times: number) => (times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`);

/** A step as a sentence: “Hold ▲ and ▼ together for 5 s”, “With HAND held, press DN once”. */
export function strokeSentence(panel: Panel, step: PlanStep): string {
  const { before, keys, after } = strokeWords(panel, step);
  const together = keys.join(' and ');
  const verb = step.action === 'press' && !before.includes('hold') ? 'press' : '';
  const parts =
    step.action === 'chord'
      ? [step.seconds === undefined ? 'press' : 'hold', together, 'together', after]
      : [before && verb ? `${before},` : before, verb, together, after];
  const sentence = parts.filter((part) => part !== '').join(' ');
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}

/** Puts a step of a plan in words: “hold ▲ until 60 shows”. Keys by their labels. */
export function strokeWords(panel: Panel, step: PlanStep): StrokeWords {
  const keys = (step.keys ?? []).map((id) => keyLabel(panel, id));
  const times = step.times ?? 1;
  switch (step.action) {
    case 'press': {
      const held = (step.holding ?? []).map((id) => keyLabel(panel, id));
      const before = held.length > 0 ? `with ${held.join(' and ')} down` : '';
      if (step.until) return { before, keys, after: `until it shows ${step.shows}` };
      return times > MOST_PRESSES
        ? { before: [before, 'hold'].filter(Boolean).join(', '), keys, after: `until ${step.shows} shows` }
        : { before, keys, after: counted(times) };
    }
    case 'hold':
      return { before: 'hold', keys, after: `for ${step.seconds} s` };
    case 'chord':
      return {
        before: step.seconds === undefined ? 'press together' : 'hold together',
        keys,
        after: step.seconds === undefined ? '' : `for ${step.seconds} s`,
      };
    case 'wait':
      return { before: `touch no key for ${step.seconds} s`, keys: [], after: '' };
    case 'power':
      return { before: step.to === 'off' ? 'supply off' : 'supply on', keys: [], after: '' };
    case 'switch': {
      const where = panel.switches?.find((s) => s.id === step.keys?.[0])?.hidden;
      return {
        before: `switch ${step.keys?.[0]}${where ? `, ${where},` : ''} to ${step.to}`,
        keys: [],
        after: '',
      };
    }
  }
}
