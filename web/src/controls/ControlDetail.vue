<script setup lang="ts">
import { computed } from 'vue';
import {
  displayOf,
  printScale,
  scaleOf,
  settingsOf,
  type ControllerDefinition,
  type Parameter,
} from '@brine/core/controllers/definitions';
import { choiceWords, printShown } from '@brine/core/record/handover';
import { panelWords } from '@brine/core/controllers/panel';
import { settingOf } from '@brine/core/foundation/settings';

const props = defineProps<{ definition: ControllerDefinition }>();
const display = computed(() => displayOf(props.definition, new Map()));
const words = computed(() => panelWords(props.definition));
function rangeOf(p: Parameter): string {
  if (p.encoding.type === 'number') return printScale(scaleOf(p.encoding, display.value));
  return p.encoding.type === 'choice'
    ? p.encoding.options.map((o) => `${o.value} ${choiceWords(p, o.value)}`.trim()).join(' · ')
    : '';
}
function defaultOf(p: Parameter): string {
  if (p.encoding.type === 'number')
    return printShown(p, scaleOf(p.encoding, display.value).default, display.value);
  return p.encoding.type === 'reading' ? '' : String(p.encoding.default);
}
const rows = computed(() =>
  props.definition.parameters.map((p) => ({
    code: p.code,
    name: p.name,
    folder: p.path?.join(' / ') ?? '',
    meaning: settingsOf(p)
      .map((id) => settingOf(id).label)
      .join(', '),
    range: rangeOf(p),
    standard: defaultOf(p),
    note: [
      p.note,
      p.leaveAlone && `Leave alone: ${p.leaveAlone}`,
      p.visibleWhen && `Only when ${p.visibleWhen.code} is ${p.visibleWhen.in.join(' or ')}.`,
    ]
      .filter(Boolean)
      .join(' '),
  })),
);
</script>

<template>
  <div>
    <h2>{{ definition.family }}</h2>
    <p class="text-soft">{{ definition.summary }}</p>
    <div v-if="words" class="mt-3 max-w-3xl">
      <h3>Into the menu</h3>
      <p>{{ words.enter.join('. ') }}. {{ words.timeOut }}</p>
    </div>
    <table class="table-plain mt-4">
      <thead>
        <tr>
          <th class="w-20">Code</th>
          <th>Name</th>
          <th>Means</th>
          <th>Range</th>
          <th class="w-24">Default</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.code">
          <td class="font-mono font-semibold">{{ row.code }}</td>
          <td>
            {{ row.name
            }}<span class="hint block">{{ [row.folder, row.note].filter(Boolean).join(' · ') }}</span>
          </td>
          <td>{{ row.meaning || 'no common meaning' }}</td>
          <td class="text-[14px]">{{ row.range }}</td>
          <td class="font-mono">{{ row.standard }}</td>
        </tr>
      </tbody>
    </table>
    <h3 class="mt-5">Alarm codes</h3>
    <p v-if="!definition.alarmCodes" class="text-soft">Not stated.</p>
    <p v-else-if="definition.alarmCodes.length === 0" class="text-soft">It has none.</p>
    <ul v-else class="mt-1 max-w-3xl">
      <li v-for="alarm in definition.alarmCodes" :key="alarm.code" class="border-b border-hairline py-1.5">
        <span class="font-mono font-semibold">{{ alarm.code }}</span> {{ alarm.means }} ({{
          alarm.severity === 'shutdown' ? 'stops the unit' : 'look soon'
        }}). <span class="text-soft">{{ alarm.firstChecks.join(' ') }}</span>
      </li>
    </ul>
  </div>
</template>
