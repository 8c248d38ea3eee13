import type { LampState, Shown } from '@brine/core/watching/course';

/** Points of a row that are taken and looked at: enough for digits of a twelfth of the picture. */
export const WATCHED_WIDTH = 480;

/** What the page asks of the worker that reads the display. Times are seconds. */
export type WatchRequest =
  | {
      readonly kind: 'picture';
      readonly at: number;
      readonly width: number;
      readonly height: number;
      readonly data: Uint8ClampedArray<ArrayBuffer>;
    }
  | {
      readonly kind: 'lamp';
      readonly id: string;
      readonly x: number;
      readonly y: number;
      readonly at: number;
    }
  | { readonly kind: 'noLamp'; readonly id: string };

/** Why nothing is read, for words. */
export type WhyNotRead = 'noDisplay' | 'dark' | 'glare' | 'unsure' | 'moved' | 'far';

/** What one picture came to. */
export interface WatchAnswer {
  readonly at: number;
  /** The text all of the last pictures agree on. */
  readonly text: string | null;
  readonly why: WhyNotRead | null;
  readonly changed: Shown | null;
  readonly lamps: readonly LampState[];
  /** Corners of the digits in the picture, four points. */
  readonly corners: readonly number[] | null;
  /** Where each lamp is in the picture. */
  readonly lampsAt: readonly { readonly id: string; readonly x: number; readonly y: number }[];
}
