<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  isSameControl,
  ownWords,
  sideBySide,
  type BesideCell,
  type BesideControl,
  type BesideRow,
} from '@brine/core/controllers/beside';
import { settingOf } from '@brine/core/foundation/settings';
import { printShown } from '@brine/core/record/handover';
import { useDisplay } from '../../shared/display/displayStore.ts';

/** Two controls line by line: what differs first of all. */
const props = defineProps<{
  left: BesideControl;
  right: BesideControl;
  names: readonly [string, string];
}>();
const display = useDisplay();
const all = ref(false);
const rows = computed(() => sideBySide(props.left, props.right));
const only = (is: BesideRow['is']) => rows.value.filter((row) => row.is === is);
const shown = computed(() => {
  if (all.value) return rows.value;
  return [...only('differs'), ...only('oneSided')];
});
/** Different controllers: the codes are not the same ones, so they stand beside their values. */
const twoKinds = computed(() => !isSameControl(props.left, props.right));
const marks = { same: '=', differs: '≠', oneSided: '?' } as const;
const said = { same: 'the same', differs: 'differs', oneSided: 'known of one alone' } as const;
const parameterIn = ({ left, right }: BesideRow) =>
  [left, right].map((cell) => (cell && 'parameter' in cell ? cell.parameter : null)).find((one) => one);
const meaning = (row: BesideRow) =>
  row.setting && (twoKinds.value || !parameterIn(row)?.name)
    ? settingOf(row.setting).label
    : (parameterIn(row)?.name ?? '');
const code = (cell: BesideCell | null) => (cell && 'parameter' in cell ? cell.parameter.code : '');
function value(row: BesideRow, cell: BesideCell | null) {
  if (!cell) return '–';
  if ('builtIn' in cell)
    return `${row.setting ? display.showSetting(row.setting, cell.builtIn) : ''}, built in`;
  return printShown(cell.parameter, cell.value, cell.display);
}
/** A line by what it is about: a setting that several codes hold, or a code without one. */
const keyOf = (row: BesideRow) => `${row.setting ?? ''} ${code(row.left)} ${code(row.right)}`;
</script>

<template>
  <div data-test="beside-table">
    <div class="flex flex-wrap items-center gap-x-5 gap-y-1">
      <p role="status" data-test="beside-count">
        <strong class="font-semibold">{{ only('differs').length }} differ</strong>,
        {{ only('oneSided').length }} known of one alone, {{ only('same').length }} the same.
      </p>
      <label class="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11"
        ><input v-model="all" type="checkbox" data-test="beside-all" />Show what is the same as well</label
      >
    </div>
    <p v-if="shown.length === 0" class="mt-2">✓ As far as both are known they stand alike.</p>
    <table v-else class="table-plain table-stack mt-2">
      <thead>
        <tr>
          <th v-if="!twoKinds" class="w-16">Code</th>
          <th>What it sets</th>
          <th class="w-44 !text-right">{{ names[0] }}</th>
          <th class="w-8 !text-center"><span class="sr-only">Alike or not</span></th>
          <th class="w-44">{{ names[1] }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in shown" :key="keyOf(row)" :data-test="`beside-${row.is}`">
          <td v-if="!twoKinds" class="font-mono font-semibold">{{ code(row.left) || code(row.right) }}</td>
          <td>
            {{ meaning(row) }}
            <span v-if="row.own" class="hint block">{{ ownWords[row.own] }}</span>
          </td>
          <td class="text-right font-mono" :data-label="names[0]">
            <span v-if="twoKinds && code(row.left)" class="text-soft">{{ code(row.left) }}&nbsp;&nbsp;</span
            >{{ value(row, row.left) }}
          </td>
          <td class="text-center" :class="{ 'font-semibold text-alarm': row.is === 'differs' }">
            {{ marks[row.is] }} <span class="sm:sr-only">{{ said[row.is] }}</span>
          </td>
          <td class="!pr-0 font-mono" :data-label="names[1]">
            {{ value(row, row.right)
            }}<span v-if="twoKinds && code(row.right)" class="text-soft"
              >&nbsp;&nbsp;{{ code(row.right) }}</span
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
