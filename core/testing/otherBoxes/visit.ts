import {
  borrowedId,
  forecastVisit,
  planVisit,
  type Borrowed,
  type OpenTest,
  type Span,
  type VisitQuestion,
  type VisitStep,
} from '../../src/judgement/leaving/index.ts';
import { commissioningTests, predict, restOfPullDown } from '../../src/judgement/commissioning/index.ts';
import { controlConfig, humidityRatio, powerUp, tick, type Command } from '../../src/machines/box/index.ts';
import type { ControllerDefinition } from '../../src/controllers/definitions/index.ts';
import type { SettingValues } from '../../src/foundation/settings/index.ts';
import { OtherPlant } from './plant.ts';
import type { OtherBox } from './recipe.ts';

/** A time that was promised, and what it came to: s from the beginning of the visit. */
export interface KeptPromise {
  readonly of: string;
  readonly promised: Span;
  readonly came: number;
}

/** What came of a visit. */
export interface PlayedVisit {
  readonly promises: readonly KeptPromise[];
  /** When it was over, and what was promised of that at its beginning. */
  readonly whole: KeptPromise;
  readonly proven: readonly string[];
  /** What the control was set to at the end. */
  readonly values: SettingValues;
  readonly planned: SettingValues;
  /** What the display showed when the people on site were to look, and between what it was to stand; null: nobody was asked. */
  readonly asked: { readonly least: number; readonly most: number; readonly shown: number } | null;
}

const WARM_WATER = 30;
const ICE_AND_SALT = -40;
const baths = [
  [/ice and salt/, ICE_AND_SALT],
  [/ice water/, 0],
  [/warm water/, WARM_WATER],
] as const;
/** Nobody waits longer than this for something, s. */
const GIVES_UP = 6 * 3600;
/** The plan is made anew at least so often, s; at each step that ends as well. */
const EVERY = 300;

interface Running {
  readonly step: VisitStep;
  readonly promised: Span;
  index: number;
  began: number;
  /** Since when a start counts as the one it waits for: from its stop on. */
  since: number;
  /** How long its present phase of hands or clock takes. */
  takes: number;
}

/**
 * Plays a visit on a box of other equations, second by second: a person does what the plan says, hands as quick as `random` says, reads the air and plans anew; waits end when the control does what they
 * wait for.
 */
export function playVisit(
  box: OtherBox,
  control: ControllerDefinition,
  minutes: number,
  random: () => number,
): PlayedVisit {
  const values = { ...box.settings, ...alarms };
  const plant = new OtherPlant(emptied(box.recipe, random), box.recipe.weather[0], box.recipe.weather[0]);
  let inForce: SettingValues = values;
  let config = configOf(inForce);
  let state = powerUp(config.setpoint);
  const drive = {
    compressor: false,
    fan: false,
    heater: false,
    ambient: box.recipe.weather[0],
    ambientRatio: humidityRatio(box.recipe.weather[0], box.recipe.weather[3]),
    exchange: box.recipe.air / 36_000,
    load: 0,
  };
  const open = new Map(testsOf(box, values, control).map((test) => [test.id, test]));
  const out = new Map<string, Borrowed>();
  const running: Running[] = [];
  const promises: KeptPromise[] = [];
  let isCold = false;
  let inWater = WARM_WATER;
  let commands: Command[] = [];
  let [air, coil] = [plant.probe, plant.coilProbe];
  let lastStart = -1;
  let before = { compressor: false, fan: false, alarm: false, phase: 'regulate' };
  let door = false;
  let dark = false;
  let plan = null as ReturnType<typeof planVisit> | null;
  let planned = -Infinity;
  let whole: Span | null = null;
  let asked = null as { at: number; least: number; most: number; shown: number } | null;
  let over = Infinity;

  const predicted = predict(box.unit, values, plant.probe);
  if (typeof predicted === 'string') throw new Error(predicted);
  const read: { minutes: number; celsius: number }[] = [];
  const replan = (t: number) => {
    read.push({ minutes: t / 60, celsius: plant.probe });
    const rest = isCold ? null : restOfPullDown(predicted, read, t / 60);
    const airNow = {
      celsius: plant.probe,
      regulates: isCold,
      started: t > 0,
      ...(rest && { pullDown: rest }),
    };
    const forecast = forecastVisit(box.unit, values, airNow);
    if (typeof forecast === 'string') throw new Error(forecast);
    const question: VisitQuestion = {
      unit: box.unit,
      values,
      tests: [...open.values()]
        .filter((test) => !running.some(({ step }) => step.way.tests.includes(test.id)))
        .map((test): OpenTest => ({ test, running: null })),
      forecast,
      air: airNow,
      seconds: 60 * minutes - t,
      powered: t,
      movable: [
        { setting: 'regulation.setpoint', least: -40, most: 40 },
        { setting: 'alarms.delay', least: 60, most: 7200 },
        { setting: 'alarms.powerOnExclusion', least: 0, most: 24 * 3600 },
      ],
      out: [],
      display: 'degC',
    };
    plan = planVisit(question);
    planned = t;
    whole ??= plan.leave;
    if (plan.question && t < over) asked = { ...plan.question, at: t + plan.question.at, shown: Number.NaN };
    else if (t < over) asked = null;
  };
  const lend = (one: Borrowed) => {
    out.set(borrowedId(one), one);
    if (one.kind !== 'value') return;
    inForce = { ...inForce, [one.setting]: one.to };
    config = configOf(inForce);
    state.setpoint = config.setpoint;
  };
  const giveBack = (one: Borrowed) => {
    out.delete(borrowedId(one));
    if (one.kind !== 'value') return;
    inForce = { ...inForce, [one.setting]: values[one.setting] } as SettingValues;
    config = configOf(inForce);
    state.setpoint = config.setpoint;
  };
  const takesOf = (step: VisitStep, index: number) => {
    const { early, likely, late } = step.way.phases[index]!.seconds;
    // Hands take what they take: evenly between a tenth and nine tenths.
    return step.way.phases[index]!.uses.includes('hands') ? early + random() * (late - early) : likely;
  };
  const enter = (run: Running, index: number, t: number) => {
    run.index = index;
    run.began = t;
    if (run.step.way.phases[index]!.until === 'start') run.since = run.since < 0 ? t : run.since;
    run.takes = takesOf(run.step, index);
    const { lends, does } = run.step.way.phases[index]!;
    if (lends?.kind === 'probe') lend(lends);
    const bath = baths.find(([words]) => words.test(does))?.[1];
    if (lends?.kind === 'probe' && bath === undefined) throw new Error(`Into what? ${does}`);
    inWater = bath ?? inWater;
    if (/^Key a defrost/.test(does)) commands = [{ does: 'startDefrost' }];
    if (/^Open the door/.test(does)) door = true;
    if (/^Shut it/.test(does)) door = false;
    dark = /^Power off/.test(does);
  };
  const usesNow = () => new Set(running.flatMap(({ step, index }) => step.way.phases[index]!.uses));

  for (let t = 0; t < GIVES_UP + 60 * minutes; t += 1) {
    // What the control does in this second.
    air = out.has('probe:air') ? inWater : plant.probe;
    coil = out.has('probe:coil') ? WARM_WATER : plant.coilProbe;
    if (dark) {
      state = powerUp(config.setpoint);
      Object.assign(drive, { compressor: false, fan: false, heater: false });
    } else {
      const outputs = tick(
        config,
        state,
        { air, coil, coil2: null, doorOpen: door, alarmInput: false, timeOfDay: 36_000 + t, commands },
        () => undefined,
      );
      commands = [];
      Object.assign(drive, { compressor: outputs.compressor, fan: outputs.fan, heater: outputs.defrost });
    }
    drive.exchange = (door ? box.recipe.door[2] : 0) + box.recipe.air / 36_000;
    plant.second(drive);
    const now = { compressor: drive.compressor, fan: drive.fan, alarm: state.out.alarm, phase: state.phase };
    const happened: Readonly<Record<string, boolean>> = {
      stop: !now.compressor && now.phase === 'regulate',
      defrostEnd: now.phase !== 'defrost',
      drainEnd: now.phase === 'regulate',
      fansOn: now.fan,
      alarm: now.alarm,
    };
    if (before.compressor && happened['stop'] && out.size === 0 && !dark && !door && !state.air.failed)
      isCold = true;
    if (now.compressor && !before.compressor) lastStart = t;
    before = now;
    // What the person does.
    for (const run of [...running]) {
      const one = run.step.way.phases[run.index]!;
      const isOver =
        one.until === null
          ? t - run.began >= run.takes
          : (one.until === 'start' ? lastStart > run.since : happened[one.until]) || t - run.began > GIVES_UP;
      if (!isOver) continue;
      if (one.until === 'stop') run.since = t;
      if (one.lends?.kind === 'value') lend(one.lends);
      if (one.returns) giveBack(one.returns);
      if (run.index + 1 < run.step.way.phases.length) {
        enter(run, run.index + 1, t);
        continue;
      }
      running.splice(running.indexOf(run), 1);
      for (const id of run.step.way.tests) open.delete(id);
      // What hands alone do is as long as it is said to be: no promise of the forecast's.
      if (run.step.way.phases.some(({ until }) => until !== null))
        promises.push({ of: run.step.proof.id, promised: run.promised, came: t });
      planned = -Infinity;
    }
    if (asked && t === Math.round(asked.at))
      asked = { least: asked.least, most: asked.most, at: asked.at, shown: plant.probe };
    if (over < Infinity) {
      if (!asked || t > asked.at) break;
      continue;
    }
    if (t - planned >= EVERY || planned === -Infinity) {
      if (t < 60 * minutes) replan(t);
      else plan = null;
    }
    if (running.length === 0 && (!plan || plan.steps.length === 0)) {
      over = t;
      continue;
    }
    for (const step of plan?.steps ?? []) {
      if (step.start > t - planned) break;
      if (!open.has(step.way.tests[0]!) || running.some((run) => run.step.proof.id === step.proof.id))
        continue;
      const taken = usesNow();
      if (step.way.phases.some(({ uses }) => uses.some((use) => taken.has(use)))) break;
      const promised = shift(step.end, planned);
      const run: Running = { step, promised, index: 0, began: t, since: -1, takes: 0 };
      running.push(run);
      enter(run, 0, t);
    }
  }
  return {
    promises,
    whole: { of: 'visit', promised: whole!, came: over },
    proven: testsOf(box, values, control)
      .map(({ id }) => id)
      .filter((id) => !open.has(id)),
    values: inForce,
    planned: values,
    asked: asked && !Number.isNaN(asked.shown) ? asked : null,
  };
}

/** Alarms as a job has them: the test boxes come without. */
const alarms = {
  'alarms.reference': 'relative',
  'alarms.highOffset': { value: 6, unit: 'K' },
  'alarms.delay': { value: 1200, unit: 's' },
  'alarms.powerOnExclusion': { value: 7200, unit: 's' },
  'compressor.powerOnDelay': { value: 120, unit: 's' },
} as const satisfies SettingValues;

/** Open proofs of a unit that is wired and powered. */
function testsOf(box: OtherBox, values: SettingValues, control: ControllerDefinition) {
  const tests = commissioningTests({
    unit: box.unit,
    control,
    values,
    loads: [],
    circuit: null,
    predicted: null,
    display: 'degC',
  });
  if (typeof tests === 'string') throw new Error(tests);
  return tests.filter(({ id }) => !/^(dead|power\.order|users|outputs\.(fan|compressor|alarm))/.test(id));
}

const configOf = (values: SettingValues) => {
  const config = controlConfig(values);
  if (typeof config === 'string') throw new Error(config);
  return { ...config, defrost: { ...config.defrost, initiation: 'manual' as const } };
};

/** A box as it is commissioned: little in it, nobody at the door. */
const emptied = (recipe: OtherBox['recipe'], random: () => number): OtherBox['recipe'] => ({
  ...recipe,
  goods: [recipe.goods[0] * (0.02 + 0.15 * random()), recipe.goods[1], recipe.goods[2]],
});

const shift = ({ early, likely, late }: Span, by: number): Span => ({
  early: early + by,
  likely: likely + by,
  late: late + by,
});
