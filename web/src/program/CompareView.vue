<script setup lang="ts">
import { computed } from 'vue';
import { settingOf } from '@brine/core/foundation/settings';
import { useDisplay } from '../shared/display/displayStore.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import CompareLine from './CompareLine.vue';
import LossList from './LossList.vue';
import { useCompare } from './useCompare.ts';

/** The old sheet beside the new one: what is exact, rounded, out of reach, meant otherwise, lost; and what each code is set from. */
const compare = useCompare();
const display = useDisplay();
const session = useSession();
const { rows, losses, notStated, undecided, presets, preset, presetId, program } = compare;
const fixed = computed(() =>
  program.value.fixed.map(({ setting, value }) => ({
    label: settingOf(setting).label,
    value: display.showSetting(setting, value),
  })),
);
const hasOld = computed(() => rows.value.some((line) => line.copied !== null));
</script>

<template>
  <div class="flex flex-col gap-4" data-test="compare">
    <LossList :losses="losses" />
    <p
      v-if="notStated.length > 0"
      class="border-l-4 border-amber bg-amber-wash px-3 py-2"
      data-test="not-stated"
    >
      Not stated by its booklet, so neither held nor lost: {{ notStated.join(', ').toLowerCase() }}. Try it at
      the control, and add it to the controller.
    </p>
    <section
      v-if="undecided.length > 0"
      class="flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-amber bg-amber-wash px-3 py-2"
      data-test="undecided"
    >
      <p>
        <strong class="font-semibold"
          >{{ undecided.length }} {{ undecided.length === 1 ? 'code' : 'codes' }} not planned yet:</strong
        >
        {{ undecided.map((line) => line.row.code).join(', ') }}. Decide before
        {{ undecided.length === 1 ? 'it is' : 'they are' }} keyed in.
      </p>
      <AppButton
        v-if="session.mayWrite"
        data-test="leave-defaults"
        @click="compare.take(undecided, 'default')"
        >Leave {{ undecided.length === 1 ? 'it at its default' : 'all at their defaults' }}</AppButton
      >
    </section>
    <div v-if="session.mayWrite" class="flex flex-wrap items-center gap-2">
      <span class="field-label">Set every code from</span>
      <AppButton data-test="all-plan" @click="compare.take(rows, 'plan')">the plan</AppButton>
      <AppButton v-if="hasOld" data-test="all-old" @click="compare.take(rows, 'old')"
        >the old control</AppButton
      >
      <template v-if="preset">
        <AppButton data-test="all-preset" @click="compare.take(rows, 'preset')">the preset</AppButton>
        <select
          aria-label="Preset"
          :value="preset.id"
          @change="presetId = ($event.target as HTMLSelectElement).value"
        >
          <option v-for="p in presets" :key="p.id" :value="p.id">{{ p.name }}</option>
        </select>
      </template>
      <span class="hint">A source without a value for a code leaves it as it is.</span>
    </div>
    <table class="table-plain table-stack">
      <thead>
        <tr>
          <th class="w-14">Code</th>
          <th>Meaning</th>
          <th class="w-28">Old control</th>
          <th class="w-28">In this one</th>
          <th class="w-24 !text-right">Set to</th>
          <th class="w-44">Set from</th>
        </tr>
      </thead>
      <tbody>
        <CompareLine v-for="line in rows" :key="line.row.code" :line="line" :compare="compare" />
      </tbody>
    </table>
    <section v-if="fixed.length > 0">
      <h3>Built in, not to be changed</h3>
      <p class="text-soft">{{ fixed.map((f) => `${f.label}: ${f.value}`).join(' · ') }}</p>
    </section>
  </div>
</template>
