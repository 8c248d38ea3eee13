import { JOULES_PER_KWH } from '../../../foundation/limits/index.ts';
import type { CondenserState } from '../control/condenserState.ts';
import type { CondenserFlows, CondenserPlant, CondenserPlantState } from './plant.ts';

/** What a condenser's day came to. Temperatures °C, energies kWh. */
export interface CondenserFigures {
  readonly hours: number;
  readonly liquid: { readonly min: number; readonly mean: number; readonly max: number };
  readonly fanKWh: number;
  readonly compressorKWh: number;
  readonly totalKWh: number;
  /** Starts and hours of each fan; one entry for all where a drive turns them together. */
  readonly fanStarts: readonly number[];
  readonly fanHours: readonly number[];
  /** Mean output while a compressor runs, %. */
  readonly meanPercent: number;
  /** Turns of the output an hour, each of 5 % at least: a loop that hunts has dozens. */
  readonly turnsPerHour: number;
  /** Mean distance of the liquid from the set point while a compressor and some fan run, K. */
  readonly meanErrorK: number;
  /** Minutes below what the expansion valve needs, three minutes after the last start of a compressor and later. */
  readonly starvedMinutes: number;
  readonly compressorHours: number;
  readonly compressorStarts: number;
}

/** A start from a cold condenser is below it for a moment, and the valve is full of gas anyway, s. */
const FILLING = 180;
/** A turn of the output smaller than this is following, not hunting. */
const TURN = 0.05;

/** Sums of a condenser's run, from where it begins to count. */
export class RunCount {
  private seconds = 0;
  private sum = 0;
  private min = Infinity;
  private max = -Infinity;
  private outputs = 0;
  private runningSeconds = 0;
  private compressorSeconds = 0;
  private turns = 0;
  private rising = true;
  private extreme = 0;
  private errors = 0;
  private errorSeconds = 0;
  private starved = 0;
  private compressorStarts = 0;
  private runningBefore = 0;
  private since = 0;
  private startsBefore: number[] = [];
  private secondsBefore: number[] = [];
  private driveStarts = 0;
  private turned = false;
  private readonly plant: CondenserPlant;

  constructor(plant: CondenserPlant) {
    this.plant = plant;
  }

  begin(fans: CondenserState, state: CondenserPlantState): void {
    this.startsBefore = fans.fans.map((f) => f.starts);
    this.secondsBefore = fans.fans.map((f) => f.seconds);
    this.extreme = fans.output;
    this.turned = fans.output > 0;
    this.min = state.liquid;
    this.max = state.liquid;
    this.runningBefore = state.running;
  }

  add(state: CondenserPlantState, output: number, setpoint: number): void {
    this.seconds += 1;
    const { liquid, running } = state;
    this.sum += liquid;
    if (liquid < this.min) this.min = liquid;
    if (liquid > this.max) this.max = liquid;
    this.compressorSeconds += running;
    if (running > this.runningBefore) {
      this.compressorStarts += 1;
      this.since = this.seconds;
    }
    this.runningBefore = running;
    if (running > 0) {
      this.runningSeconds += 1;
      this.outputs += output;
      if (state.condensing < this.plant.lowestCondensing && this.seconds - this.since >= FILLING)
        this.starved += 1;
      if (output > 0) {
        this.errors += Math.abs(liquid - setpoint);
        this.errorSeconds += 1;
      }
    }
    if (output > 0 && !this.turned) this.driveStarts += 1;
    this.turned = output > 0;
    if (this.rising ? output > this.extreme : output < this.extreme) this.extreme = output;
    else if (Math.abs(output - this.extreme) >= TURN) {
      this.turns += 1;
      this.rising = !this.rising;
      this.extreme = output;
    }
  }

  figures(fans: CondenserState, flows: CondenserFlows, hours: number): CondenserFigures {
    const starts = fans.fans.map((f, i) => f.starts - (this.startsBefore[i] ?? 0));
    const fanHours = fans.fans.map((f, i) => (f.seconds - (this.secondsBefore[i] ?? 0)) / 3600);
    const together = starts.every((n) => n === 0) && this.driveStarts > 0;
    return {
      hours,
      liquid: { min: this.min, mean: this.sum / Math.max(1, this.seconds), max: this.max },
      fanKWh: flows.fans / JOULES_PER_KWH,
      compressorKWh: flows.compressor / JOULES_PER_KWH,
      totalKWh: (flows.fans + flows.compressor) / JOULES_PER_KWH,
      fanStarts: together ? starts.map(() => this.driveStarts) : starts,
      fanHours,
      meanPercent: this.runningSeconds > 0 ? (100 * this.outputs) / this.runningSeconds : 0,
      turnsPerHour: this.turns / Math.max(1e-9, this.seconds / 3600),
      meanErrorK: this.errorSeconds > 0 ? this.errors / this.errorSeconds : 0,
      starvedMinutes: this.starved / 60,
      compressorHours: this.compressorSeconds / 3600,
      compressorStarts: this.compressorStarts,
    };
  }
}
