import type { LampState } from '@brine/core/watching/course';
import { localSecond } from '../display/localTime.ts';
import type { WhyNotRead } from './watchMessages.ts';

/** What is wrong with the view, and what to do. */
export const whyWords: Readonly<Record<WhyNotRead, string>> = {
  noDisplay: 'No lit digits found. Go nearer, until they fill a quarter of the picture.',
  dark: 'The display is dark.',
  glare: 'Glare lies over the digits. Tilt the phone, or shade the display.',
  unsure: 'Not sure enough to read. Hold the phone straight before the display, nearer, and still.',
  moved: 'The phone moves. Prop it up.',
  far: 'The digits are too small. Go nearer, or use 2×.',
};

export const lampWords: Readonly<Record<LampState['is'], string>> = {
  on: 'on',
  off: 'off',
  blinks: 'blinks',
  notRead: 'not read yet',
};

/** Something that may be seen at the front of a control: a lamp's state, a text, or any other text than before. */
export type Sight =
  | { readonly kind: 'lamp'; readonly lamp: string; readonly is: 'on' | 'off' | 'blinks' }
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'change' };

/** A sight as a value that a list of choices can hold, and back. */
export const sightId = (sight: Sight): string =>
  sight.kind === 'lamp'
    ? `lamp:${sight.lamp}:${sight.is}`
    : sight.kind === 'text'
      ? `text:${sight.text}`
      : 'change';

export const sightWords = (sight: Sight, nameOf: (lamp: string) => string): string => {
  if (sight.kind === 'change') return 'the display changes';
  if (sight.kind === 'text')
    return sight.text === '' ? 'the display goes dark' : `the display shows ${sight.text}`;
  const does = { on: 'comes on', off: 'goes out', blinks: 'blinks' }[sight.is];
  return `${nameOf(sight.lamp)} ${does}`;
};

/** A log of what was read, a row each time, as a logger would write it. */
export const logCsv = (
  readings: readonly { readonly at: number; readonly value: number }[],
  degrees: 'C' | 'F',
): string =>
  [
    `time,air (°${degrees})`,
    ...readings.map(({ at, value }) => `${localSecond(new Date(at).toISOString())},${value}`),
  ].join('\n');
