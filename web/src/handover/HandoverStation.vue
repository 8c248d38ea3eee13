<script setup lang="ts">
import { mount } from '../shared/mount/mount.ts';
import { LONGEST_NAME, LONGEST_TEXT } from '@brine/contract/lengths';
import { cutText } from '../shared/ui/cutText.ts';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { RouterLink } from 'vue-router';
import { added, standing } from '@brine/core/record/fold';
import type { EntryBody } from '@brine/core/record/entries';
import { serverAway } from '../shared/api/contact.ts';
import { saveFile } from '../shared/ui/saveFile.ts';
import FormProblem from '../shared/ui/FormProblem.vue';
import { sheetHere } from './sheetHere.ts';
import { useDisplay } from '../shared/display/displayStore.ts';
import { localDateTime } from '../shared/display/localTime.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useOutbox } from '../shared/outbox/outboxStore.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import CautionNote from '../shared/ui/CautionNote.vue';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import SiteQuestions from '../shared/visit/SiteQuestions.vue';
import FollowUpList from './FollowUpList.vue';
import OpenList from './OpenList.vue';
import { useLeaving } from './useLeaving.ts';
import { useJobJudgement } from '../shared/job/useJudgement.ts';
import { openSummary } from '@brine/core/record/openWork';
import LockReminder from './LockReminder.vue';
import ShareLink from './ShareLink.vue';
import SignOff from './SignOff.vue';
import TakeAlong from './TakeAlong.vue';
import PaperPreview from './PaperPreview.vue';
import PredictionBox from './PredictionBox.vue';
import { usePrediction } from './usePrediction.ts';
import { frozenSheets } from './frozenSheets.ts';

const job = useJob();
const session = useSession();
const display = useDisplay();
const outbox = useOutbox();
const handed = computed(() => standing(job.state.value, 'handedOver', 'handedOver'));
const { text: to, settle: settleTo } = useDraft(() => handed.value?.to ?? '', `handover-to:${job.id}`);
const { text: watchFor, settle: settleWatch } = useDraft(
  () => handed.value?.watch ?? '',
  `handover-watch:${job.id}`,
);
const { work } = job;
const leaving = useLeaving(job.id, () => work.value);
const prediction = usePrediction(job);
const handingOver = ref(false);
/** Somebody tried to hand over: what is missing is said. */
const asked = ref(false);
const waiting = computed(() => outbox.waiting.filter((w) => w.entry.job === job.id).length);
const paper = ref<'A4' | 'LETTER'>(display.unit === 'degF' ? 'LETTER' : 'A4');
const papers = [
  { id: 'A4' as const, name: 'A4' },
  { id: 'LETTER' as const, name: 'Letter' },
];
const type = ref<'small' | 'large'>('small');
const whom = ref<'site' | 'file'>('site');
const twoPapers = [
  { id: 'site' as const, name: 'For the site' },
  { id: 'file' as const, name: 'For the file' },
];
const wish = computed(() => ({ for: whom.value, paper: paper.value, type: type.value }));
const judgement = useJobJudgement();
const printing = computed(() => ({
  company: session.company?.name ?? '',
  phone: session.company?.phone ?? '',
  logo: session.company?.logo ?? null,
  person: session.person?.name ?? '',
  reader: display.unit,
  findings: judgement.findings.value,
}));
const types = [
  { id: 'small' as const, name: 'Small type' },
  { id: 'large' as const, name: 'Large type' },
];
const address = computed(
  () =>
    `${mount}/api/jobs/${job.id}/sheet.pdf?for=${whom.value}&paper=${paper.value}&type=${type.value}&unit=${display.unit}&after=${job.state.value.sequence}`,
);
const versions = computed(() =>
  added(job.state.value, 'sheet').flatMap(({ entry }) =>
    entry.body.kind === 'sheet'
      ? [
          {
            id: entry.id,
            name: { found: 'As found', planned: 'Planned', left: 'As left' }[entry.body.sheet],
            rows: entry.body.rows.length,
            family: entry.body.definition?.family ?? '',
            by: job.nameOf(entry.author),
            at: localDateTime(entry.deviceTime),
          },
        ]
      : [],
  ),
);
const making = ref(false);
const problem = ref<string | null>(null);
const made = shallowRef<{ name: string; size: number; url: string } | null>(null);
const dropMade = () => made.value && URL.revokeObjectURL(made.value.url);
/** Without signal, or before everything has arrived: the sheet of what stands on this device. */
async function makeHere() {
  making.value = true;
  problem.value = null;
  try {
    const { name, pdf } = await sheetHere(job, wish.value, printing.value);
    dropMade();
    made.value = { name, size: pdf.size, url: URL.createObjectURL(pdf) };
    saveFile(name, pdf);
  } catch (error) {
    problem.value = (error as Error).message;
  }
  making.value = false;
}
onBeforeUnmount(dropMade);
async function handOver() {
  asked.value = true;
  if (to.value.trim() === '' || leaving.missing.value.length > 0 || leaving.notBack.value) return;
  if (handingOver.value) return;
  handingOver.value = true;
  try {
    const said = await prediction.entries();
    const { open, followUps } = leaving.entries();
    const body: EntryBody = {
      kind: 'handedOver',
      to: cutText(to.value.trim(), LONGEST_NAME),
      watch: cutText(watchFor.value.trim(), LONGEST_TEXT),
      ...(open.length > 0 && { open }),
    };
    await job.write(...followUps, ...said, body, ...frozenSheets(job));
  } finally {
    handingOver.value = false;
  }
  asked.value = false;
  leaving.settle();
  settleTo();
  settleWatch();
}
</script>

<template>
  <div v-if="!job.replacement.value" class="px-5 py-6">
    <h2>No sheet yet</h2>
    <p class="mt-1">
      The sheet is made from what was keyed into the new control.
      <RouterLink class="link" :to="`/jobs/${job.id}/survey`">Choose the new control in Survey</RouterLink>.
    </p>
  </div>
  <div v-else class="grid flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]">
    <section class="flex flex-col gap-4 px-4 py-5 sm:px-5" aria-label="Hand over">
      <h2>Hand over</h2>
      <form class="flex flex-col gap-4" @submit.prevent="handOver">
        <div class="flex flex-col gap-1">
          <label for="to" class="field-label">Handed over to</label
          ><input
            id="to"
            v-model="to"
            maxlength="200"
            :disabled="!session.mayWrite"
            placeholder="Name or office on site"
            :aria-invalid="asked && to.trim() === ''"
            data-test="handed-to"
          />
          <p v-if="asked && to.trim() === ''" class="problem" role="alert">
            Expected who takes it over.
            <button type="button" class="link" @click="to = 'nobody on site'">Nobody is on site</button>
          </p>
        </div>
        <div class="flex flex-col gap-1">
          <label for="watch" class="field-label">What to watch</label
          ><textarea
            id="watch"
            v-model="watchFor"
            rows="4"
            maxlength="2000"
            :disabled="!session.mayWrite"
            placeholder="One line each, in plain words for the people on site"
          ></textarea>
          <p class="hint">Findings and values that differ are added by themselves.</p>
        </div>
        <OpenList :leaving="leaving" :asked="asked" />
        <PredictionBox :prediction="prediction" />
        <AppButton v-if="session.mayWrite" kind="primary" type="submit" data-test="hand-over">{{
          handingOver && prediction.share.value !== null
            ? 'Handing over, once the coming days are drawn …'
            : handed
              ? 'Hand over again'
              : 'Hand over, and keep the sheets'
        }}</AppButton>
      </form>
      <p v-if="handed" data-test="handed">
        {{ work.unanswered.length === 0 ? '✓ ' : '' }}Handed over{{ handed.to ? ` to ${handed.to}` : ''
        }}<template v-if="work.unanswered.length > 0"
          >; open since: {{ openSummary(work.unanswered) }}</template
        >.
      </p>
      <LockReminder />
      <SiteQuestions />
      <FollowUpList />
      <SignOff />
      <ShareLink />
      <TakeAlong />
      <div v-if="versions.length > 0">
        <h3>Sheets kept with the job</h3>
        <ul class="mt-1">
          <li v-for="v in versions" :key="v.id" class="border-b border-hairline py-1.5 text-[14px]">
            {{ v.name }}, {{ v.rows }} values<template v-if="v.family"> of the {{ v.family }}</template
            ><span class="hint block">{{ v.by }}, {{ v.at }}</span>
          </li>
        </ul>
      </div>
      <CautionNote>Say on site that the unit starts by itself.</CautionNote>
    </section>
    <section
      class="border-t border-hairline bg-band px-4 py-5 sm:px-8 lg:border-t-0 lg:border-l"
      aria-label="Papers"
    >
      <div class="mx-auto mb-3 flex max-w-3xl flex-wrap items-center gap-3">
        <SegmentedControl v-model="whom" label="Which paper" :options="twoPapers" />
        <SegmentedControl v-model="paper" label="Paper" :options="papers" />
        <SegmentedControl v-if="whom === 'file'" v-model="type" label="Type" :options="types" />
        <a
          v-if="waiting === 0 && !serverAway"
          :href="address"
          target="_blank"
          rel="noopener"
          class="link font-medium pointer-coarse:min-h-11 pointer-coarse:content-center"
          data-test="pdf"
          >Open the PDF</a
        >
        <AppButton v-else :disabled="making" data-test="pdf-here" @click="makeHere">{{
          making ? 'Making it …' : 'Make the PDF on this device'
        }}</AppButton>
        <FormProblem class="basis-full" :message="problem" />
        <p v-if="made" class="basis-full" role="status" data-test="pdf-made">
          ✓ {{ made.name }}, {{ Math.round(made.size / 1024) }} kB:
          <a class="link" :href="made.url" target="_blank" rel="noopener">open it</a>. Without the code of the
          unit’s page, which the server gives out.
        </p>
      </div>
      <PaperPreview :wish="wish" :printing="printing" />
    </section>
  </div>
</template>
