import {
  AIR_HEAT,
  FUSION,
  ICE_HEAT,
  LEWIS,
  VAPORISATION,
  ZERO_CELSIUS_K,
} from '@brine/core/foundation/limits';
import { doorFlow, restingBox } from '@brine/core/machines/box';

import { saturatedRatio } from '@brine/core/machines/box';
import type { Scenario } from '@brine/core/machines/simulation';
import { beginsAt, boxOfScenario, doorOf, restingDrive } from '@brine/core/machines/simulation';

/**
 * The equations of control and box for one kind of job, a freezer with electric defrost by interval, in one loop over local variables: no objects, no
 * events, no choices that this job does not need. What it counts must be what the simulation counts; the bench compares both before it times them.
 */
export function handInlined(scenario: Scenario): {
  readonly starts: number;
  readonly joules: number;
  readonly frost: number;
} {
  const { config, template } = scenario;
  const p = boxOfScenario(scenario);
  const { ambient, ambientRatio } = restingDrive(scenario);
  const isOpen = doorOf(template, scenario.doorUse);
  const [first, second] = p.zones;
  const cutOut = config.setpoint;
  const cutIn = cutOut + config.stage.differential;
  const { minOff, powerOnDelay } = config.compressor;
  const { interval, endTemperature, maxDuration, drain: drainSeconds } = config.defrost;
  const end = endTemperature!;
  const { restartCoil, delayAfterDrain, stopCoil, coilDifferential } = config.fans;
  const { alarms } = config;
  const high =
    alarms.high === null ? null : alarms.reference === 'relative' ? cutOut + alarms.high : alarms.high;
  const gone = (time: number) => 1 - Math.exp(-1 / time);
  const [probeShare, coilShare, rise, fall, drains] = [
    p.probeLag,
    p.coilProbeLag,
    p.startUp,
    5,
    p.drainTime,
  ].map(gone) as [number, number, number, number, number];
  const airHeat = p.airMass * AIR_HEAT + p.fittings;
  const condensing = ambient + p.condenserApproach;
  const derate = p.capacity * Math.max(0.2, 1 - 0.01 * (condensing - p.ratedCondensing));
  const k1 = first.toRefrigerant;
  const k2 = second.toRefrigerant;
  const rest = restingBox(beginsAt(scenario));
  let { air, ratio, wall, productFast, productSlow, up, probe, coilProbe } = rest;
  let t1 = rest.zones[0].temperature,
    f1 = 0,
    w1 = 0,
    t2 = rest.zones[1].temperature,
    f2 = 0,
    w2 = 0;
  let demand = false,
    on = false,
    phase = 0,
    phaseBegan = 0,
    lastDefrost = 0,
    drainEnded = -1,
    lastStop = -1;
  let fanWaits = false,
    tooWarm = false,
    highSince = -1,
    alarm = false;
  let starts = 0,
    joules = 0;
  let airMin = Infinity,
    airMax = -Infinity,
    airSum = 0,
    productMin = Infinity,
    productMax = -Infinity,
    productSum = 0,
    running = 0,
    above = 0;
  for (let s = 0; s < scenario.seconds; s += 1) {
    const secondOfDay = (scenario.startOfDay + s) % 86400;
    const open = isOpen(secondOfDay);
    // The control.
    if (probe >= cutIn - 1e-6) demand = true;
    else if (probe <= cutOut + 1e-6) demand = false;
    if (phase === 1 && (coilProbe >= end - 1e-6 || s - phaseBegan >= maxDuration)) {
      phase = 2;
      phaseBegan = s;
    }
    if (phase === 2 && s - phaseBegan >= drainSeconds) {
      phase = 0;
      drainEnded = s;
      fanWaits = true;
    }
    if (phase === 0 && s - lastDefrost >= interval) {
      lastDefrost = s;
      if (coilProbe < end - 1e-6) {
        phase = 1;
        phaseBegan = s;
      }
    }
    if (on) {
      if (phase !== 0 || !demand) {
        on = false;
        lastStop = s;
      }
    } else if (phase === 0 && demand && s >= powerOnDelay && (lastStop < 0 || s - lastStop >= minOff)) {
      on = true;
      starts += 1;
    }
    if (stopCoil !== null) {
      if (coilProbe > stopCoil + 1e-6) tooWarm = true;
      else if (coilProbe <= stopCoil - coilDifferential + 1e-6) tooWarm = false;
    }
    let fan = phase === 0;
    if (fan && fanWaits) {
      const waits =
        !(delayAfterDrain !== null && s - drainEnded >= delayAfterDrain) &&
        !(restartCoil !== null && coilProbe <= restartCoil + 1e-6);
      if (waits && (delayAfterDrain !== null || restartCoil !== null)) fan = false;
      else fanWaits = false;
    }
    if (fan && tooWarm) fan = false;
    if (fan && !on) fan = config.fans.inRest === 'run';
    const suspended =
      phase !== 0 ||
      s < alarms.powerOnExclusion ||
      (drainEnded >= 0 && s - drainEnded < alarms.defrostExclusion);
    if (suspended || high === null) {
      highSince = -1;
      alarm = false;
    } else if (probe >= high - 1e-6) {
      if (highSince < 0) highSince = s;
      if (s - highSince >= alarms.delay) alarm = true;
    } else {
      highSince = -1;
      if (probe <= high - alarms.differential + 1e-6) alarm = false;
    }
    const heater = phase === 1;
    // The box.
    let exchange = p.leak;
    if (open) exchange += doorFlow(p.door, [air, ratio], [ambient, ambientRatio], fan);
    const share = fan ? 1 : p.stillShare;
    const r1 = f1 / first.full;
    const r2 = f2 / second.full;
    const g1 = (first.toAir * share) / (1 + r1 * r1 * 1.2);
    const g2 = (second.toAir * share) / (1 + r2 * r2 * 1.2);
    const heat = heater ? p.heaterWatts : 0;
    const inner = (fan ? p.fanWatts : 0) + p.loadWatts + heat * p.heaterLeak;
    const gInf = exchange * AIR_HEAT;
    const g = p.wallToAir + p.productToAir + g1 + g2 + gInf;
    const towards =
      (p.wallToAir * wall + p.productToAir * productFast + g1 * t1 + g2 * t2 + gInf * ambient + inner) / g;
    const next = towards + (air - towards) * Math.exp(-g / airHeat);
    const mean = towards + ((air - next) * airHeat) / g;
    const at1 = saturatedRatio(f1 > 0 && t1 > 0 ? 0 : t1);
    const at2 = saturatedRatio(f2 > 0 && t2 > 0 ? 0 : t2);
    let m1 = g1 / (AIR_HEAT * LEWIS);
    let m2 = g2 / (AIR_HEAT * LEWIS);
    if (at1 > ratio) {
      const held = f1 + w1;
      const most = m1 * (at1 - ratio);
      m1 = held <= 0 ? 0 : most > held * 0.5 ? (m1 * held * 0.5) / most : m1;
    }
    if (at2 > ratio) {
      const held = f2 + w2;
      const most = m2 * (at2 - ratio);
      m2 = held <= 0 ? 0 : most > held * 0.5 ? (m2 * held * 0.5) / most : m2;
    }
    const total = exchange + m1 + m2;
    const wet = (exchange * ambientRatio + m1 * at1 + m2 * at2 + p.moisture) / total;
    const carried = total / p.airMass;
    const ratioNext = wet + (ratio - wet) * Math.exp(-carried);
    const meanRatio = wet + (ratio - ratioNext) / carried;
    const v1 = m1 * (meanRatio - at1);
    const v2 = m2 * (meanRatio - at2);
    up += ((on ? 1 : 0) - up) * (on ? rise : fall);
    let c1 = 0,
      c2 = 0,
      evaporating = (t1 + t2) / 2;
    if (up >= 1e-3) {
      const full = up * derate;
      const slope = 0.032 * full;
      const least = full - slope * p.ratedEvaporating;
      evaporating = (k1 * t1 + k2 * t2 - least) / (k1 + k2 + slope);
      if (t1 < evaporating) evaporating = (k2 * t2 - least) / (k2 + slope);
      else if (t2 < evaporating) evaporating = (k1 * t1 - least) / (k1 + slope);
      evaporating = Math.max(evaporating, p.ratedEvaporating - 30);
      c1 = Math.max(0, k1 * (t1 - evaporating));
      c2 = Math.max(0, k2 * (t2 - evaporating));
    }
    if (on) {
      const cop = (p.efficiency * (evaporating + ZERO_CELSIUS_K)) / Math.max(8, condensing - evaporating);
      joules += Math.max(c1 + c2, p.capacity * 0.25) / Math.max(cop, 0.8);
    }
    joules += (fan ? p.fanWatts : 0) + heat;
    const toCoil = heat * (1 - p.heaterLeak);
    // Zone one, then zone two: the same lines on other variables.
    {
      const cold = t1 < 0;
      const ice = cold || (v1 < 0 && w1 < -v1) ? Math.max(v1, -f1) : 0;
      const water = v1 - ice;
      f1 += ice;
      w1 = Math.max(0, w1 + water);
      let q =
        g1 * (mean - t1) +
        toCoil * first.share -
        c1 +
        ice * (VAPORISATION + FUSION - ICE_HEAT * Math.min(t1, 0)) +
        water * VAPORISATION;
      if (t1 > 0 && f1 > 0) {
        const melt = Math.min(f1, (first.toFrost * t1) / FUSION);
        f1 -= melt;
        w1 += melt;
        q -= melt * FUSION;
      } else if (t1 < 0 && w1 > 0) {
        const freeze = Math.min(w1, (first.toFrost * -t1) / FUSION);
        w1 -= freeze;
        f1 += freeze;
        q += freeze * (FUSION - ICE_HEAT * t1);
      }
      const lump = first.heat + ICE_HEAT * f1;
      let after = t1 + q / (t1 < 0 ? lump : first.heat);
      if (t1 < 0 && after > 0) after = (after * lump) / first.heat;
      else if (t1 >= 0 && after < 0) after = (after * first.heat) / lump;
      t1 = after;
      if (t1 > -0.5 && w1 > 0) w1 -= w1 * drains;
    }
    {
      const cold = t2 < 0;
      const ice = cold || (v2 < 0 && w2 < -v2) ? Math.max(v2, -f2) : 0;
      const water = v2 - ice;
      f2 += ice;
      w2 = Math.max(0, w2 + water);
      let q =
        g2 * (mean - t2) +
        toCoil * second.share -
        c2 +
        ice * (VAPORISATION + FUSION - ICE_HEAT * Math.min(t2, 0)) +
        water * VAPORISATION;
      if (t2 > 0 && f2 > 0) {
        const melt = Math.min(f2, (second.toFrost * t2) / FUSION);
        f2 -= melt;
        w2 += melt;
        q -= melt * FUSION;
      } else if (t2 < 0 && w2 > 0) {
        const freeze = Math.min(w2, (second.toFrost * -t2) / FUSION);
        w2 -= freeze;
        f2 += freeze;
        q += freeze * (FUSION - ICE_HEAT * t2);
      }
      const lump = second.heat + ICE_HEAT * f2;
      let after = t2 + q / (t2 < 0 ? lump : second.heat);
      if (t2 < 0 && after > 0) after = (after * lump) / second.heat;
      else if (t2 >= 0 && after < 0) after = (after * second.heat) / lump;
      t2 = after;
      if (t2 > -0.5 && w2 > 0) w2 -= w2 * drains;
    }
    wall += (p.wallToAmbient * (ambient - wall) + p.wallToAir * (mean - wall)) / p.wallHeat;
    const between = p.productInside * (productFast - productSlow);
    productFast += (p.productToAir * (mean - productFast) - between) / p.productFast;
    productSlow += between / p.productSlow;
    air = next;
    ratio = Math.max(0, ratioNext);
    probe += (air - probe) * probeShare;
    coilProbe += (t1 - coilProbe) * coilShare;
    // The figures.
    if (air < airMin) airMin = air;
    if (air > airMax) airMax = air;
    airSum += air;
    if (productSlow < productMin) productMin = productSlow;
    if (productSlow > productMax) productMax = productSlow;
    productSum += productSlow;
    if (on) running += 1;
    if (productFast > scenario.storage.max!) above += 1;
  }
  if (
    !Number.isFinite(airSum + productSum + airMin + airMax + productMin + productMax + running + above) ||
    alarm
  )
    throw new Error('the loop ran away');
  return { starts, joules, frost: f1 + f2 };
}
