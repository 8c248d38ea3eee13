<script setup lang="ts">
import { computed } from 'vue';
import { settingOf } from '@brine/core/foundation/settings';
import { judgementInput } from '@brine/core/record/job';
import { useDisplay } from '../shared/display/displayStore.ts';
import { definitionByHash } from '../shared/job/definitions.ts';
import { useJudgement } from '../shared/job/useJudgement.ts';
import FindingList from '../shared/ui/FindingList.vue';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import CautionNote from '../shared/ui/CautionNote.vue';
import { outputWords } from '../shared/circuit/outputWords.ts';
import type { FitRow } from './useFit.ts';

const props = defineProps<{ row: FitRow }>();
const job = useJob();
const session = useSession();
const display = useDisplay();
const fit = computed(() => props.row.fit);
const chosen = computed(() => job.newPin.value?.id === fit.value.id);
const amps = (value: number | null) =>
  value === null ? '–' : `${value.toFixed(value < 1 ? 2 : value < 10 ? 1 : 0)} A`;
const lost = computed(() => fit.value.lost.map((l) => settingOf(l.setting).label));
const notStated = computed(() => fit.value.notStated.map((id) => settingOf(id).label));
/** The chosen control is judged by what stands in it, another by what it would hold of the plan. */
const judged = useJudgement(() => {
  const program = job.program.value;
  if (chosen.value) return judgementInput(program, job.replacement.value, display.unit);
  const controller = definitionByHash(props.row.line.hash);
  const asked = controller && judgementInput(program, controller, display.unit);
  return asked && { ...asked, values: program.values, inEffect: false };
});
const against = computed(() => judged.findings.value.filter((f) => f.severity !== 'note'));
function choose() {
  const { id, family, version, hash } = props.row.line;
  void job.write({ kind: 'control', role: 'new', definition: { id, family, version, hash } });
}
</script>

<template>
  <aside
    class="flex flex-col gap-4 border-t border-hairline bg-sheet px-4 py-4 sm:px-5 lg:min-h-0 lg:overflow-auto lg:border-t-0 lg:border-l"
    :aria-label="fit.family"
    data-test="fit-detail"
  >
    <div>
      <h2>{{ fit.family }}</h2>
      <p class="hint mt-1">{{ row.line.summary }}</p>
    </div>
    <table class="table-plain max-sm:[&_td]:!pr-1.5 max-sm:[&_th]:!pr-1.5">
      <thead>
        <tr>
          <th>Output</th>
          <th class="!text-right">Load</th>
          <th class="!text-right">Resistive</th>
          <th class="!text-right">Motor</th>
          <th class="!text-right">Start</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="relay in fit.relays" :key="relay.output">
          <td>
            {{ outputWords(relay.output)
            }}<span v-if="relay.relay" class="hint block">on {{ relay.relay }}</span
            ><span v-else class="problem block">no relay</span>
          </td>
          <td
            class="text-right font-mono whitespace-nowrap"
            :class="{ 'text-alarm': relay.strongEnough === false }"
          >
            {{ amps(relay.amps) }}{{ relay.strongEnough === false ? ' ✗' : relay.strongEnough ? ' ✓' : '' }}
          </td>
          <td class="text-right font-mono whitespace-nowrap text-soft">{{ amps(relay.resistiveAmps) }}</td>
          <td class="text-right font-mono whitespace-nowrap text-soft">
            {{ amps(relay.motorFullLoadAmps) }}
          </td>
          <td class="text-right font-mono whitespace-nowrap text-soft">
            {{ amps(relay.motorLockedRotorAmps) }}
          </td>
        </tr>
      </tbody>
    </table>
    <ul class="flex flex-col gap-2">
      <li
        v-for="gap in fit.gaps"
        :key="gap.need"
        class="border-l-4 px-3 py-2"
        :class="gap.bridge ? 'border-amber bg-amber-wash' : 'border-alarm bg-alarm-wash'"
      >
        <strong class="inline-block font-semibold first-letter:uppercase">{{ gap.need }}:</strong>
        {{ gap.lacks }}.
        <span class="block">{{ gap.bridge ? gap.bridge.words : 'Cannot be bridged.' }}</span>
      </li>
      <li v-if="fit.gaps.length === 0" class="border-l-4 border-good bg-good-wash px-3 py-2">
        ✓ Nothing is missing.
      </li>
    </ul>
    <p v-if="lost.length > 0" class="hint">
      {{ lost.length }} planned {{ lost.length === 1 ? 'value has' : 'values have' }} no place in it:
      {{ lost.slice(0, 6).join(', ') }}{{ lost.length > 6 ? ' …' : '' }}.
    </p>
    <p v-if="notStated.length > 0" class="hint">Not stated by its booklet: {{ notStated.join(', ') }}.</p>
    <section aria-label="Its day with this plan" data-test="fit-judged">
      <h3>{{ chosen ? 'Its day as it is set' : 'Its day with what it holds of the plan' }}</h3>
      <p v-if="judged.running.value" class="hint" role="status">Simulating a day of this unit …</p>
      <p v-else-if="against.length === 0" class="mt-1">✓ Nothing collides.</p>
      <FindingList v-if="against.length > 0" class="mt-1" :findings="against" />
    </section>
    <AppButton
      v-if="session.mayWrite"
      kind="primary"
      :disabled="chosen"
      data-test="choose-control"
      @click="choose"
      >{{ chosen ? `✓ ${fit.family} is chosen` : `Choose ${fit.family}` }}</AppButton
    >
    <CautionNote
      >High-pressure cut-out, overload, heater limit and float stay in series: no control replaces them. Where
      a flammable refrigerant can gather, no sparking contact. The local code decides.</CautionNote
    >
  </aside>
</template>
