import type { MayStart } from '@brine/core/judgement/energise';
import type { StartCause } from '@brine/core/machines/starts';

const causeWords: Readonly<Record<StartCause, string>> = {
  boxWarm: 'the box is warm',
  boxCold: 'the box is cold',
  coilWarm: 'the coil is warm',
  probeOpens: 'the air probe’s lead is open',
  coilProbeOpens: 'the coil probe’s lead is open',
  secondWarm: 'the second probe is warm',
  secondProbeOpens: 'the second probe’s lead is open',
  doorOpens: 'the door stands open',
  alarmInput: 'the alarm input closes',
  defrostKey: 'a defrost is keyed, by mistake too',
  defrostDue: 'the clock calls a defrost',
  defrostStopKey: 'a defrost is ended by key',
  standbyKey: 'standby is keyed',
};

/** Seconds after the power as they are said at a cabinet. */
export function afterWords(seconds: number): string {
  if (seconds === 0) return 'at once';
  const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60];
  return `after ${minutes > 0 ? `${minutes} min` : ''}${minutes > 0 && rest > 0 ? ' ' : ''}${rest > 0 || minutes === 0 ? `${rest} s` : ''}`;
}

const causes = (by: readonly StartCause[]) => by.map((cause) => causeWords[cause]).join(' and ');

/** “at once if the door stands open or a defrost is keyed; after 3 min if the box is warm”: the earliest first, with every single cause that leads to a start. */
export function startWords({ earliestSeconds, by, ways }: MayStart): string {
  const first = by.filter((cause): cause is StartCause => cause !== 'powerOn');
  const all = [
    { seconds: earliestSeconds, by: first },
    ...ways.filter((way) => way.by.length > 0 && way.by.join() !== first.join()),
  ];
  const moments = [...new Set(all.map(({ seconds }) => seconds))];
  return moments
    .map((seconds) => {
      const lists = all
        .filter((way) => way.seconds === seconds && way.by.length > 0)
        .map((way) => causes(way.by));
      return `${afterWords(seconds)}${lists.length > 0 ? ` if ${lists.join(' or ')}` : ''}`;
    })
    .join('; ');
}
