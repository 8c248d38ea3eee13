<script setup lang="ts">
import { computed } from 'vue';
import { encode, isDangerousLoss, type RowStatus } from '@brine/core/controllers';
import { printShown } from '@brine/core/handover';
import { settingOf } from '@brine/core/settings';
import { useDisplay } from '../shared/display/displayStore.ts';
import { useJob } from '../shared/job/useJob.ts';

const job = useJob();
const display = useDisplay();
const program = computed(() => job.program.value);
const statusWords: Readonly<Record<RowStatus, string>> = {
  exact: 'as planned',
  rounded: 'rounded',
  clamped: 'out of reach',
  meaning: 'recomputed',
  default: 'default of this control',
  fixed: 'built in',
};
/** How the old values would stand in the new control: that is what "found" means in its codes. */
const copied = computed(
  () =>
    new Map(
      (program.value.found && job.replacement.value
        ? encode(program.value.found.values, job.replacement.value).rows
        : []
      ).map((row) => [row.code, row]),
    ),
);
const rows = computed(() =>
  program.value.rows.map((row) => ({
    row,
    setting: row.settings.map((id) => settingOf(id).label).join(', ') || row.parameter.name,
    found: row.found === null ? '' : printShown(row.parameter, row.found, program.value.display!),
    foundNote: row.found === null ? '' : (copied.value.get(row.code)?.note ?? ''),
    set: printShown(row.parameter, row.value, program.value.display!),
    status: statusWords[row.status],
  })),
);
const lost = computed(() =>
  program.value.lost.map((l) => ({
    ...l,
    label: settingOf(l.setting).label,
    grave: isDangerousLoss(l.setting),
  })),
);
const fixed = computed(() =>
  program.value.fixed.map(({ setting, value }) => ({
    label: settingOf(setting).label,
    value: display.showSetting(setting, value),
  })),
);
</script>

<template>
  <div data-test="compare">
    <section v-if="lost.length > 0" class="mb-4">
      <h3>What this control cannot hold</h3>
      <ul class="mt-1 flex flex-col gap-1.5">
        <li
          v-for="l in lost"
          :key="l.setting"
          class="border-l-4 px-3 py-1.5"
          :class="l.grave ? 'border-alarm bg-alarm-wash' : 'border-hairline bg-band'"
        >
          <strong class="font-semibold"
            >{{ l.label }}<template v-if="l.grave"> (protects compressor or goods)</template>:</strong
          >
          {{ l.reason }}
        </li>
      </ul>
    </section>
    <table class="table-plain">
      <thead>
        <tr>
          <th class="w-20">Code</th>
          <th>Meaning</th>
          <th class="w-44 !text-right">As found</th>
          <th class="w-44 !text-right">Set to</th>
          <th class="w-28">In this control</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.row.code" :class="{ 'bg-amber-wash/60': r.row.differs }">
          <td class="!pl-1 font-mono font-semibold">{{ r.row.code }}</td>
          <td>
            {{ r.setting
            }}<span v-if="r.foundNote || r.row.note" class="hint block">{{ r.foundNote || r.row.note }}</span>
          </td>
          <td class="text-right font-mono text-soft">
            <span v-if="r.row.differs" class="mr-2 font-sans text-[12.5px] text-ink">differs</span
            >{{ r.found }}
          </td>
          <td class="text-right font-mono font-semibold">{{ r.set }}</td>
          <td class="text-[14px]">{{ r.status }}</td>
        </tr>
      </tbody>
    </table>
    <section v-if="fixed.length > 0" class="mt-4">
      <h3>Built in, not to be changed</h3>
      <p class="text-soft">{{ fixed.map((f) => `${f.label}: ${f.value}`).join(' · ') }}</p>
    </section>
  </div>
</template>
