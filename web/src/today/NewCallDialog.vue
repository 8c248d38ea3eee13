<script setup lang="ts">
import { computed, onMounted, reactive, ref, shallowRef, watch } from 'vue';
import type { Site, Unit } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { localDate } from '../shared/display/localTime.ts';
import { newId } from '../shared/outbox/identity.ts';
import { useOutbox } from '../shared/outbox/outboxStore.ts';
import { pictures, sendPictures } from '../shared/pictures/sendPictures.ts';
import { shrink, type SmallPicture } from '../shared/pictures/shrink.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';

/** Somebody calls: one form makes the site, the unit and the job, with what is known. What is there already is found by number, tag or name. */
const props = defineProps<{
  unitId: string;
  people: readonly { readonly id: string; readonly name: string }[];
}>();
const emit = defineEmits<{ close: []; opened: [id: string] }>();
const session = useSession();
const outbox = useOutbox();
const search = ref('');
const sites = shallowRef<readonly Site[]>([]);
const units = shallowRef<readonly Unit[]>([]);
const site = shallowRef<Site | null>(null);
const unit = shallowRef<Unit | null>(null);
const fields = reactive({
  siteName: '',
  place: '',
  contact: '',
  phone: '',
  unitName: '',
  tag: '',
  plate: '',
  title: '',
  complaint: '',
  who: session.person?.role === 'viewer' ? '' : (session.person?.id ?? ''),
  day: localDate(new Date().toISOString()),
});
/** Of the plate: what nobody can read out stands in the picture. */
const plate = shallowRef<SmallPicture | null>(null);
async function choosePlate(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  problem.value = null;
  try {
    plate.value = await shrink(file);
  } catch (error) {
    problem.value = error instanceof Error ? error.message : 'This picture could not be opened.';
  }
}
/** Kept on this device and handed on with the job, as every picture is. */
async function keepPlate(job: string) {
  if (!plate.value || !session.person) return;
  const id = newId();
  const { jpeg, width, height } = plate.value;
  await pictures().keep({ id, job, jpeg, sent: false });
  await outbox.add(session.person, job, 0, [
    { kind: 'picture', id, caption: 'Plate', width, height, points: [] },
  ]);
  void sendPictures();
}
const problem = ref<string | null>(null);
const asked = ref(false);
const saving = ref(false);
/** A search begins with so many signs, and once typing rests. */
const LEAST = 2;
const REST_MS = 200;
const SHOWN = 6;
let timer: ReturnType<typeof setTimeout> | undefined;
watch(search, (text) => {
  clearTimeout(timer);
  if (text.trim().length < LEAST) return void ((sites.value = []), (units.value = []));
  timer = setTimeout(() => void find(text.trim()), REST_MS);
});
// A name or number typed into a new site is looked for as well: is it this one?
watch(
  () => (fields.phone.replace(/\D/g, '').length >= 4 ? fields.phone : fields.siteName),
  (text) => {
    if (!site.value && text.trim().length > LEAST) search.value = text.trim();
  },
);
async function find(text: string) {
  try {
    const [some, others] = await Promise.all([
      request('sites', { query: { search: text } }),
      request('units', { query: { search: text } }),
    ]);
    sites.value = some.sites.slice(0, SHOWN);
    units.value = others.units.slice(0, SHOWN);
  } catch (error) {
    problem.value = messageOf(error);
  }
}
const unitsThere = shallowRef<readonly Unit[]>([]);
onMounted(async () => {
  if (props.unitId === '') return;
  try {
    unit.value = (await request('unit', { params: { id: props.unitId } })).unit;
  } catch (error) {
    problem.value = messageOf(error);
  }
});
async function chooseSite(chosen: Site | null) {
  site.value = chosen;
  unit.value = null;
  search.value = '';
  unitsThere.value = chosen ? (await request('units', { query: { site: chosen.id } })).units : [];
}
function chooseUnit(chosen: Unit | null) {
  unit.value = chosen;
  search.value = '';
}
const found = computed(() => !unit.value && (sites.value.length > 0 || units.value.length > 0));
const missing = computed(() => ({
  site: !unit.value && !site.value && fields.siteName.trim() === '',
  unit: !unit.value && fields.unitName.trim() === '',
  title: fields.title.trim() === '' && fields.complaint.trim() === '',
}));
const LONGEST_TITLE = 120;
async function save() {
  asked.value = true;
  if (Object.values(missing.value).some(Boolean) || !session.person) return;
  saving.value = true;
  problem.value = null;
  const complaint = fields.complaint.trim();
  try {
    const { job } = await request('newCall', {
      body: {
        siteId: site.value?.id ?? null,
        site: {
          name: fields.siteName.trim(),
          place: fields.place.trim(),
          customer: '',
          contact: fields.contact.trim(),
          phone: fields.phone.trim(),
        },
        unitId: unit.value?.id ?? null,
        unit: { name: fields.unitName.trim(), tag: fields.tag.trim(), plate: fields.plate.trim() },
        title: fields.title.trim() || complaint.slice(0, LONGEST_TITLE),
        assignedTo: fields.who || null,
        plannedFor: fields.day || null,
      },
    });
    // Said once: the survey begins with it.
    if (complaint !== '')
      await outbox.add(session.person, job.id, 0, [
        { kind: 'answer', question: 'complaint', value: complaint },
      ]);
    await keepPlate(job.id);
    emit('opened', job.id);
  } catch (error) {
    problem.value = messageOf(error);
  }
  saving.value = false;
}
</script>

<template>
  <ModalDialog :open="true" title="New call" @close="emit('close')">
    <form class="flex flex-col gap-4" novalidate data-test="call-form" @submit.prevent="save">
      <template v-if="!unit">
        <label v-if="!site" class="flex flex-col gap-1"
          ><span class="field-label">Phone number, tag, unit or site</span
          ><input v-model="search" type="search" autocomplete="off" data-test="call-search"
        /></label>
        <ul v-if="found" class="border-t border-ink" data-test="call-found">
          <li v-for="one in units" :key="one.id" class="border-b border-hairline">
            <button type="button" class="min-h-11 w-full text-left" @click="chooseUnit(one)">
              <span class="font-mono text-soft">{{ one.tag }}</span> {{ one.name }}
              <span class="text-soft">· {{ one.siteName }}</span>
            </button>
          </li>
          <li v-for="one in sites" :key="one.id" class="border-b border-hairline">
            <button type="button" class="min-h-11 w-full text-left" @click="chooseSite(one)">
              {{ one.name }}
              <span class="text-soft">{{
                [one.place, one.contact, one.phone].filter(Boolean).join(' · ')
              }}</span>
            </button>
          </li>
        </ul>
        <p v-if="site" class="flex flex-wrap items-baseline gap-x-3">
          <strong class="font-semibold">{{ site.name }}</strong>
          <span class="text-soft">{{ [site.contact, site.phone].filter(Boolean).join(' · ') }}</span>
          <button type="button" class="link" @click="chooseSite(null)">Another site</button>
        </p>
        <fieldset v-else class="grid gap-3 sm:grid-cols-2">
          <legend class="mb-1 font-semibold">New site</legend>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Name</span
            ><input
              v-model="fields.siteName"
              maxlength="200"
              :aria-invalid="asked && missing.site"
              data-test="call-site"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Phone</span
            ><input v-model="fields.phone" type="tel" maxlength="60" data-test="call-phone"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Who answers there</span
            ><input v-model="fields.contact" maxlength="200"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Place</span><input v-model="fields.place" maxlength="300"
          /></label>
          <p v-if="asked && missing.site" class="problem sm:col-span-2" role="alert">
            Expected a site: choose one that is found, or name the new one.
          </p>
        </fieldset>
        <ul v-if="unitsThere.length > 0" class="border-t border-hairline" aria-label="Units there">
          <li v-for="one in unitsThere" :key="one.id" class="border-b border-hairline">
            <button type="button" class="min-h-11 w-full text-left" @click="chooseUnit(one)">
              <span class="font-mono text-soft">{{ one.tag }}</span> {{ one.name }}
            </button>
          </li>
        </ul>
        <fieldset class="grid gap-3 sm:grid-cols-[minmax(0,1fr)_6rem]">
          <legend class="mb-1 font-semibold">New unit</legend>
          <label class="flex flex-col gap-1"
            ><span class="field-label">What it is</span
            ><input
              v-model="fields.unitName"
              maxlength="200"
              placeholder="Fish store freezer"
              :aria-invalid="asked && missing.unit"
              data-test="call-unit"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Tag</span><input v-model="fields.tag" maxlength="40"
          /></label>
          <label class="flex flex-col gap-1 sm:col-span-2"
            ><span class="field-label">Plate, as far as they read it</span
            ><input v-model="fields.plate" maxlength="300" placeholder="R-449A, 230 V"
          /></label>
          <p class="flex flex-wrap items-center gap-3 sm:col-span-2">
            <label
              class="inline-flex min-h-9 cursor-pointer items-center rounded-md border border-brine px-4 font-medium text-brine focus-within:outline-2 pointer-coarse:min-h-11"
              >{{ plate ? 'Another photograph' : 'Photograph of the plate'
              }}<input
                type="file"
                accept="image/*"
                capture="environment"
                class="sr-only"
                data-test="call-plate"
                @change="choosePlate"
            /></label>
            <span v-if="plate" class="text-soft">✓ taken; it goes to the job.</span>
          </p>
          <p v-if="asked && missing.unit" class="problem sm:col-span-2" role="alert">
            Expected what unit it is.
          </p>
        </fieldset>
      </template>
      <p v-else class="flex flex-wrap items-baseline gap-x-3">
        <strong class="font-semibold">{{ [unit.tag, unit.name].filter(Boolean).join(' ') }}</strong>
        <span class="text-soft">{{ unit.siteName }}</span>
        <button type="button" class="link" @click="chooseUnit(null)">Another unit</button>
      </p>
      <label class="flex flex-col gap-1"
        ><span class="field-label">What is wrong, in their words</span
        ><input
          v-model="fields.complaint"
          maxlength="2000"
          placeholder="Too warm since Monday"
          data-test="call-complaint"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">What is to be done</span
        ><input
          v-model="fields.title"
          maxlength="300"
          placeholder="As above, if left empty"
          :aria-invalid="asked && missing.title"
          data-test="call-title"
        />
        <span v-if="asked && missing.title" class="problem" role="alert"
          >Expected what is wrong, or what is to be done.</span
        ></label
      >
      <div class="grid gap-3 sm:grid-cols-2">
        <label class="flex flex-col gap-1"
          ><span class="field-label">Who goes</span>
          <select v-model="fields.who">
            <option value="">nobody yet</option>
            <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
          </select></label
        >
        <label class="flex flex-col gap-1"
          ><span class="field-label">On</span><input v-model="fields.day" type="date"
        /></label>
      </div>
      <FormProblem :message="problem" />
      <div class="flex gap-3">
        <AppButton kind="primary" type="submit" :disabled="saving" data-test="save-call"
          >Take the call</AppButton
        >
        <AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
