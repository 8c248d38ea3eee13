import { computed } from 'vue';
import { UNNAMED_COMPANY } from '@brine/contract/company';
import type { Company } from '@brine/contract/routes';
import { useAct } from '../api/useAct.ts';
import { useSession } from '../session/sessionStore.ts';
import { useDraft } from '../ui/useDraft.ts';

/** Name, telephone and degrees of the company as fields, wherever a lead is asked for them. */
export function useCompanyFields() {
  const session = useSession();
  const { problem, act } = useAct();
  const named = computed(() => (session.company?.name ?? UNNAMED_COMPANY) !== UNNAMED_COMPANY);
  const name = useDraft(() => (named.value ? session.company!.name : ''));
  const phone = useDraft(() => session.company?.phone ?? '');
  const change = (what: Parameters<typeof session.changeCompany>[0]) =>
    act(() => session.changeCompany(what));

  /** A company has a name: an empty field is put back. */
  function rename(): void {
    const typed = name.text.value.trim();
    if (typed === '' || typed === session.company?.name) return name.reset();
    name.settle();
    void change({ name: typed });
  }
  function callUs(): void {
    phone.settle();
    void change({ phone: phone.text.value.trim() });
  }
  const degrees = (event: Event) =>
    change({ displayUnit: (event.target as HTMLSelectElement).value as Company['displayUnit'] });
  return { name: name.text, phone: phone.text, named, problem, change, rename, callUs, degrees };
}
