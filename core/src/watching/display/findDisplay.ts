import { textOf, type Digit } from '../characters/index.ts';
import { softened, type Light, type Lights } from '../light/index.ts';
import { blobsOf, groupsOf, litPoints, type Blob } from './blobs.ts';
import { candidatesOn } from './candidates.ts';
import { directionsOf } from './directions.ts';
import { explainedBy } from './explained.ts';
import { ASPECT, fitPose, FINE_STEPS, ROUGH_STEPS } from './fitPose.ts';
import { aspectOf, heightOf, type Pose } from './pose.ts';
import { rowsOf } from './rows.ts';
import { decideWhole } from './decideWhole.ts';

/** A display that was found, and what it shows there. */
export interface Found extends Read {
  /** By which light it is read. */
  readonly by: keyof Lights;
}

interface Read {
  readonly pose: Pose;
  readonly digits: readonly Digit[];
  readonly text: string;
  readonly level: number;
  readonly margin: number;
  /** Share of the light around it that its lit segments and points explain. */
  readonly explained: number;
}

/** One way to look for a display: by which light, and held against which surroundings, as a share of the picture's width. */
export interface Way {
  readonly by: keyof Lights;
  readonly around: number;
}

/** Wide surroundings for large segments, narrow ones where a reflection lies beside them; by colour first, which knows no grey front and no reflection. */
export const WAYS: readonly Way[] = [1 / 7, 1 / 16, 1 / 32].flatMap((around) => [
  { by: 'colour' as const, around },
  { by: 'strongest' as const, around },
]);
/** So many groups of light are looked at, the largest first. */
const GROUPS = 2;
/** The best of the first search, each of which is fitted. */
const FITTED = 10;
/** At least this much of the light must be explained, and this much more than by anything that would read otherwise. */
const EXPLAINED = 0.9;
const CLEARER = 0.12;
/** Thin segments are fitted out of focus first, by this share of the group's height: from beside them no step of the fit would find back. */
const SOFT = 0.05;

/**
 * Looks for a lit display in a picture: groups of light, upright and level by the directions of their edges, on which every size, distance and width
 * of digits is tried; the best are fitted to the picture itself. Null where none is found, or where two readings are near alike.
 */
export function findDisplay(lights: Lights, ways: readonly Way[] = WAYS): Found | null {
  for (const { by, around } of ways) {
    const light = lights[by];
    const lit = litPoints(light, light.width * around);
    const groups = groupsOf(blobsOf(lit, light.width, light.height), light.width);
    for (const group of groups.slice(0, GROUPS)) {
      const found = inGroup(light, lit, group);
      if (found) return { ...found, by };
    }
  }
  return null;
}

function inGroup(light: Light, lit: Uint8Array, group: readonly Blob[]): Read | null {
  const box = boxOf(group);
  const about = Math.max(3, (box.bottom - box.top) * 0.15);
  const directions = directionsOf(light, {
    left: box.left - about,
    top: box.top - about,
    right: box.right + about,
    bottom: box.bottom + about,
  });
  const candidates = rowsOf(light, lit, group, directions)
    .flatMap(candidatesOn)
    .sort((a, b) => b.worth - a.worth);
  const kept = unlike(
    candidates.map(({ pose }) => pose),
    FITTED,
  );
  const soft = softened(light, (box.bottom - box.top) * SOFT);
  const near = unlike(
    kept.map((pose) => fitPose(soft, pose, ROUGH_STEPS)),
    FITTED,
  );
  const read = near
    .map((pose) => readAt(light, lit, fitPose(light, pose, FINE_STEPS), group))
    .filter((one) => one !== null)
    .sort((a, b) => clear(b) - clear(a));
  const first = read[0];
  if (!first || first.explained < EXPLAINED) return null;
  const rival = read.find((other) => other.text !== first.text);
  return rival && clear(rival) > clear(first) - CLEARER ? null : first;
}

/** What explains more light, and every segment of it more surely, is the better reading. */
const clear = ({ explained, margin }: Read): number => explained + margin;

function boxOf(group: readonly Blob[]): Blob {
  return {
    left: Math.min(...group.map((blob) => blob.left)),
    top: Math.min(...group.map((blob) => blob.top)),
    right: Math.max(...group.map((blob) => blob.right)),
    bottom: Math.max(...group.map((blob) => blob.bottom)),
    points: group.reduce((sum, blob) => sum + blob.points, 0),
  };
}

/** The first of them, each unlike those before. */
function unlike(poses: readonly Pose[], most: number): readonly Pose[] {
  const kept: Pose[] = [];
  for (const pose of poses) {
    if (kept.length >= most) break;
    if (!kept.some((other) => alike(other, pose))) kept.push(pose);
  }
  return kept;
}

const alike = (one: Pose, other: Pose): boolean => {
  if (one.digits !== other.digits) return false;
  const limit = heightOf(one) * 0.06;
  return one.corners.every((value, i) => Math.abs(value - other.corners[i]!) < limit);
};

/** What a display shows that stands so, and how much of the light of its group that explains. */
function readAt(light: Light, lit: Uint8Array, from: Pose, group: readonly Blob[]): Read | null {
  const decided = decideWhole(light, from);
  if (!decided.ok) return null;
  const { pose, digits, level, margin } = decided;
  const text = textOf(digits);
  if (text === null || text === '') return null;
  const aspect = aspectOf(pose);
  if (aspect < ASPECT[0] || aspect > ASPECT[1]) return null;
  return { pose, digits, text, level, margin, explained: explainedBy(light, lit, pose, digits, group) };
}
