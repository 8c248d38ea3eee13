import { SECONDS_PER_DAY, JOULES_PER_KWH } from '../../foundation/limits/index.ts';
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
  /** Ice on the coil at the end, and what it grew by over the run, kg. */
  readonly iceAtEnd: number;
  readonly iceGrown: number;
  /** Ice on the coil when cooling begins again after a defrost, kg, at most: what a defrost leaves. Null without a defrost. */
  readonly iceLeftAfterDefrost: number | null;
  /** Water still on the coil when a drain ended, kg, at most. */
  readonly waterLeftAfterDrain: number | null;
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

class Range {
  private least = Infinity;
  private most = -Infinity;
  private sum = 0;
  private n = 0;
  add(value: number, seconds: number): void {
    if (value < this.least) this.least = value;
    if (value > this.most) this.most = value;
    this.sum += value * seconds;
    this.n += seconds;
  }
  spread(): Spread {
    return { min: this.least, mean: this.sum / Math.max(1, this.n), max: this.most };
  }
}

const ice = (state: BoxState) => state.zones[0].frost + state.zones[1].frost;
const water = (state: BoxState) => state.zones[0].water + state.zones[1].water;

/** Counts a run as it goes. */
export class FigureCount {
  private air = new Range();
  private product = new Range();
  private seconds = 0;
  private running = 0;
  private defrosting = 0;
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
  private waterLeft: number | null = null;
  private phase = 'regulate';
  private alarms: Record<string, number> = {};
  private above = 0;
  private below = 0;
  private leftAt = -1;
  private last: BoxState;

  private readonly storage: StorageLimits;

  constructor(storage: StorageLimits, state: BoxState) {
    this.storage = storage;
    this.last = state;
    this.iceAtBegin = ice(state);
  }

  begin(state: BoxState): void {
    this.iceAtBegin = ice(state);
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
      this.iceLeft = Math.max(this.iceLeft ?? 0, ice(this.last));
      this.waterLeft = Math.max(this.waterLeft ?? 0, water(this.last));
    }
    this.phase = String(event.value);
  }

  /** So many seconds that ended in this state, under one phase and drive. */
  add(state: BoxState, phase: string, drive: BoxDrive, seconds: number): void {
    this.seconds += seconds;
    this.last = state;
    this.air.add(state.air, seconds);
    this.product.add(state.productSlow, seconds);
    if (drive.compressor || drive.airHeater) this.running += seconds;
    if (phase !== 'regulate') this.defrosting += seconds;
    const above = this.storage.max !== null && state.productFast > this.storage.max;
    const below = this.storage.min !== null && state.productFast < this.storage.min;
    if (above) this.above += seconds;
    if (below) this.below += seconds;
    if ((above || below) && this.leftAt < 0) this.leftAt = this.seconds;
  }

  figures(flows: BoxFlows): Figures {
    const days = this.seconds / SECONDS_PER_DAY;
    const mean = (list: readonly number[]) =>
      list.length === 0 ? null : list.reduce((a, b) => a + b, 0) / list.length;
    const regulated = this.seconds - this.defrosting;
    return {
      hours: this.seconds / 3600,
      cutIn: mean(this.cutIns),
      cutOut: mean(this.cutOuts),
      air: this.air.spread(),
      product: this.product.spread(),
      startsPerHour: (this.starts * 3600) / this.seconds,
      dutyPercent: (100 * this.running) / Math.max(1, regulated),
      shortestRunMinutes: this.shortestRun === Infinity ? null : this.shortestRun / 60,
      shortestRestMinutes: this.shortestRest === Infinity ? null : this.shortestRest / 60,
      heldSeconds: this.held,
      defrosts: this.ends,
      longestDefrostMinutes: this.longestDefrost / 60,
      defrostPercent: (100 * this.defrosting) / this.seconds,
      iceAtEnd: ice(this.last),
      iceGrown: ice(this.last) - this.iceAtBegin,
      iceLeftAfterDefrost: this.iceLeft,
      waterLeftAfterDrain: this.waterLeft,
      kWhPerDay: (flows.compressorJoules + flows.otherJoules) / JOULES_PER_KWH / days,
      alarms: this.alarms,
      minutesAbove: this.above / 60,
      minutesBelow: this.below / 60,
      minutesUntilOutside: this.leftAt < 0 ? null : this.leftAt / 60,
    };
  }
}
