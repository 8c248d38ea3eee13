import {
  ICE_NOTICED_SHARE,
  JOULES_PER_KWH,
  LEAST_NOTICED_KG,
  SECONDS_PER_DAY,
  WATER_NOTICED_SHARE,
} from '../../foundation/limits/index.ts';
import type { ControlEvent } from '../box/index.ts';
import type { BoxDrive, BoxFlows, BoxState } from '../box/index.ts';

/** Least, mean and greatest of a temperature, °C. */
export interface Spread {
  readonly min: number;
  readonly mean: number;
  readonly max: number;
}

/** What a run amounts to. Temperatures °C, times in the unit of their name. */
export interface Figures {
  readonly hours: number;
  readonly cutIn: number | null;
  readonly cutOut: number | null;
  readonly air: Spread;
  readonly product: Spread;
  readonly startsPerHour: number;
  readonly dutyPercent: number;
  readonly shortestRunMinutes: number | null;
  readonly shortestRestMinutes: number | null;
  /** Seconds calls were held, by the hold that ended last. */
  readonly heldSeconds: Readonly<Record<string, number>>;
  readonly defrosts: {
    readonly temperature: number;
    readonly time: number;
    readonly other: number;
    readonly skipped: number;
  };
  readonly longestDefrostMinutes: number;
  readonly defrostPercent: number;
  /** Ice on the coil at the end, and what it grew by over the run, kg: from after the last defrost before it to after its last, a day apart for a day's run, so that it tells a trend and not the hour. */
  readonly iceAtEnd: number;
  readonly iceGrown: number;
  /** Ice on the coil when cooling begins again after a defrost, kg, at most: what a defrost leaves. Null without a defrost. */
  readonly iceLeftAfterDefrost: number | null;
  /** Water still on the coil when a drain ended, kg, at most. */
  readonly waterLeftAfterDrain: number | null;
  /** From what on ice and water on this coil are worth a word, kg: a share of what fills it. */
  readonly iceNoticed: number;
  readonly waterNoticed: number;
  readonly kWhPerDay: number;
  readonly alarms: Readonly<Record<string, number>>;
  readonly minutesAbove: number;
  readonly minutesBelow: number;
  /** Time of the run until the product's surface first leaves its limits, either way; null where it never does. */
  readonly minutesUntilOutside: number | null;
}

/** Limits of the goods, °C; null where none are given. */
export interface StorageLimits {
  readonly min: number | null;
  readonly max: number | null;
}

/** Where each sum of a run stands: seconds, °C times seconds, °C. */
const SECONDS = 0;
const AIR_SUM = 1;
const AIR_MIN = 2;
const AIR_MAX = 3;
const PRODUCT_SUM = 4;
const PRODUCT_MIN = 5;
const PRODUCT_MAX = 6;
const RUNNING = 7;
const DEFROSTING = 8;
const ABOVE = 9;
const BELOW = 10;
const LEFT_AT = 11;
/** The limits of the goods; infinite where none are given. */
const LIMIT_MAX = 12;
const LIMIT_MIN = 13;
const SUMS = 14;

/** Counts a run as it goes. */
export class FigureCount {
  /** What grows second by second, in one array: nothing is allocated in a second. */
  private readonly sums = new Float64Array(SUMS);
  private starts = 0;
  private cutIns: number[] = [];
  private cutOuts: number[] = [];
  private runBegan = -1;
  private restBegan = -1;
  private shortestRun = Infinity;
  private shortestRest = Infinity;
  private held: Record<string, number> = {};
  private ends = { temperature: 0, time: 0, other: 0, skipped: 0 };
  private defrostBegan = -1;
  private longestDefrost = 0;
  private iceAtBegin: number;
  private iceLeft: number | null = null;
  /** Ice after the last defrost before the count began, and after the last one in it; null without one. */
  private iceAfterEarlier: number | null = null;
  private iceAfterLast: number | null = null;
  private waterLeft: number | null = null;
  private phase = 'regulate';
  private alarms: Record<string, number> = {};
  private last: BoxState;

  /** Frost that fills the coil, kg. */
  private readonly full: number;

  constructor(storage: StorageLimits, state: BoxState, full: number) {
    const { sums } = this;
    sums[AIR_MIN] = sums[PRODUCT_MIN] = Infinity;
    sums[AIR_MAX] = sums[PRODUCT_MAX] = -Infinity;
    sums[LEFT_AT] = -1;
    sums[LIMIT_MAX] = storage.max ?? Infinity;
    sums[LIMIT_MIN] = storage.min ?? -Infinity;
    this.full = full;
    this.last = state;
    this.iceAtBegin = state.ice;
  }

  /** An event before the count begins: only what a defrost left is kept. */
  eventBefore(event: ControlEvent): void {
    if (event.kind !== 'phase') return;
    if (event.value === 'regulate') this.iceAfterEarlier = this.last.ice;
  }

  begin(state: BoxState): void {
    this.iceAtBegin = state.ice;
    this.last = state;
  }

  event(event: ControlEvent): void {
    if (event.kind === 'compressor') {
      if (event.value === true) {
        this.starts += 1;
        if (event.reason === 'demand') this.cutIns.push(this.last.probe);
        if (this.restBegan >= 0) this.shortestRest = Math.min(this.shortestRest, event.t - this.restBegan);
        this.runBegan = event.t;
      } else {
        if (event.reason === 'demand') this.cutOuts.push(this.last.probe);
        if (this.runBegan >= 0) this.shortestRun = Math.min(this.shortestRun, event.t - this.runBegan);
        this.restBegan = event.t;
      }
    } else if (event.kind === 'defrostSkipped') this.ends.skipped += 1;
    else if (event.kind === 'alarmCause' && event.value === true && event.reason)
      this.alarms[event.reason] = (this.alarms[event.reason] ?? 0) + 1;
    else if (event.kind === 'held') {
      const name = String(event.value);
      this.held[name] = (this.held[name] ?? 0) + (event.numbers?.['seconds'] ?? 0);
    } else if (event.kind === 'phase') this.phaseEvent(event);
  }

  private phaseEvent(event: ControlEvent): void {
    if (event.value === 'defrost') this.defrostBegan = event.t;
    else if (this.phase === 'defrost') {
      const reason = event.reason === 'temperature' || event.reason === 'time' ? event.reason : 'other';
      this.ends[reason] += 1;
      if (this.defrostBegan >= 0)
        this.longestDefrost = Math.max(this.longestDefrost, event.t - this.defrostBegan);
    }
    if (event.value === 'regulate' && this.phase !== 'regulate') {
      this.iceAfterLast = this.last.ice;
      this.iceLeft = Math.max(this.iceLeft ?? 0, this.iceAfterLast);
      this.waterLeft = Math.max(this.waterLeft ?? 0, this.last.water);
    }
    this.phase = String(event.value);
  }

  /** So many seconds that ended in this state, under one phase and drive. */
  add(state: BoxState, phase: string, drive: BoxDrive, seconds: number): void {
    const { sums } = this;
    this.last = state;
    const { air, productFast, productSlow } = state;
    sums[SECONDS]! += seconds;
    sums[AIR_SUM]! += air * seconds;
    if (air < sums[AIR_MIN]!) sums[AIR_MIN] = air;
    if (air > sums[AIR_MAX]!) sums[AIR_MAX] = air;
    sums[PRODUCT_SUM]! += productSlow * seconds;
    if (productSlow < sums[PRODUCT_MIN]!) sums[PRODUCT_MIN] = productSlow;
    if (productSlow > sums[PRODUCT_MAX]!) sums[PRODUCT_MAX] = productSlow;
    if (drive.compressor || drive.airHeater) sums[RUNNING]! += seconds;
    if (phase !== 'regulate') sums[DEFROSTING]! += seconds;
    const above = productFast > sums[LIMIT_MAX]!;
    const below = productFast < sums[LIMIT_MIN]!;
    if (above) sums[ABOVE]! += seconds;
    if (below) sums[BELOW]! += seconds;
    if ((above || below) && sums[LEFT_AT]! < 0) sums[LEFT_AT] = sums[SECONDS]!;
  }

  private spread(min: number, sum: number, max: number): Spread {
    const { sums } = this;
    return { min: sums[min]!, mean: sums[sum]! / Math.max(1, sums[SECONDS]!), max: sums[max]! };
  }

  figures(flows: BoxFlows): Figures {
    const { sums } = this;
    const seconds = sums[SECONDS]!;
    const days = seconds / SECONDS_PER_DAY;
    const mean = (list: readonly number[]) =>
      list.length === 0 ? null : list.reduce((a, b) => a + b, 0) / list.length;
    const regulated = seconds - sums[DEFROSTING]!;
    return {
      hours: seconds / 3600,
      cutIn: mean(this.cutIns),
      cutOut: mean(this.cutOuts),
      air: this.spread(AIR_MIN, AIR_SUM, AIR_MAX),
      product: this.spread(PRODUCT_MIN, PRODUCT_SUM, PRODUCT_MAX),
      startsPerHour: (this.starts * 3600) / seconds,
      dutyPercent: (100 * sums[RUNNING]!) / Math.max(1, regulated),
      shortestRunMinutes: this.shortestRun === Infinity ? null : this.shortestRun / 60,
      shortestRestMinutes: this.shortestRest === Infinity ? null : this.shortestRest / 60,
      heldSeconds: this.held,
      defrosts: this.ends,
      longestDefrostMinutes: this.longestDefrost / 60,
      defrostPercent: (100 * sums[DEFROSTING]!) / seconds,
      iceAtEnd: this.last.ice,
      iceGrown:
        this.iceAfterEarlier === null || this.iceAfterLast === null
          ? this.last.ice - this.iceAtBegin
          : this.iceAfterLast - this.iceAfterEarlier,
      iceLeftAfterDefrost: this.iceLeft,
      waterLeftAfterDrain: this.waterLeft,
      iceNoticed: Math.max(LEAST_NOTICED_KG, ICE_NOTICED_SHARE * this.full),
      waterNoticed: Math.max(LEAST_NOTICED_KG, WATER_NOTICED_SHARE * this.full),
      kWhPerDay: (flows.compressorJoules + flows.otherJoules) / JOULES_PER_KWH / days,
      alarms: this.alarms,
      minutesAbove: sums[ABOVE]! / 60,
      minutesBelow: sums[BELOW]! / 60,
      minutesUntilOutside: sums[LEFT_AT]! < 0 ? null : sums[LEFT_AT]! / 60,
    };
  }
}
