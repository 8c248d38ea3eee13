<script setup lang="ts">
import { computed } from 'vue';
import {
  isTemperature,
  layoutProblem,
  roleNames,
  timeOrders,
  valueRoles,
  zoneClock,
  type ColumnRole,
  type GuessedLayout,
  type LogLayout,
} from '@brine/core/logs/reading';
import AppButton from '../../shared/ui/AppButton.vue';

/** How the file is laid out: guessed, shown with its first rows, mended by hand. */
const props = defineProps<{ guessed: GuessedLayout; layout: LogLayout; busy: boolean }>();
const emit = defineEmits<{ change: [layout: LogLayout]; read: [] }>();
const roles: readonly ColumnRole[] = ['time', 'date', 'clock', ...valueRoles];
const orderNames = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
  seconds: 'seconds since the start',
  serial: 'days of a spreadsheet',
} as const;
const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
const problem = computed(() => layoutProblem(props.layout));
const zoneProblem = computed(() =>
  props.layout.zone && !zoneClock(props.layout.zone) ? 'Expected a zone such as Europe/Lisbon' : '',
);
const change = (part: Partial<LogLayout>) => emit('change', { ...props.layout, ...part });
const changeColumn = (index: number, part: Partial<LogLayout['columns'][number]>) =>
  change({ columns: props.layout.columns.map((c, i) => (i === index ? { ...c, ...part } : c)) });
const setRole = (index: number, value: string) =>
  changeColumn(index, { role: value === '' ? null : (value as ColumnRole) });
const rows = computed(() => props.guessed.rows.slice(0, 6));
</script>

<template>
  <section aria-label="How the file is laid out" data-test="layout">
    <ul v-if="guessed.doubts.length > 0" class="mb-3 border-l-4 border-amber bg-amber-wash px-3 py-2">
      <li v-for="doubt in guessed.doubts" :key="doubt">{{ doubt }}</li>
    </ul>
    <div class="overflow-x-auto">
      <table class="table-plain" data-test="preview">
        <thead>
          <tr>
            <th v-for="(column, i) in layout.columns" :key="i" class="min-w-32">
              <span class="block truncate" :title="column.name">{{ column.name }}</span>
              <select
                class="mt-1 !min-h-9 pointer-coarse:!min-h-11 w-full !py-1 text-[14px] text-ink"
                :value="column.role ?? ''"
                :aria-label="`${column.name} holds`"
                :data-test="`column-${i}`"
                @change="setRole(i, ($event.target as HTMLSelectElement).value)"
              >
                <option value="">leave out</option>
                <option v-for="role in roles" :key="role" :value="role">{{ roleNames[role] }}</option>
              </select>
              <label
                v-if="column.role && isTemperature(column.role)"
                class="mt-1 flex items-center gap-1.5 font-sans text-[13px] text-ink"
                ><input
                  type="checkbox"
                  :checked="column.fahrenheit"
                  @change="changeColumn(i, { fahrenheit: ($event.target as HTMLInputElement).checked })"
                />
                in °F</label
              >
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, r) in rows" :key="r">
            <td
              v-for="(_, i) in layout.columns"
              :key="i"
              class="font-mono text-[13.5px] whitespace-nowrap"
              :class="{ 'text-soft': layout.columns[i]!.role === null }"
            >
              {{ row[i] }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="mt-3 flex flex-wrap items-end gap-4">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Dates</span>
        <select
          :value="layout.order"
          data-test="order"
          @change="change({ order: ($event.target as HTMLSelectElement).value as LogLayout['order'] })"
        >
          <option v-for="order in timeOrders" :key="order" :value="order">{{ orderNames[order] }}</option>
        </select>
      </label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Zone of its clock</span>
        <input
          :value="layout.zone ?? ''"
          class="w-48"
          list="zones"
          placeholder="as written"
          @change="change({ zone: ($event.target as HTMLInputElement).value.trim() || null })"
        />
        <datalist id="zones"><option :value="here" /></datalist>
      </label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Decimal sign</span>
        <select
          :value="layout.decimal"
          @change="change({ decimal: ($event.target as HTMLSelectElement).value as '.' | ',' })"
        >
          <option value=".">point</option>
          <option value=",">comma</option>
        </select>
      </label>
      <AppButton
        kind="primary"
        :disabled="problem !== null || zoneProblem !== '' || busy"
        data-test="read-log"
        @click="$emit('read')"
        >Read it</AppButton
      >
    </div>
    <p v-if="problem || zoneProblem" class="problem mt-1" role="alert">
      {{ problem ? `Not yet: ${problem}.` : zoneProblem }}
    </p>
  </section>
</template>
