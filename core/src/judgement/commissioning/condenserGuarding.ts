import type { CondenserConfig } from '../../machines/condenser/index.ts';
import { spoken, type Wording } from './facts.ts';
import type { CommissioningTest } from './test.ts';

/** Alarms of a condenser's control and what it does without its probes. */
export const condenserGuardTests = (
  wording: Wording,
  config: CondenserConfig,
): readonly CommissioningTest[] => [...alarms(wording, config), ...probes(wording, config)];

function alarms(
  { degrees, difference, code }: Wording,
  { alarms: a, overload }: CondenserConfig,
): CommissioningTest[] {
  const tests: CommissioningTest[] = [];
  const told = (words: RegExp) => (code(words) ? `: ${code(words)}` : '');
  const limit = (way: 'high' | 'low', celsius: number): CommissioningTest => ({
    id: `alarms.${way}`,
    group: 'alarms',
    title: way === 'high' ? 'Hot alarm' : 'Cold alarm',
    why:
      way === 'high'
        ? 'It calls before the high-pressure cut-out ends all cooling.'
        : 'A starved valve shows as a warm box hours later.',
    how: [
      `Take the liquid probe off its pipe and put it into ${way === 'high' ? 'warm' : 'ice'} water.`,
      'Start the timer when the limit is passed.',
    ],
    expect: `${way === 'high' ? 'Above' : 'Below'} ${degrees(celsius)} for ${spoken(a.delay)} it alarms${told(way === 'high' ? /hot|high/i : /cold|low/i)}; it clears ${difference(a.differential)} inside.`,
    measure: { unit: 's', label: 'until the alarm', least: 0.9 * a.delay - 5, most: 1.1 * a.delay + 30 },
    wait: a.delay > 0 ? a.delay : null,
    caution:
      way === 'high'
        ? 'Never shut off a condenser’s air to see an alarm: the pressure is at the cut-out within a minute.'
        : null,
  });
  if (a.high !== null) tests.push(limit('high', a.high));
  if (a.low !== null) tests.push(limit('low', a.low));
  if (overload.fitted)
    tests.push({
      id: 'alarms.overload',
      group: 'alarms',
      title: 'Overload chain',
      why: 'A chain that is read the wrong way stops all fans, or none.',
      how: ['Supply off, open the chain at its terminal, supply on.', 'Close it again.'],
      expect: `After ${spoken(overload.delay)} all fans stand and it alarms${told(/overload|chain/i)}; it comes back ${overload.manual ? 'only when it is reset by hand' : 'by itself'}.`,
      measure: null,
      wait: overload.delay > 0 ? overload.delay : null,
      caution:
        'With the fans off the pressure rises: be done before the cut-out, or stop the compressor first.',
    });
  return tests;
}

function probes({ degrees, code }: Wording, config: CondenserConfig): CommissioningTest[] {
  const { backupProbe, faultOutput, floatingDifference, setpoint, setpointMax } = config;
  const told = (words: RegExp) => (code(words) ? ` ${code(words)}` : '');
  const tests: CommissioningTest[] = [
    {
      id: 'probes.liquid',
      group: 'probes',
      title: 'Liquid probe fails',
      why: 'It will, one hot day; then this decides over the pressure.',
      how: ['Pull one wire of the liquid probe.', 'Put it back and see the fault go.'],
      expect: backupProbe
        ? `It shows a fault${told(/liquid.*(sensor|probe)/i)} and goes on by the second liquid probe.`
        : `It shows a fault${told(/liquid.*(sensor|probe)/i)}, and the fans stand at ${Math.round(faultOutput * 100)} %.`,
      measure: null,
      wait: null,
      caution: 'Low voltage only: be sure which terminal it is.',
    },
  ];
  if (floatingDifference !== null)
    tests.push({
      id: 'probes.outdoor',
      group: 'probes',
      title: 'Outdoor probe fails',
      why: 'A set point that follows nothing must stand where nothing is starved.',
      how: ['Pull one wire of the outdoor probe, look, put it back.'],
      expect: `It shows a fault${told(/outdoor/i)}; the set point stands at its highest, ${degrees(setpointMax ?? setpoint)}.`,
      measure: null,
      wait: null,
      caution: null,
    });
  return tests;
}
