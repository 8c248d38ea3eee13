import type { Panel } from '../controllers/index.ts';
import type { PlanStep } from './plan/walker.ts';

/** A step as a technician reads it: what comes before the keys, the keys, what comes after. */
export interface StrokeWords {
  readonly before: string;
  readonly keys: readonly string[];
  readonly after: string;
}

/** More presses than this are said as “hold until it shows”: keys held in an edit repeat. */
const MOST_PRESSES = 8;

const counted = (times: number) => (times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`);

/** Puts a step of a plan in words: “hold ▲ until 60 shows”. Keys by their labels. */
export function strokeWords(panel: Panel, step: PlanStep): StrokeWords {
  const keys = (step.keys ?? []).map((id) => panel.keys.find((k) => k.id === id)?.label ?? id);
  const times = step.times ?? 1;
  switch (step.action) {
    case 'press': {
      const held = (step.holding ?? []).map((id) => panel.keys.find((k) => k.id === id)?.label ?? id);
      const before = held.length > 0 ? `with ${held.join(' and ')} held` : '';
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
