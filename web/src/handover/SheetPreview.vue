<script setup lang="ts">
import { computed } from 'vue';
import { leaveBehindSheet } from '@brine/core/record/handover';
import { plateLines } from '@brine/core/record/job';
import { standing } from '@brine/core/record/fold';
import { useJobJudgement } from '../shared/job/useJudgement.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';

const job = useJob();
const session = useSession();
const judgement = useJobJudgement();
const sheet = computed(() => {
  const unit = job.job.value!.unit;
  return leaveBehindSheet({
    unit: [unit.tag, unit.name].filter(Boolean).join(' · '),
    site: unit.siteName,
    company: session.company?.name ?? '',
    control: job.replacement.value!,
    controlVersion: job.newPin.value!.version,
    plate: plateLines(unit.plate, job.state.value),
    by: '',
    date: '',
    watch: standing(job.state.value, 'handedOver', 'handedOver')?.watch ?? '',
    program: job.program.value,
    findings: judgement.findings.value,
  });
});
</script>

<template>
  <article
    class="mx-auto max-w-3xl border border-hairline bg-sheet px-5 py-5 text-[13.5px] leading-snug sm:px-8"
    data-test="sheet"
  >
    <header class="grid gap-x-6 sm:grid-cols-[minmax(0,1fr)_auto]">
      <div>
        <h2 class="text-[20px]">{{ sheet.unit }}</h2>
        <p class="text-soft">{{ [sheet.site, ...sheet.plate].join(' · ') }}</p>
      </div>
      <p class="font-head sm:text-right font-semibold">
        {{ sheet.control }}<span class="block font-sans font-normal text-soft">{{ sheet.company }}</span>
      </p>
    </header>
    <table class="table-plain table-stack mt-3">
      <thead>
        <tr>
          <th class="w-16">Code</th>
          <th>Meaning</th>
          <th>Set to</th>
          <th>Found</th>
          <th class="w-36">Remark</th>
        </tr>
      </thead>
      <tbody v-for="group in sheet.groups" :key="group.title">
        <tr>
          <td colspan="5" class="bg-band !px-1.5 !py-0.5 font-head font-semibold">{{ group.title }}</td>
        </tr>
        <tr v-for="line in group.lines" :key="line.code" class="[&>td]:!py-0.5">
          <td class="font-mono font-semibold">{{ line.code }}</td>
          <td>{{ line.meaning }}</td>
          <td class="font-mono font-semibold" data-label="Set to">{{ line.value }}</td>
          <td class="font-mono text-soft" data-label="Found">{{ line.found }}</td>
          <td class="text-soft">{{ line.remark }}</td>
        </tr>
      </tbody>
    </table>
    <div class="mt-4 grid gap-5 sm:grid-cols-2">
      <section>
        <h3>What to watch</h3>
        <ul v-if="sheet.watch.length > 0" class="list-disc pl-4">
          <li v-for="line in sheet.watch" :key="line">{{ line }}</li>
        </ul>
        <p v-else class="text-soft">Nothing beyond the usual: look at the frost after three days.</p>
      </section>
      <section>
        <h3>If it shows</h3>
        <p v-for="alarm in sheet.alarms" :key="alarm.code">
          <span class="font-mono font-semibold">{{ alarm.code }}</span> {{ alarm.means }}.
          <span class="text-soft">{{ alarm.firstChecks.join('; ') }}</span>
        </p>
        <template v-if="sheet.direct.length > 0">
          <h3 class="mt-3">Without the menu</h3>
          <ul class="list-disc pl-4">
            <li v-for="line in sheet.direct" :key="line">{{ line }}</li>
          </ul>
        </template>
      </section>
    </div>
  </article>
</template>
