<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { answersOf } from '@brine/core/record/job';
import { type Finding, type Remedy } from '@brine/core/judgement/checks';
import { switchingBand } from '@brine/core/foundation/regulation';
import { fansInForce } from '@brine/core/machines/condenser';
import { isMachine, settingOf } from '@brine/core/foundation/settings';
import { panelOf, settingsOf } from '@brine/core/controllers/definitions';
import { deedWords, panelWords } from '@brine/core/controllers/panel';
import { printFor, quantity } from '@brine/core/foundation/quantities';
import type { JudgedFinding } from '@brine/core/judgement/verdict';
import { useDisplay } from '../shared/display/displayStore.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CautionNote from '../shared/ui/CautionNote.vue';
import FindingList from '../shared/ui/FindingList.vue';

const props = defineProps<{ findings: readonly JudgedFinding[]; judging: boolean }>();
defineEmits<{ take: [remedy: Remedy, finding: Finding] }>();
const job = useJob();
const session = useSession();
const display = useDisplay();
const program = computed(() => job.program.value);
const words = computed(() => (job.replacement.value ? panelWords(job.replacement.value) : null));
const deeds = computed(() => {
  const panel = job.replacement.value && panelOf(job.replacement.value);
  return panel ? deedWords(panel) : [];
});
const band = computed(() => switchingBand(program.value.inForce));
const machine = computed(() => program.value.unit !== null && isMachine(program.value.unit.application));
const show = (celsius: number) => printFor(quantity(celsius, 'degC'), display.unit);
const measures = computed(() => program.value.unit?.application === 'heatMeter');
const sentence = computed(() => {
  if (measures.value) return 'It regulates nothing: it measures flow and two temperatures.';
  const fans = machine.value ? fansInForce(program.value.inForce) : null;
  if (fans?.method === 'onOff')
    return `Fans start ${fans.fanCount > 1 ? 'one by one up to' : 'at'} ${show(fans.setpoint + fans.differential)} and stop ${fans.fanCount > 1 ? 'down to' : 'at'} ${show(fans.setpoint)}.`;
  if (fans)
    return `Fans from nothing at ${show(fans.setpoint)} to full at ${show(fans.setpoint + fans.differential)}${fans.floatingDifference === null ? '' : ', floating with the outdoor air'}.`;
  return band.value
    ? `${band.value.cutOut > band.value.cutIn ? 'Heats' : 'Runs'} from ${show(band.value.cutIn)} ${band.value.cutOut > band.value.cutIn ? 'up' : 'down'} to ${show(band.value.cutOut)}.`
    : 'Set point or differential is missing.';
});
/** Notes are worth a look, they are no collision. */
const sound = computed(() => props.findings.every((f) => f.severity === 'note'));
/** What no code of the new control says and nobody confirmed. */
const deduced = computed(() =>
  program.value.deduced.map(({ setting, value, because }) => ({
    setting,
    label: settingOf(setting).label,
    value: display.showSetting(setting, value),
    because,
  })),
);
/** A complaint of frost, and a control that could defrost by it, planned by hours. */
const mayDemand = computed(() => {
  const { unit, inForce } = program.value;
  const complaint = answersOf(job.state.value).get('complaint');
  return (
    unit !== null &&
    inForce['defrost.initiation'] !== 'demand' &&
    /frost|\bic(e|y|ing)/i.test(typeof complaint === 'string' ? complaint : '') &&
    unit.probes.includes('coil') &&
    (job.replacement.value?.parameters ?? []).some((parameter) =>
      settingsOf(parameter).includes('defrost.demandTemperatureDifference'),
    )
  );
});
const lost = computed(() => program.value.lost.length);
const notStated = computed(() => program.value.notStated.map((id) => settingOf(id).label.toLowerCase()));
</script>

<template>
  <aside
    class="flex flex-col gap-5 border-t border-hairline bg-sheet px-4 py-4 sm:px-5 lg:border-t-0 lg:border-l"
    aria-label="Judgement"
  >
    <div>
      <h2>Judgement</h2>
      <p class="mt-1 text-[17px]">{{ sentence }}</p>
      <p v-if="program.unit?.learned" class="hint" data-test="judged-on">
        Judged on this unit’s own box, as it was learned from its log.
      </p>
    </div>
    <p v-if="judging" class="hint" role="status">Simulating a day of this unit …</p>
    <p v-else-if="sound" class="border-l-4 border-good bg-good-wash px-3 py-2" data-test="no-findings">
      <strong class="font-semibold">✓ Nothing collides.</strong>
      {{
        measures
          ? 'Slopes and offsets are plausible. What they do to the heat is worked out under Tools.'
          : machine
            ? 'Set points, band and alarms fit together, and a simulated day of these fans says nothing against them.'
            : 'Limits of the product, alarms, defrost, fans and the user’s range fit together, and a simulated day of this unit says nothing against them.'
      }}
    </p>
    <FindingList
      v-if="props.findings.length > 0"
      :findings="props.findings"
      :editable="session.mayWrite && !judging"
      @take="(remedy, finding) => $emit('take', remedy, finding)"
    />
    <p
      v-if="mayDemand"
      class="border-l-4 border-hairline bg-band px-3 py-2 text-[14.5px]"
      data-test="may-demand"
    >
      The complaint speaks of frost, and this control can defrost on demand; it is planned by hours.
      <RouterLink class="link" :to="`/jobs/${job.id}/program/tools`">What demand would save</RouterLink>
    </p>
    <div v-if="words">
      <h3>Into the menu of the {{ job.replacement.value?.family }}</h3>
      <ol class="mt-1 list-decimal pl-5">
        <li v-for="line in words.enter" :key="line">{{ line }}</li>
      </ol>
      <p class="hint mt-1">{{ words.timeOut }}</p>
    </div>
    <details v-if="deeds.length > 0">
      <summary class="link py-1">
        Without the menu: {{ deeds.map((d) => d.name.toLowerCase()).join(', ') }}
      </summary>
      <dl class="mt-1">
        <div v-for="deed in deeds" :key="deed.does" class="border-b border-hairline py-1">
          <dt>{{ deed.name }}</dt>
          <dd class="text-soft">{{ deed.strokes.join('; ') }}</dd>
        </div>
      </dl>
    </details>
    <details v-if="deduced.length > 0" data-test="deduced">
      <summary class="link py-1">
        {{ deduced.length }} {{ deduced.length === 1 ? 'fact is' : 'facts are' }} taken as built in, not
        confirmed
      </summary>
      <ul class="mt-1">
        <li v-for="fact in deduced" :key="fact.setting" class="border-b border-hairline py-1">
          {{ fact.label }}: {{ fact.value }}
          <span class="block text-[14px] text-soft">{{ fact.because }}.</span>
        </li>
      </ul>
      <p class="hint mt-1">Confirm them in the controller: Controls, then a new version, Built in.</p>
    </details>
    <p v-if="lost > 0" class="hint">
      {{ lost }} planned {{ lost === 1 ? 'value has' : 'values have' }} no place in this control: see Compare.
    </p>
    <p v-if="notStated.length > 0" class="hint">Not stated by its booklet: {{ notStated.join(', ') }}.</p>
    <CautionNote
      >Units start by themselves. Before any output is called, ask who else is on the unit. A plan is an
      estimate; whether product that was out of range may be kept is for its owner and the authority to
      decide.</CautionNote
    >
  </aside>
</template>
