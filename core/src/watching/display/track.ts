import { characterOf, textOf, type Digit } from '../characters/index.ts';
import { cropped, type Light } from '../light/index.ts';
import { blobsOf, litPoints } from './blobs.ts';
import { explainedBy } from './explained.ts';
import { clearest } from './clearest.ts';
import { decideWhole } from './decideWhole.ts';
import { fitPose } from './fitPose.ts';
import { heightOf, moved, type Pose } from './pose.ts';

/** Why a picture is not read. */
export type WhyNot = 'noDisplay' | 'dark' | 'glare' | 'unsure' | 'moved';

/** What one picture shows: a text, segment by segment sure, or nothing, and why. */
export type Seen =
  | {
      readonly kind: 'read';
      readonly text: string;
      readonly digits: readonly Digit[];
      readonly pose: Pose;
      readonly level: number;
      readonly margin: number;
    }
  /** Digits that are dark lie between lit ones: a display that is lit digit by digit, on a picture that missed some. */
  | { readonly kind: 'part'; readonly digits: readonly Digit[] }
  | { readonly kind: 'notRead'; readonly why: WhyNot };

/** How far a display may have moved between two pictures, in heights: further off it is looked for anew. */
const DRIFT = 0.3;
/** Below this share of the light it had, all of it is dark. */
const GONE = 0.15;

/** Reads a display that stood so, with so much light, a moment ago. */
export function track(light: Light, from: Pose, level: number): Seen {
  const first = decideWhole(light, from);
  if (!first.ok && first.level < GONE * level) return { kind: 'notRead', why: 'dark' };
  const at = fitPose(light, first.ok ? from : clearest(light, from));
  const decided = decideWhole(light, at);
  if (!decided.ok) return { kind: 'notRead', why: decided.level < GONE * level ? 'dark' : decided.why };
  const height = heightOf(from);
  const drift = Math.max(...at.corners.map((value, i) => Math.abs(value - from.corners[i]!)));
  if (drift > DRIFT * height) return { kind: 'notRead', why: 'moved' };
  const text = textOf(decided.digits);
  if (text === null && decided.digits.every(({ pattern }) => characterOf(pattern) !== null))
    return { kind: 'part', digits: decided.digits };
  if (text === null) return { kind: 'notRead', why: 'unsure' };
  if (text === '') return { kind: 'notRead', why: 'dark' };
  const { digits, pose, margin } = decided;
  if (!isExplained(light, pose, digits)) return { kind: 'notRead', why: 'unsure' };
  return { kind: 'read', text, digits, pose, level: decided.level, margin };
}

/** How much of the surroundings is looked at, in heights, and how much of the light there must be explained: less than where it is searched for, since its pose was held by pictures before. */
const AROUND = 0.45;
const EXPLAINED = 0.86;

/** Whether the light in and around a display is that of its lit segments: a pose that slipped beside a segment leaves it over. */
function isExplained(light: Light, pose: Pose, digits: readonly Digit[]): boolean {
  const { corners } = pose;
  const margin = AROUND * heightOf(pose);
  const xs = [corners[0], corners[2], corners[4], corners[6]];
  const ys = [corners[1], corners[3], corners[5], corners[7]];
  const part = cropped(
    light,
    Math.min(...xs) - margin,
    Math.min(...ys) - margin,
    Math.max(...xs) + margin,
    Math.max(...ys) + margin,
  );
  const { left, top, light: near } = part;
  const there = moved(pose, (value, i) => value - (i % 2 ? top : left));
  const lit = litPoints(near, heightOf(pose));
  return explainedBy(near, lit, there, digits, blobsOf(lit, near.width, near.height)) >= EXPLAINED;
}
