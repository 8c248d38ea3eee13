import { defineStore } from 'pinia';
import { usePreferredDark } from '@vueuse/core';
import { computed, ref, watch, watchEffect } from 'vue';
import { printFor, type Quantity, type TemperatureUnit } from '@brine/core/foundation/quantities';
import { inWords, type Sentence } from '@brine/core/foundation/sentences';
import { printValue, settingOf, type SettingId, type SettingValue } from '@brine/core/foundation/settings';
import { useSession } from '../session/sessionStore.ts';

type Theme = 'paper' | 'box';

/** How the page may look, in words. */
const themeNames: Readonly<Record<Theme | 'system', string>> = {
  system: 'Light or dark as the device has it',
  paper: 'Light, on paper',
  box: 'Dark, in the box',
};

const UNIT = 'brine-unit';
const THEME = 'brine-theme';

/** How this reader wants to see things: °F or °C everywhere at once, and the theme. Kept on the device. */
export const useDisplay = defineStore('display', () => {
  const session = useSession();
  const chosen = ref<TemperatureUnit | null>(read(UNIT, ['degC', 'degF']));
  /** Degrees that people read at the unit of the job on this page; nobody has to switch for them. */
  const ofTheJob = ref<TemperatureUnit | null>(null);
  /** Paper or in the box, as chosen; else as the system has it. */
  const themeChoice = ref<Theme | 'system'>(read(THEME, ['paper', 'box', 'system']) ?? 'system');
  const systemDark = usePreferredDark();
  const theme = computed<Theme>(() =>
    themeChoice.value !== 'system' ? themeChoice.value : systemDark.value ? 'box' : 'paper',
  );

  const unit = computed<TemperatureUnit>(
    () => chosen.value ?? ofTheJob.value ?? (session.company?.displayUnit === 'celsius' ? 'degC' : 'degF'),
  );
  const symbol = computed(() => (unit.value === 'degF' ? '°F' : '°C'));
  const otherSymbol = computed(() => (unit.value === 'degF' ? '°C' : '°F'));

  watch(chosen, (value) => value && localStorage.setItem(UNIT, value));
  watch(themeChoice, (value) => localStorage.setItem(THEME, value));
  watchEffect(() => document.documentElement.setAttribute('data-theme', theme.value));

  function switchUnit(): void {
    chosen.value = unit.value === 'degF' ? 'degC' : 'degF';
  }

  function switchTheme(): void {
    themeChoice.value = theme.value === 'paper' ? 'box' : 'paper';
  }

  const show = (q: Quantity) => printFor(q, unit.value);
  /** A sentence of the core with its temperatures as this reader reads them; what people typed stays as typed. */
  const words = (sentence: Sentence) => inWords(sentence, unit.value);
  const showSetting = (id: SettingId, value: SettingValue) => printValue(settingOf(id), value, unit.value);

  return {
    themeChoice,
    themeNames,
    unit,
    ofTheJob,
    symbol,
    otherSymbol,
    theme,
    switchUnit,
    switchTheme,
    show,
    words,
    showSetting,
  };
});

function read<Choice extends string>(key: string, choices: readonly Choice[]): Choice | null {
  const value = localStorage.getItem(key) as Choice | null;
  return value !== null && choices.includes(value) ? value : null;
}
