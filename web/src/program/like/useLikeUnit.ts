import { computed, ref, shallowRef, watch } from 'vue';
import { useLocalStorage } from '@vueuse/core';
import type { Unit } from '@brine/contract/routes';
import type { CodeValues } from '@brine/core/controllers/definitions';
import { writingOf, type BusWriting } from '@brine/core/controllers/registers';
import { applicationNames, isApplication } from '@brine/core/foundation/settings';
import type { EntryBody } from '@brine/core/record/entries';
import { allStanding, fold, standing as standingOf } from '@brine/core/record/fold';
import { messageOf, request } from '../../shared/api/client.ts';
import { valuesOf, type BusFound } from '../../shared/bus/foundOverBus.ts';
import { useBusWriting, type BusWritten } from '../../shared/bus/useBusWriting.ts';
import { useLines } from '../../shared/bus/useLines.ts';
import { jobsOfUnit } from '../../shared/inUnit/jobsOfUnit.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useOutbox } from '../../shared/outbox/outboxStore.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import { becameEntries, stoodEntries } from '../bus/becameEntries.ts';
import { copyEntries } from './copyEntries.ts';
import type { LikeUnits } from './useLikeUnits.ts';

/** The job of another unit that a program goes into. */
interface Into {
  readonly id: string;
  readonly seen: number;
  /** What it says of the control: the same, another, or nothing yet. */
  readonly control: { readonly family: string; readonly hash: string } | null;
  /** It is about a control that was there before. */
  readonly hasOld: boolean;
  /** What it says that the unit is; null: nothing yet. */
  readonly application: string | null;
}

/** One unit that may get the program: what stands in it, what it would become, and the writing of it, into a job of its own. */
export function useLikeUnit(unit: () => Unit, like: LikeUnits) {
  const job = useJob();
  const session = useSession();
  const outbox = useOutbox();
  const on = useLines(
    like.site,
    computed(() => unit().id),
  );
  const writing = useBusWriting(on);
  /** Its newest open job about this controller, else its newest open one; null: it has none, undefined: not known yet. */
  const into = shallowRef<Into | null | undefined>(undefined);
  const standing = shallowRef<CodeValues | null>(null);
  const unread = shallowRef<BusFound['unread']>([]);
  const written = shallowRef<BusWritten | null>(null);
  const isOpen = ref(false);
  const pin = computed(() => job.newPin.value);
  /** Its own job says nothing yet of what it is: it is taken to be as this one is, unless somebody says otherwise. */
  const saysNothing = computed(() => into.value === null || into.value?.application === null);
  const sameKind = ref(true);
  const answers = computed(() =>
    saysNothing.value && sameKind.value ? allStanding(job.state.value, 'answer') : [],
  );

  watch(isOpen, (open) => open && into.value === undefined && void find());
  async function find(): Promise<void> {
    try {
      const jobs = (await jobsOfUnit(session.person?.id ?? '', unit().id))
        .filter(({ archived }) => !archived)
        .toSorted((a, b) => b.createdAt.localeCompare(a.createdAt))
        .map(({ id, seen, entries }) => {
          const state = fold(entries);
          const control = standingOf(state, 'control:new', 'control')?.definition ?? null;
          const hasOld = Boolean(standingOf(state, 'control:old', 'control')?.definition);
          const application = standingOf(state, 'answer:application', 'answer')?.value;
          return {
            id,
            seen,
            control,
            hasOld,
            application: typeof application === 'string' ? application : null,
          };
        });
      into.value = jobs.find(({ control }) => control?.hash === pin.value?.hash) ?? jobs[0] ?? null;
    } catch (error) {
      on.problem.value = messageOf(error);
    }
  }

  /** Why it cannot get this program: its open job is about another controller, or the unit is of another kind. */
  const unlike = computed(() => {
    const { control = null, application = null } = into.value ?? {};
    if (control && control.hash !== pin.value?.hash)
      return `is about another controller, or another version of it: ${control.family}`;
    const here = job.program.value.unit?.application;
    return application !== null && isApplication(application) && application !== here
      ? `says that it is another kind of unit: ${applicationNames[application]}`
      : null;
  });
  /** Which other unit is said to be this very device, by what was chosen for it before. */
  const chosen = useLocalStorage<Record<string, { line: string; device: number }>>('brine.bus', {});
  const taken = computed(() => {
    const named = [...(like.units.value ?? []), ...(job.job.value ? [job.job.value.unit] : [])];
    return (
      named.find(({ id }) => {
        const at = id === unit().id ? undefined : chosen.value[id];
        return at?.line === on.line.value && at.device === on.device.value;
      })?.name ?? null
    );
  });
  const plan = computed<BusWriting | null>(() =>
    standing.value && job.replacement.value && like.told.value
      ? writingOf(job.replacement.value, like.copy.value.copied, standing.value, like.told.value)
      : null,
  );

  // What was read stands in that device alone.
  watch([on.line, on.device], () => (standing.value = null));

  async function look(): Promise<void> {
    standing.value = null;
    written.value = null;
    const found = await on.run<BusFound>((at) =>
      request('startUnitRead', {
        params: { id: unit().id },
        body: { ...at, definition: pin.value!.hash },
      }),
    );
    if (!found) return;
    standing.value = valuesOf(found);
    unread.value = found.unread;
  }

  /** The job the program goes into: its own, or one that is opened for it. */
  async function ownJob(): Promise<Into> {
    if (into.value) return into.value;
    const title = `${pin.value!.family} as in ${job.job.value!.unit.name}`;
    const made = await request('createJob', { body: { unitId: unit().id, title } });
    into.value = { id: made.job.id, seen: 0, control: null, hasOld: false, application: null };
    return into.value;
  }

  const keep = (target: Into, bodies: readonly EntryBody[]) =>
    outbox.add(session.person!, target.id, target.seen, bodies);

  /** Plans the program in the unit's own job; what stands already so is settled there. */
  async function plant(atUnit: string | null): Promise<Into> {
    const target = await ownJob();
    const { copied } = like.copy.value;
    const stood = plan.value!.stood.map((code) => ({ code, value: copied.get(code)! }));
    await keep(target, [
      ...copyEntries({
        pin: pin.value!,
        control: job.replacement.value!,
        copy: like.copy.value,
        told: like.told.value!,
        standing: standing.value!,
        from: { job: job.id, unit: job.job.value!.unit.name },
        hasNew: target.control !== null,
        hasOld: target.hasOld,
        answers: answers.value,
      }),
      ...stoodEntries(stood, atUnit),
    ]);
    const application =
      answers.value.length > 0 ? (job.program.value.unit?.application ?? null) : target.application;
    into.value = { ...target, control: pin.value!, application };
    return target;
  }

  /** It stands there already as it is planned here: its job says so, and nothing is written. */
  async function settle(): Promise<void> {
    try {
      await plant(null);
      written.value = { atUnit: '', written: [] };
    } catch (error) {
      on.problem.value = messageOf(error);
    }
  }

  async function write(atUnit: string): Promise<void> {
    const values = plan.value!.writes.map(({ code, value }) => ({ code, value }));
    try {
      const target = await plant(atUnit);
      const answer = await writing.write(target.id, {
        definition: pin.value!.hash,
        values,
        display: like.told.value!,
        atUnit,
      });
      if (!answer) return;
      written.value = answer;
      await keep(target, becameEntries(answer));
      writing.settled(target.id);
    } catch (error) {
      on.problem.value = messageOf(error);
    }
  }

  return {
    on,
    into,
    saysNothing,
    sameKind,
    unlike,
    taken,
    standing,
    unread,
    written,
    plan,
    isOpen,
    look,
    settle,
    write,
  };
}
