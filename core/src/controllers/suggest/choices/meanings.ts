import { settingOf, type SettingId, type SettingValue } from '../../../foundation/settings/index.ts';
import type { BookletOption } from './readOptions.ts';

/** What an option stands for, and whether its words say so or only custom does (0 no, 1 yes). */
export interface OptionMeaning {
  readonly value: string;
  readonly words: string;
  readonly means: string | boolean | null;
  readonly sure: boolean;
  /** A second setting that the option stands for as well: "heater, by time". */
  readonly also?: { readonly setting: SettingId; readonly value: SettingValue };
}

/** Words of the choices, tried in this order; the first that fits wins. */
const choiceWords: Readonly<Record<string, RegExp>> = {
  dutyCycle: /duty|puls|cycl(e|es|ing) ?(of|with)?|alternat|percent|timed/i,
  cycle: /cycl|alternat|timed|interval/i,
  setpointIsMiddle: /middle|symm|cent(re|er)|both sides|half|about|around/i,
  setpointIsCutOut: /above|over|cut-?out|one[- ]sided|asym/i,
  setpointIsCutIn: /below|under|cut-?in/i,
  proportionalIntegral: /\bpi\b|integral|band ?\+ ?time/i,
  proportional: /^p$|proport|\bp\b/i,
  neutralZone: /neutral|zone|dead/i,
  onOff: /on.?off|thermostat|two.?point|^0$/i,
  thermostat: /thermost|stage|regul|setpoint/i,
  offCycle:
    /\bair\b|stop(ping)? (of )?(the )?compr|stop of|natural|off.?cycle|by stop|compressor stop|pause|resting|simple/i,
  electric: /^el|electr|heater|resist/i,
  hotGas: /gas|inver|reverse/i,
  coolingTime: /cooling (time|period)/i,
  compressorRunTime: /compr\w* (run|hours|time|work)|^compr\w*$|run(ning)? (time|hours)/i,
  clock: /clock|fixed|daily|real.?time clock|\brtc\b/i,
  interval: /interval|real hours|hours|\btime\b|(unit|device|instrument|control\w*) (running|on)/i,
  demand: /demand|on request|adaptive/i,
  manual: /manual|by hand|only hand/i,
  temperature: /temp|^te|probe|coil/i,
  time: /time|^ti|clock/i,
  actual: /real|actual|live|^rt|current|true|air/i,
  held: /frozen|held|last|^it|lock|start of/i,
  label: /label|d[ei]?f|code|message|text/i,
  controlled: /manag|control|regul/i,
  always: /always|perman|contin/i,
  relative: /rel|^re|deviation|tied|depend|from set/i,
  absolute: /abs|^ab|indep|own/i,
  warn: /warn|only|signal|display|goes on/i,
  ntc10k: /ntc/i,
  ptc1k: /ptc/i,
  pt1000: /pt ?1000|platin/i,
  pt100: /pt ?100\b/i,
  closesOnOpen: /closes? (when|on|if)|\bno\b|closed = open/i,
  opensOnOpen: /opens? (when|on|if)|open contact|\bnc\b/i,
  closesOnAlarm: /clos/i,
  opensOnAlarm: /open/i,
  celsius: /cel|^°?c\b|°c/i,
  fahrenheit: /fah|^°?f\b|°f/i,
  standby: /stand|off/i,
  silence: /silen|mute|buzz/i,
  acknowledge: /ack/i,
  defrost: /def/i,
  setback: /night|eco|set.?back/i,
  pullDown: /pull|fast|boost|quick/i,
  continuous: /contin/i,
  startStop: /start|cycle|stop/i,
  firstInFirstOut: /fifo|first in,? first/i,
  lastInFirstOut: /lifo|last in/i,
  runTime: /hour|run ?time|even/i,
  fixed: /fix|same|none/i,
  automatic: /auto|by itself/i,
  input: /input|contact/i,
  alarm: /alarm/i,
  cool: /cool|refrig|^re|^co|cold/i,
  heat: /heat|^he|warm/i,
  none: /none|^no$|off|not used|disabled/i,
  stop: /stop|off|halt|^of$|follows|stands|still/i,
  run: /run|on\b|turns|goes|contin|works/i,
};

const yes = /^(y|yes|on|true|ja|si)$/i;
const no = /^(n|no|off?|of|false)$/i;

/** A description that asks after the stop: "fan stops with the compressor (y/n)". Yes then means stop. */
const asksStop = /\b(stops?|stopped|stopping|stop of|off|switched off|excluded|disabled|inhibited)\b/i;

/**
 * What each option stands for. Words decide; "yes" to a question that asks after the stop means stop; for a yes/no setting without any words 0 is no
 * and 1 is yes by custom, and said to be unsure. Null where nothing tells.
 */
export function optionMeanings(
  setting: SettingId,
  description: string,
  options: readonly BookletOption[],
): readonly OptionMeaning[] {
  const { kind, choices = [] } = settingOf(setting);
  if (kind === 'flag') return options.map((option) => flagMeaning(option));
  const first = options.map((option) => ({ ...option, ...choiceMeaning(option, choices, description) }));
  return withTheLast(withCompanions(setting, first), choices);
}

/** Settings whose options may say a second one, with the words that say it. */
const companions: Readonly<
  Partial<
    Record<
      SettingId,
      {
        readonly setting: SettingId;
        readonly words: readonly (readonly [SettingValue, RegExp])[];
      }
    >
  >
> = {
  'defrost.method': {
    setting: 'defrost.termination',
    words: [
      ['time', /\b(by|on|for) time\b|\btimed\b|\btime[- ](ended|controlled)\b/i],
      ['temperature', /\b(by|on|until) (a )?(temp|probe|sensor|thermost)|\btemperature\b/i],
    ],
  },
  'display.unit': {
    setting: 'display.decimal',
    words: [
      [false, /\b(integer|whole|without (tenths?|decimals?)|no decimals?|1 ?°?[CF]\b.*step)/i],
      [true, /\b(tenths?|decimals?|0[.,]1)\b/i],
    ],
  },
};

/**
 * The second setting of each option, where two of them say one; or where one says it and would else stand for the same as another: of "°C with tenths" and "°C" the second is in
 * whole degrees.
 */
function withCompanions(setting: SettingId, options: readonly OptionMeaning[]): readonly OptionMeaning[] {
  const companion = companions[setting];
  if (!companion) return options;
  const read = options.map((option): OptionMeaning => {
    const found = companion.words.find(([, words]) => words.test(option.words));
    return found ? { ...option, also: { setting: companion.setting, value: found[0] } } : option;
  });
  const said = new Set(read.flatMap((option) => (option.also ? [option.also.value] : [])));
  const twins = read.some((one) =>
    read.some((other) => other !== one && other.means === one.means && !other.also !== !one.also),
  );
  const [only] = said;
  if (said.size === 1 && twins && typeof only === 'boolean')
    return read.map((option) =>
      option.also || option.means === null
        ? option
        : { ...option, also: { setting: companion.setting, value: !only } },
    );
  return read.filter((option) => option.also).length >= 2 ? read : options;
}

/** A yes/no setting's option; without words that tell, 0 is no and 1 is yes by custom. */
function flagMeaning(option: BookletOption): OptionMeaning {
  const words = option.words === '' ? option.value : option.words;
  if (yes.test(words)) return { ...option, means: true, sure: true };
  if (no.test(words) || /\b(no|not|without|none|integer|free|unlocked|disabled|inactive)\b|^in$/i.test(words))
    return { ...option, means: false, sure: true };
  if (option.words !== '' && /\b(on|yes|with|enabled?|lock(ed)?|de(cimal)?|dE|tenths)\b/i.test(words))
    return { ...option, means: true, sure: true };
  return {
    ...option,
    means: option.value === '0' ? false : option.value === '1' ? true : null,
    sure: false,
  };
}

function choiceMeaning(
  option: BookletOption,
  choices: readonly string[],
  description: string,
): { readonly means: string | null; readonly sure: boolean } {
  const runStop = choices.includes('run') && choices.includes('stop');
  if (runStop && (yes.test(option.words) || no.test(option.words)) && !/^(on|off?)$/i.test(option.words)) {
    const stops = asksStop.test(description);
    const says = yes.test(option.words) ? !stops : stops;
    return { means: says ? 'run' : 'stop', sure: true };
  }
  if (option.words === '') {
    // Without words 1 is yes and 0 is no by custom: "fan at standstill, 0/1".
    if (!runStop || choices.length > 2 || !/^[01]$/.test(option.value)) return { means: null, sure: false };
    return { means: (option.value === '1') !== asksStop.test(description) ? 'run' : 'stop', sure: false };
  }
  const alike = (text: string) => text.toLowerCase().replace(/[^a-z0-9]/g, '');
  const same = choices.find((choice) => alike(choice) === alike(option.words));
  if (same !== undefined) return { means: same, sure: true };
  const found = Object.entries(choiceWords).find(
    ([choice, pattern]) => choices.includes(choice) && pattern.test(option.words),
  )?.[0];
  return { means: found ?? null, sure: found !== undefined };
}

/** Two options on one choice cannot both be right; one left over, with one choice left over, is taken by elimination and called unsure. */
function withTheLast(
  options: readonly OptionMeaning[],
  choices: readonly string[],
): readonly OptionMeaning[] {
  const alike = (one: OptionMeaning) =>
    options.filter((o) => o.means === one.means && o.also?.value === one.also?.value).length;
  const single = options.map((o) =>
    o.means !== null && alike(o) > 1 ? { ...o, means: null, sure: false } : o,
  );
  const open = single.filter((o) => o.means === null);
  const left = choices.filter((c) => !single.some((o) => o.means === c));
  return single.map((o) =>
    o.means === null && open.length === 1 && left.length === 1 ? { ...o, means: left[0]!, sure: false } : o,
  );
}
