import { findDisplay, track, WAYS, type Seen, type Pose, type WhyNot } from '../display/index.ts';
import { brightestOf, type Lights } from '../light/index.ts';
import { agreedText, within, type Frame } from './agreed.ts';
import { heldAfter, type Held } from './held.ts';
import { lampAfter, lampAt, newLamp, type LampCourse, type LampState } from './lamps.ts';

/** A text that stands on the display since a moment in seconds, and how exactly that moment is known; null: it stood there when watching began. */
export interface Shown {
  /** Empty: the display is dark. */
  readonly text: string;
  readonly since: number;
  readonly plusMinus: number | null;
}

/** What watching a display has come to. */
export interface Watching {
  readonly pose: Pose | null;
  /** How the pose was held; null where the display was not read since it was found anew. */
  readonly held: Held | null;
  /** By which light it is read, and how much of it its segments give. */
  readonly by: keyof Lights;
  readonly level: number;
  readonly frames: readonly Frame[];
  /** The last pictures themselves: what flickers is read over several. */
  readonly pictures: readonly { readonly at: number; readonly lights: Lights }[];
  readonly searchedAt: number;
  /** How often it was looked for: each time in other ways. */
  readonly searches: number;
  readonly shown: Shown | null;
  readonly lamps: readonly LampCourse[];
}

export const notWatching: Watching = {
  pose: null,
  held: null,
  by: 'colour',
  level: 0,
  frames: [],
  pictures: [],
  searchedAt: -Infinity,
  searches: 0,
  shown: null,
  lamps: [],
};

/** What one picture more brings. */
export interface Watched {
  readonly watching: Watching;
  /** Whether this picture is read, and why not. */
  readonly seen: Seen;
  /** The text that all of the last pictures agree on, now; null where they do not. */
  readonly text: string | null;
  /** A text that stands anew. */
  readonly changed: Shown | null;
  /** Lamps that do something else than before. */
  readonly lamps: readonly LampState[];
}

/** Frames are kept so long, to tell when a text began. */
const KEPT = 3;
/** A display that is not read for so long is looked for anew, and again after as long. */
const LOST = 0.8;
const SEARCH = 0.5;
/** So many ways are tried on one picture: the others on the next, so that the watch goes on meanwhile. */
const TRIED = 2;
/** Dark for so long, it is dark; before, it may blink. */
const DARK = 2.2;

/** A flickering display is read over so many pictures, as light as each point was on any of them: fewer than must agree, so that a change is no third text. */
const OVER = 3;

/** Takes one picture, taken at a moment in seconds, later than those before. */
export function watch(before: Watching, lights: Lights, at: number): Watched {
  let { pose, held, by, level, searchedAt, searches } = before;
  const pictures = [...before.pictures.slice(1 - OVER), { at, lights }];
  let seen: Seen = pose ? track(lights[by], pose, level) : { kind: 'notRead', why: 'noDisplay' };
  let from = at;
  if (pose && seen.kind === 'notRead' && seen.why === 'unsure' && pictures.length === OVER) {
    const over = track(brightestOf(pictures.map((one) => one.lights[by])), pose, level);
    if (over.kind === 'read') [seen, from] = [over, pictures[0]!.at];
  }
  const lastRead = before.frames.findLast((frame) => frame.seen.kind !== 'notRead')?.at ?? -Infinity;
  const lost = pose === null || (seen.kind === 'notRead' && at - lastRead > LOST);
  if (lost && at - searchedAt >= SEARCH) {
    searchedAt = at;
    // Each way on one picture, and on the next over several.
    const next = (Math.floor(searches / 2) * TRIED) % WAYS.length;
    const over = searches % 2 === 1;
    searches += 1;
    const found = findDisplay(over ? overAll(pictures) : lights, WAYS.slice(next, next + TRIED));
    if (found) {
      from = over ? pictures[0]!.at : at;
      seen = { kind: 'read', ...found };
      by = found.by;
      pose = found.pose;
      held = null;
      level = found.level;
    } else if (seen.kind === 'notRead' && seen.why !== 'dark' && at - lastRead > 4 * LOST) pose = null;
  }
  if (seen.kind === 'read') {
    held = heldAfter(held, seen);
    pose = held.pose;
    level = 0.8 * level + 0.2 * seen.level;
  }
  const frames = [...before.frames.filter((frame) => frame.at > at - KEPT), { at, from, seen }];
  const text = agreedText(frames, at);
  const changed = changeOf(before.shown, frames, text, at);
  const lamps =
    pose && (seen.kind !== 'notRead' || seen.why === 'dark' || seen.why === 'unsure')
      ? before.lamps.map((lamp) => lampAfter(lamp, lights.strongest, pose, level, at))
      : before.lamps;
  return {
    watching: {
      pose,
      held,
      by,
      level,
      frames,
      pictures,
      searchedAt,
      searches,
      shown: changed ?? before.shown,
      lamps,
    },
    seen,
    text,
    changed,
    lamps: lamps.filter((lamp, i) => lamp.state !== before.lamps[i]!.state).map(({ state }) => state),
  };
}

const overAll = (pictures: Watching['pictures']): Lights => ({
  strongest: brightestOf(pictures.map(({ lights }) => lights.strongest)),
  colour: brightestOf(pictures.map(({ lights }) => lights.colour)),
});

function changeOf(
  shown: Shown | null,
  frames: readonly Frame[],
  text: string | null,
  at: number,
): Shown | null {
  if (text === null) {
    const isDark = (frame: Frame) => frame.seen.kind === 'notRead' && frame.seen.why === 'dark';
    const lastLit = frames.findLast((frame) => !isDark(frame));
    const dark = lastLit ? frames.find((frame) => frame.at > lastLit.at) : frames[0];
    if (!shown || shown.text === '' || !dark || at - dark.at < DARK) return null;
    return { text: '', since: dark.at, plusMinus: lastLit ? (dark.at - lastLit.at) / 2 : null };
  }
  if (text === shown?.text) return null;
  const reads = frames.flatMap(({ at: when, from: since, seen }) =>
    seen.kind === 'read' ? [{ when, since, seen }] : [],
  );
  // The first picture of it after the last that shows what it does not hold.
  let first = reads.findLastIndex(({ seen }) => seen.text === text);
  const whole = reads[first]!.seen.digits;
  for (let i = first - 1; i >= 0; i -= 1) {
    const { seen } = reads[i]!;
    if (seen.text === text) first = i;
    else if (!within(seen.digits, whole)) break;
  }
  const earlier = reads[first - 1];
  const from = reads[first]!.when;
  return earlier && shown
    ? { text, since: (earlier.since + from) / 2, plusMinus: (from - earlier.since) / 2 }
    : { text, since: from, plusMinus: null };
}

/** Watching with one lamp more, touched at a point of the picture; unchanged while no display is found. */
export function withLamp(watching: Watching, id: string, x: number, y: number, at: number): Watching {
  const { pose, lamps } = watching;
  if (!pose) return watching;
  return { ...watching, lamps: [...lamps, newLamp(lampAt(id, pose, x, y), at)] };
}

/** Watching without a lamp. */
export const withoutLamp = (watching: Watching, id: string): Watching => ({
  ...watching,
  lamps: watching.lamps.filter(({ position }) => position.id !== id),
});

/** What is wrong with the view, for words: why most of the last pictures were not read; null where they were. */
export function whyNotRead({ frames }: Watching): WhyNot | null {
  const last = frames.slice(-8);
  const not = last.flatMap(({ seen }) => (seen.kind === 'notRead' ? [seen.why] : []));
  if (not.length * 2 <= last.length) return null;
  return not.toSorted(
    (a, b) => not.filter((why) => why === b).length - not.filter((why) => why === a).length,
  )[0]!;
}
