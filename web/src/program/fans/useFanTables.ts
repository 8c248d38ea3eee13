import { computed } from 'vue';
import { quantity } from '@brine/core/foundation/quantities';
import { shownKelvin, typedKelvin, type ToolTable } from '@brine/core/judgement/tools';
import { useDisplay } from '../../shared/display/displayStore.ts';
import type { CondenserView } from './useCondenser.ts';

/** Bands and floating set points tried on this condenser, as tables to take one from. */
export function useFanTables({ config, loops, floats, bestLoop: loop, bestFloat: float }: CondenserView) {
  const display = useDisplay();
  const kelvin = (k: number) => shownKelvin(k, display.unit);
  const integral = computed(() => config.value?.method === 'proportionalIntegral');
  /** The calmest of what was tried, and what is set now. */
  const SHOWN = 9;
  const shownLoops = computed(() => {
    const calm = loops.value.toSorted(
      (a, b) => a.turnsPerHour - b.turnsPerHour || a.meanErrorK - b.meanErrorK,
    );
    const present = loops.value.find(
      (t) =>
        t.band === config.value?.differential &&
        t.integralTime === config.value.integralTime &&
        t.speedMin === config.value.speed.min,
    );
    return [
      ...new Set([
        ...(loop.value ? [loop.value] : []),
        ...calm.slice(0, SHOWN),
        ...(present ? [present] : []),
      ]),
    ].map((t) => ({
      t,
      present: t === present,
    }));
  });
  const loopRows = computed(() =>
    shownLoops.value.map(({ t, present }) => ({
      id: `${t.band}:${t.integralTime}:${t.speedMin}`,
      cells: [
        `${kelvin(t.band)}${present ? ', in the unit' : ''}`,
        integral.value ? `${t.integralTime} s` : 'none',
        `${Math.round(t.speedMin * 100)} %, ${t.kickTime > 0 ? `${t.kickTime} s kick` : 'no kick'}`,
        t.hunts ? `${t.turnsPerHour.toFixed(0)}, hunts` : t.turnsPerHour.toFixed(0),
        kelvin(t.meanErrorK),
      ],
      best: t === loop.value,
      off: t.hunts,
      values: {
        'condenser.differential': typedKelvin(t.band, display.unit),
        ...(integral.value ? { 'condenser.integralTime': quantity(t.integralTime, 's') } : {}),
        ...(t.speedMin === config.value?.speed.min
          ? {}
          : {
              'condenser.speedMin': quantity(Math.round(t.speedMin * 100), '%'),
              'condenser.kickTime': quantity(t.kickTime, 's'),
            }),
      },
      why: `tried on this condenser: ${t.turnsPerHour.toFixed(0)} turns an hour, ${kelvin(t.meanErrorK)} off the set point`,
    })),
  );
  const floatRows = computed(() =>
    floats.value.map((t) => ({
      id: String(t.difference),
      cells: [
        t.difference === null ? 'stands' : `${kelvin(t.difference)} above outdoors`,
        `${t.fanKWh.toFixed(1)} kWh`,
        `${t.compressorKWh.toFixed(1)} kWh`,
        `${t.totalKWh.toFixed(1)} kWh`,
        t.starvedMinutes > 10
          ? `${t.starvedMinutes.toFixed(0)} min, too long`
          : `${t.starvedMinutes.toFixed(0)} min`,
      ],
      best: t === float.value,
      off: t.starvedMinutes > 10,
      values:
        t.difference === null
          ? { 'condenser.floating': false }
          : {
              'condenser.floating': true,
              'condenser.outdoorProbe': true,
              'condenser.floatingDifference': typedKelvin(t.difference, display.unit),
            },
      why: `tried on this condenser: ${t.totalKWh.toFixed(1)} kWh a day in all`,
    })),
  );
  const loopTable = computed<ToolTable>(() => ({
    id: 'loops',
    title: 'Bands, from 00:00 to 06:00',
    heads: ['Band', 'Integral', 'Least speed', 'Turns an hour', 'Off the set point'],
    rows: loopRows.value,
  }));
  const floatTable = computed<ToolTable>(() => ({
    id: 'floats',
    title: 'Set point that floats, a day',
    heads: ['Set point', 'Fans', 'Compressors', 'Together', 'Valve starves'],
    rows: floatRows.value,
  }));
  /** Said where a slower fan is the answer, or none is. */
  const noLoop = computed(() => {
    if (!loop.value)
      return 'All of them hunt on such a night: at their least the fans still move too much air. Switch off part of them, or close half of the condenser.';
    return loop.value.speedMin < (config.value?.speed.min ?? 0)
      ? 'At their least speed the fans move more air than such a night needs: slower is calm. Only where motor and drive may turn so slowly; ask the plates.'
      : '';
  });
  return { integral, loopTable, floatTable, noLoop };
}
