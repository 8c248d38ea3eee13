<script setup lang="ts">
import { computed } from 'vue';
import { panelWords } from '@brine/core/controllers/panel';
import { panelPatterns, type PanelAnswers } from '@brine/core/controllers/suggest';
import { SHOWN, type LiveWriting } from './useWriting.ts';

/** How the panel works: a pattern, and the answers it leaves open. */
const props = defineProps<{ live: LiveWriting }>();
const answers = computed<PanelAnswers>(() => ({
  ...props.live.pattern.value.suggested,
  labels: {},
  ...props.live.writing.value.answers,
}));
const words = computed(() => panelWords(props.live.written.value));
const asks: Readonly<Record<string, string>> = {
  holdSeconds: 'Hold to get in, s',
  saveSeconds: 'Hold to leave, s',
  code: 'Access code, empty for none',
  timeOutSeconds: 'Closes by itself after, s (0: never)',
};
const numeric = computed(() => props.live.pattern.value.asks.filter((ask) => ask !== 'keeps'));
const set = (part: Partial<PanelAnswers>) =>
  props.live.change({ answers: { ...props.live.writing.value.answers, ...part } });
function answer(ask: string, event: Event) {
  const typed = (event.target as HTMLInputElement).value.trim();
  if (ask === 'code') return set({ code: typed.replace(/\D/g, '').slice(0, 6) });
  const number = Number(typed);
  set({ [ask]: Number.isFinite(number) && number >= 0 ? Math.min(number, 3600) : 0 });
}
function label(key: string, event: Event) {
  set({ labels: { ...answers.value.labels, [key]: (event.target as HTMLInputElement).value.trim() } });
}
/** Another pattern suggests its own times and code; labels stay. */
const pick = (pattern: string) =>
  props.live.change({ pattern, answers: { labels: props.live.writing.value.answers.labels ?? {} } });
</script>

<template>
  <div class="grid gap-8 lg:grid-cols-2">
    <fieldset>
      <legend class="field-label">How does its panel work?</legend>
      <label
        v-for="p in panelPatterns"
        :key="p.id"
        class="flex items-start gap-3 border-b border-hairline py-2"
        :class="{ 'bg-band': !live.isShown.value && p.id === live.pattern.value.id }"
        ><input
          type="radio"
          name="pattern"
          class="mt-1"
          :value="p.id"
          :checked="!live.isShown.value && p.id === live.pattern.value.id"
          @change="pick(p.id)"
        /><span>{{ p.name }}.</span></label
      >
      <label
        class="flex items-start gap-3 border-b border-hairline py-2"
        :class="{ 'bg-band': live.isShown.value }"
        ><input
          type="radio"
          name="pattern"
          class="mt-1"
          :value="SHOWN"
          :checked="live.isShown.value"
          data-test="show-me-pick"
          @change="pick(SHOWN)"
        /><span
          ><b class="font-semibold">Show me:</b> none of these, or not sure. Press its keys for one
          value.</span
        ></label
      >
    </fieldset>
    <div v-if="!live.isShown.value">
      <div class="flex flex-wrap gap-4">
        <label v-for="ask in numeric" :key="ask" class="flex flex-col gap-1"
          ><span class="field-label">{{ asks[ask] }}</span>
          <input
            class="w-28 font-mono"
            inputmode="numeric"
            :value="answers[ask]"
            :data-test="`answer-${ask}`"
            @change="answer(ask, $event)"
          />
        </label>
        <label v-if="live.pattern.value.asks.includes('keeps')" class="flex flex-col gap-1"
          ><span class="field-label">When it closes by itself it keeps</span>
          <select
            :value="answers.keeps"
            @change="set({ keeps: ($event.target as HTMLSelectElement).value as PanelAnswers['keeps'] })"
          >
            <option value="edit">also the value being changed</option>
            <option value="taken">what was taken</option>
            <option value="nothing">nothing that was not saved</option>
          </select>
        </label>
      </div>
      <fieldset class="mt-5">
        <legend class="field-label">What is printed on its keys?</legend>
        <div class="mt-1 flex flex-wrap gap-3">
          <label
            v-for="key in live.pattern.value.keys"
            :key="key.id"
            class="flex flex-col gap-1 text-[13px] text-soft"
            >{{ key.id }}
            <input
              class="w-24 text-ink"
              maxlength="12"
              :value="answers.labels[key.id] ?? key.label"
              @change="label(key.id, $event)"
            />
          </label>
        </div>
      </fieldset>
      <div v-if="words" class="mt-5 border-l-4 border-hairline bg-band px-3 py-2">
        <h3>Into the menu</h3>
        <p>{{ words.enter.join('. ') }}. {{ words.timeOut }}</p>
      </div>
    </div>
  </div>
</template>
