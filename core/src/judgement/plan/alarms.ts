import { sentence } from '../../foundation/sentences/index.ts';
import { ceilTo, floorTo, quantity } from '../../foundation/quantities/index.ts';
import { describeSide } from '../../foundation/unit/index.ts';
import { bandFor } from './band.ts';
import { differenceOf, minutes, type Draft, type PlanBasis } from './planned.ts';

/** Alarm delay of a probe in a bottle, min (common practice). */
const BOTTLE_DELAY = 10;

/** Limits outside the working band, with delays that a door and a defrost fit into. */
export function planAlarms(basis: PlanBasis): readonly Draft[] {
  const band = bandFor(basis);
  const wide = basis.side('alarmWidth') === 'wide';
  const headroom = basis.freezer
    ? differenceOf(basis, wide ? 18 : 9, wide ? 10 : 5)
    : differenceOf(basis, wide ? 9 : 5, wide ? 5 : 3);
  const footroom = basis.freezer
    ? differenceOf(basis, wide ? 15 : 9, wide ? 8 : 5)
    : differenceOf(basis, wide ? 5 : 3, wide ? 3 : 2);
  // What keeps warm works between cut-in and a higher set point.
  const [bottom, top] = basis.heated ? [band.cutIn, band.setpoint] : [band.setpoint, band.cutIn];
  const high = quantity(ceilTo(top.value + headroom.value, 1), top.unit);
  const low = quantity(floorTo(bottom.value - footroom.value, 1), bottom.unit);
  const above = quantity(high.value - band.setpoint.value, band.differential.unit);
  const relative = basis.side('alarmReference') === 'relative';
  const widthNote = describeSide('alarmWidth', basis.side('alarmWidth'));
  return [
    {
      setting: 'alarms.reference',
      value: relative ? 'relative' : 'absolute',
      reason: `Limits as ${describeSide('alarmReference', basis.side('alarmReference'))}.`,
      school: 'alarmReference',
    },
    {
      setting: relative ? 'alarms.highOffset' : 'alarms.highTemperature',
      value: relative ? above : high,
      reason: sentence`${headroom} above ${basis.heated ? 'cut-out' : 'cut-in'} ${top}; ${widthNote}.`,
      school: 'alarmWidth',
    },
    {
      setting: relative ? 'alarms.lowOffset' : 'alarms.lowTemperature',
      value: relative ? quantity(band.setpoint.value - low.value, band.differential.unit) : low,
      reason: sentence`${footroom} below ${basis.heated ? 'cut-in' : 'cut-out'} ${bottom}; ${widthNote}.`,
      school: 'alarmWidth',
    },
    {
      setting: 'alarms.differential',
      value: differenceOf(basis, 2, 1),
      reason: 'The alarm clears clearly instead of chattering at its limit.',
    },
    {
      setting: 'alarms.delay',
      value: minutes(delayFor(basis)),
      reason:
        basis.unit.probePlace === 'bottle'
          ? 'The bottle itself waits: it follows the air only after many minutes, so little is added.'
          : `Longer than a delivery with the door ${basis.unit.doorUse === 'busy' ? 'in busy use' : 'open'}, short enough to call a dead compressor.`,
      school: 'alarmWidth',
    },
    {
      setting: 'alarms.powerOnExclusion',
      value: quantity(basis.freezer ? 4 : 2, 'h'),
      reason: 'Pull-down after a power cut or a repair takes hours and is no fault.',
    },
    ...(basis.unit.defrostMethod === 'none'
      ? []
      : [
          {
            setting: 'alarms.defrostExclusion' as const,
            value: minutes(exclusionFor(basis)),
            reason:
              'The air needs about the length of the defrost to come back; less, and each defrost sounds the alarm.',
          },
        ]),
    ...pumpAlarm(basis),
    { setting: 'alarms.buzzer', value: true, reason: 'An alarm that is only seen is seen late.' },
  ];
}

/** The float of a drain pump on the alarm input. */
function pumpAlarm({ unit }: PlanBasis): readonly Draft[] {
  if (unit.drainPump !== true) return [];
  return [
    {
      setting: 'inputs.alarmContact',
      value: 'opensOnAlarm',
      reason: 'The float’s safety contact opens: a broken wire calls as well.',
    },
    {
      setting: 'alarms.inputAction',
      value: 'warn',
      reason:
        'A failed drain pump: warn and go on (it may overflow), or stop (the product warms). The owner chooses.',
    },
    {
      setting: 'alarms.inputDelay',
      value: minutes(1),
      reason: 'A wave in the tray is no fault.',
    },
  ];
}

function delayFor(basis: PlanBasis): number {
  if (basis.unit.probePlace === 'bottle') return BOTTLE_DELAY;
  const door = basis.unit.doorUse ?? 'normal';
  return { seldom: 20, normal: 30, busy: 45 }[door];
}

function exclusionFor(basis: PlanBasis): number {
  return basis.freezer ? 60 : 30;
}
