import {
  ambientRatio,
  boxOf,
  driveAtRest,
  BoxFlows,
  restingBox,
  stepBox,
  boxWork,
  templates,
} from '../../machines/box/index.ts';

/** An empty body to be cooled. m, °C; `insulation` 1 as new, 0.6 old and wet. */
export interface Body {
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly insulation: number;
  readonly outdoor: number;
  readonly startsAt: number;
  readonly setpoint: number;
  /** Distance from set point that counts as in range, K. */
  readonly band: number;
}

/** Minutes until the air, and until walls and floor are there; null: not within twelve hours. */
export interface PreCool {
  readonly airMinutes: number | null;
  readonly wallMinutes: number | null;
  /** How far down the air gets at last, °C. */
  readonly reached: number;
  readonly volume: number;
}

const LONGEST_HOURS = 12;
/** Walls within so much of the set point take no more heat worth speaking of, K. */
const WALL_NEAR = 4;
/** A body has a floor and rails, no goods: this share of a full load's heat. */
const EMPTY_SHARE = 0.03;

/**
 * Pre-cooling of an empty body on the refrigerated box (an estimate): engine running, doors shut, from `startsAt`. The air is there soon; the walls, which would warm it again with the doors open, take longer. A sentence where the body is none.
 */
export function preCool(body: Body): PreCool | string {
  for (const [name, value, least, most] of [
    ['length', body.length, 0.5, 20],
    ['width', body.width, 0.5, 4],
    ['height', body.height, 0.5, 4],
  ] as const)
    if (!(value >= least && value <= most)) return `The ${name} inside: expected ${least} to ${most} m.`;
  if (!(body.insulation >= 0.2 && body.insulation <= 2))
    return 'The insulation: expected a share from 0.2 to 2.';
  for (const [name, value] of [
    ['outdoor temperature', body.outdoor],
    ['temperature it starts at', body.startsAt],
  ] as const)
    if (!(value >= -40 && value <= 60)) return `The ${name}: expected −40 to 60 °C.`;
  const volume = body.length * body.width * body.height;
  const t = templates.transportUnit;
  const parameters = boxOf('transportUnit', {
    volumeFactor: volume / t.volume,
    insulationFactor: body.insulation,
    goodsFactor: EMPTY_SHARE,
    ambient: body.outdoor,
  });
  const state = restingBox(body.startsAt);
  const drive = driveAtRest(body.outdoor, ambientRatio(t, body.outdoor));
  drive.compressor = true;
  drive.fan = true;
  const flows = new BoxFlows();
  const work = boxWork();
  let [airAt, wallAt]: [number | null, number | null] = [null, null];
  let seconds = 0;
  for (; seconds < LONGEST_HOURS * 3600 && (airAt === null || wallAt === null); seconds += 1) {
    // In range the unit holds: it does not go on cooling below its set point.
    drive.compressor = state.air > body.setpoint;
    stepBox(parameters, state, drive, 1, flows, work);
    if (airAt === null && state.air <= body.setpoint + body.band) airAt = seconds / 60;
    if (airAt !== null && state.wall <= body.setpoint + WALL_NEAR) wallAt = seconds / 60;
  }
  return { airMinutes: airAt, wallMinutes: wallAt, reached: state.air, volume };
}
