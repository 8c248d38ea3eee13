import { ZERO_CELSIUS_K } from '../../../foundation/limits/index.ts';
/** Carnot share of a reciprocating or scroll machine at design (common practice: 0.4 to 0.55). */
const EFFICIENCY = 0.45;
const LEAST_LIFT_K = 8;
/** Heat that leaves without any fan, as a share of full (common practice: under a tenth). */
const STILL_SHARE = 0.08;
/** Air-side conductance rises with air flow to this power (common practice for plate fins: 0.6 to 0.8). */
const FLOW_POWER = 0.7;

/** A condenser with the machine that feeds it. W, °C, K, J/K. */
export interface CondenserPlant {
  /** Cooling of all compressors together at `evaporating` and `ratedCondensing`. */
  readonly capacity: number;
  readonly compressors: number;
  readonly evaporating: number;
  readonly ratedCondensing: number;
  /** Conductance to the outdoor air, fans at full speed, coil clean. */
  readonly conductance: number;
  /** 1 clean; 0.6 is a coil that should have been washed. */
  readonly clean: number;
  /** Metal and refrigerant that warm and cool with the condensing temperature. */
  readonly heatCapacity: number;
  readonly fanWatts: number;
  readonly fans: number;
  /** Liquid leaves this much colder than it condenses, K. */
  readonly subcooling: number;
  /** Pipe and probe each lag by so many seconds. */
  readonly lag: number;
  /** Condensing below which the expansion valve cannot pass all it should, °C. */
  readonly lowestCondensing: number;
}

/** What stands; changed in place. */
export interface CondenserPlantState {
  condensing: number;
  pipe: number;
  liquid: number;
  /** Heat waiting in the rooms, J; compressors start and stop on it. */
  backlog: number;
  running: number;
  /** Half of the condenser is closed off. */
  halved: boolean;
}

/** What flowed in a step, J; the two sides of the balance are counted apart. */
export interface CondenserFlows {
  rejected: number;
  given: number;
  cooling: number;
  compressor: number;
  fans: number;
}

/** A condenser as warm as the air around it, compressors off. */
export const restingCondenser = (outdoor: number): CondenserPlantState => ({
  condensing: outdoor,
  pipe: outdoor,
  liquid: outdoor,
  backlog: 0,
  running: 0,
  halved: false,
});

export const noFlows = (): CondenserFlows => ({ rejected: 0, given: 0, cooling: 0, compressor: 0, fans: 0 });

/** Heat that waits before one more compressor starts: four minutes of it. */
const STAGE_SECONDS = 240;

/** Conductance to the air, W/K. `flow`: share of full air, by speed for a drive, by fans that run where they are switched. `always`: share of the fans that nothing controls. */
export function conductanceAt(
  plant: CondenserPlant,
  flow: number,
  byDrive: boolean,
  halved: boolean,
  always = 0,
): number {
  const moved = always + (1 - always) * (byDrive ? flow ** FLOW_POWER : flow);
  return (
    plant.conductance *
    plant.clean *
    (halved ? 0.5 : 1) *
    (STILL_SHARE + (1 - STILL_SHARE) * Math.max(0, moved))
  );
}

/** Cooling one compressor gives, W: 1 % less a kelvin of condensing temperature (common practice); a starved valve passes with the root of what drives it. */
export function coolingAt(plant: CondenserPlant, condensing: number): number {
  const each = plant.capacity / plant.compressors;
  const free = each * Math.max(0.3, 1 - 0.01 * (condensing - plant.ratedCondensing));
  const drop = condensing - plant.evaporating;
  const needed = plant.lowestCondensing - plant.evaporating;
  return drop >= needed ? free : free * Math.sqrt(Math.max(0.02, drop / needed));
}

/** Electric power of one compressor, W: cooling over a share of Carnot's COP. */
export function powerAt(plant: CondenserPlant, condensing: number): number {
  const lift = Math.max(LEAST_LIFT_K, condensing - plant.evaporating);
  return coolingAt(plant, condensing) / ((EFFICIENCY * (plant.evaporating + ZERO_CELSIUS_K)) / lift);
}

/**
 * One second: the rooms' heat comes, compressors start and stop on what waits, the condensing temperature goes exponentially to where heat in and out meet, so that
 * the balance closes to rounding. `flow` is the fans' output, 0 to 1; power of a driven fan goes with its cube (fan law), of switched ones with their number.
 */
export function stepCondenser(
  plant: CondenserPlant,
  s: CondenserPlantState,
  flows: CondenserFlows,
  drive: {
    readonly outdoor: number;
    readonly load: number;
    readonly flow: number;
    readonly byDrive: boolean;
    /** Share of the fans that nothing controls: they run. */
    readonly always?: number;
  },
): void {
  const { always = 0 } = drive;
  const stage = (plant.capacity / plant.compressors) * STAGE_SECONDS;
  s.backlog += drive.load;
  if (s.running < plant.compressors && s.backlog > (s.running + 1) * stage) s.running += 1;
  else if (s.running > 0 && s.backlog <= (s.running - 1) * stage) s.running -= 1;
  const cooling = s.running * coolingAt(plant, s.condensing);
  const work = s.running * powerAt(plant, s.condensing);
  s.backlog -= cooling;
  const given = cooling + work;
  const g = conductanceAt(plant, drive.flow, drive.byDrive, s.halved, always);
  const towards = drive.outdoor + given / g;
  const before = s.condensing;
  s.condensing = towards + (before - towards) * Math.exp(-g / plant.heatCapacity);
  const mean = towards + ((before - s.condensing) * plant.heatCapacity) / g;
  const decay = 1 - Math.exp(-1 / plant.lag);
  s.pipe += (s.condensing - (s.running > 0 ? plant.subcooling : 0) - s.pipe) * decay;
  s.liquid += (s.pipe - s.liquid) * decay;
  flows.given += given;
  flows.rejected += g * (mean - drive.outdoor);
  flows.cooling += cooling;
  flows.compressor += work;
  flows.fans +=
    plant.fanWatts * plant.fans * (always + (1 - always) * (drive.byDrive ? drive.flow ** 3 : drive.flow));
}
