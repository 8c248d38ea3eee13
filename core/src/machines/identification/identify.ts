import { leastSquares } from '../../foundation/statistics/index.ts';
import type { BoxParameters } from '../box/index.ts';
import { restingDrive, usualBoxOf, usualDoor, type Scenario } from '../simulation/index.ts';
import type { Course } from './course.ts';
import { roomFor, runAlong, trackOf, type OpenLoopBox } from './openLoop.ts';
import { doorByDuty } from './doorByDuty.ts';
import { measuredFigures } from './measured.ts';
import { boxAt, parameterIds, USUAL_LOGGER_LAG, valueAt } from './parameters.ts';
import { parametersWith, type Priors } from './priors.ts';
import { checksOf, deviations, errorsOf, groupsOf, middles } from './residuals.ts';

/** What a box is learned against: the scenario of the unit under the settings that were in force. */
export interface Identification {
  readonly course: Course;
  readonly scenario: Scenario;
  /** What is known of boxes of the kind besides what is usual. */
  readonly priors?: Priors;
  readonly progress?: (share: number) => boolean;
}

/** What was learned: a point and how sure it is, in what is fitted. */
export interface Learned {
  readonly at: Float64Array;
  /** n × n. */
  readonly covariance: Float64Array;
  /** Model less log, the model put back to the logged air at every start, K. */
  readonly airRms: number;
}

/** Hours at the beginning that are run and not compared: goods and frost of the model come to those of the unit. */
const SETTLES_H = 4;
const DOOR = parameterIds.indexOf('doorUse');
/** Derivative steps: a factor by 4 %, an amount by a tenth of its spread. */
const FACTOR_STEP = 0.04;

/** The box as it is run along a log at a point. */
export function openLoopBox(
  usual: BoxParameters,
  scenario: Scenario,
  at: Float64Array,
  { doorLogged, dry }: { readonly doorLogged: boolean; readonly dry: boolean },
): OpenLoopBox {
  const box = boxAt(usual, at);
  const door = usualDoor(scenario);
  const use = valueAt(at, 'doorUse');
  // A door that was logged passes its air while it is open; else its mean through the business day.
  const share = doorLogged ? use : (use * door.perHour * door.seconds) / 3600;
  return {
    box: {
      ...box,
      door: { ...box.door, share: box.door.share * share },
      ...(dry && { moisture: 0 }),
    },
    template: scenario.template,
    ambient: restingDrive(scenario).ambient,
    swing: valueAt(at, 'ambientSwing'),
    humidityFactor: dry ? 0 : valueAt(at, 'humidity'),
    loggerLag: USUAL_LOGGER_LAG * valueAt(at, 'loggerLag'),
    loggerOffset: valueAt(at, 'loggerOffset'),
    hotGas: scenario.config.defrost.method === 'hotGas',
  };
}

/** Defrosts that the log does not show would leave all the frost of a model on its coil: it is run dry then. */
export const isDry = ({ config }: Scenario, { defrosts }: Course): boolean =>
  config.defrost.method !== 'none' && defrosts.length === 0;

/** Learns a box along a course. Null where it was stopped. */
export function identify({
  course,
  scenario,
  priors,
  progress = () => true,
}: Identification): Learned | null {
  const parameters = parametersWith(priors);
  const { config } = scenario;
  const usual = usualBoxOf(scenario);
  const track = trackOf(course, usualDoor(scenario));
  const checks = checksOf(course, config, { from: SETTLES_H * 3600, step: track.step });
  const room = roomFor(track);
  const end = config.defrost.byTemperature ? config.defrost.endTemperature : null;
  const dry = isDry(scenario, course);
  const runAt = (at: Float64Array) =>
    runAlong(track, openLoopBox(usual, scenario, at, { doorLogged: course.door !== null, dry }), room);
  const deviatedAt = (at: Float64Array) => deviations(checks, runAt(at), end);
  const middle = Float64Array.from(parameters, (p) => p.usual);
  const spread = Float64Array.from(parameters, (p) => p.spread);
  const priorAt = (at: Float64Array) => at.map((x, i) => (x - middle[i]!) / spread[i]!);

  const groups = groupsOf(checks);
  const fitFrom = (from: Float64Array, errors: Float64Array, { rounds, begins, ends }: Round) =>
    leastSquares(
      (point) => {
        const data = middles(groups, deviatedAt(point), errors);
        const all = new Float64Array(data.length + parameters.length);
        all.set(data);
        all.set(priorAt(point), data.length);
        return all;
      },
      from,
      {
        steps: Float64Array.from(parameters, (p) => (p.scale === 'factor' ? FACTOR_STEP : p.spread / 10)),
        lower: Float64Array.from(parameters, (p) => p.lower),
        upper: Float64Array.from(parameters, (p) => p.upper),
        rounds,
        enough: ENOUGH,
        progress: (share) => progress(begins + share * (ends - begins)),
      },
    );
  const rough = fitFrom(Float64Array.from(middle), errorsOf(groups, null), ROUGH);
  if (!rough) return null;
  const door = doorByDuty(scenario, rough.at, parameters[DOOR]!, {
    dutyRise: measuredFigures(course).dutyRise,
    every: course.step,
  });
  middle[DOOR] = door.use;
  spread[DOOR] = door.error;
  const from = rough.at.with(DOOR, door.use);
  const fit = fitFrom(from, errorsOf(groups, deviatedAt(rough.at)), FINE);
  if (!fit) return null;
  const deviated = deviatedAt(fit.at);
  const airs = [...deviated].filter(
    (d, i) => d === d && ['run', 'rest', 'defrost'].includes(checks[i]!.kind),
  );
  return {
    at: fit.at,
    // With a prior on each number no direction is open.
    covariance: fit.covariance!,
    airRms: Math.sqrt(airs.reduce((sum, d) => sum + d * d, 0) / Math.max(1, airs.length)),
  };
}

/** A fit: at most so many rounds, and which part of the whole it takes. */
interface Round {
  readonly rounds: number;
  readonly begins: number;
  readonly ends: number;
}
const ROUGH: Round = { rounds: 16, begins: 0, ends: 0.55 };
const FINE: Round = { rounds: 12, begins: 0.6, ends: 1 };
/** A fit ends once a round lowers its sum by less than this share. */
const ENOUGH = 5e-3;
