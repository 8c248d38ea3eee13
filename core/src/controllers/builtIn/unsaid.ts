import type { SettingId } from '../../foundation/settings/index.ts';
import type { ControllerDefinition } from '../definitions/index.ts';
import { impliedBy } from './implied.ts';

/** Times of running and resting say nothing of their own beside what is done at all. */
const follows: Readonly<Partial<Record<SettingId, SettingId>>> = {
  'compressor.faultOnTime': 'compressor.onProbeFault',
  'compressor.faultOffTime': 'compressor.onProbeFault',
};

/**
 * Parts what a control cannot hold from what nobody stated of it: a fact that no code says and nobody confirmed is no proof that the control does otherwise.
 *
 * @param lost what found no place in the control, its implied facts taken as built in
 * @param definition the control as it was written, without its implied facts
 */
export function withoutUnsaid<Loss extends { readonly setting: SettingId }>(
  lost: readonly Loss[],
  definition: ControllerDefinition,
): { readonly lost: readonly Loss[]; readonly notStated: readonly SettingId[] } {
  const open = new Set(impliedBy(definition).flatMap((fact) => (fact.ask ? [fact.setting] : [])));
  const gone = new Set(lost.map(({ setting }) => setting));
  const isUnsaid = (setting: SettingId) => {
    const leader = follows[setting];
    return open.has(setting) || (leader !== undefined && open.has(leader) && gone.has(leader));
  };
  return {
    lost: lost.filter(({ setting }) => !isUnsaid(setting)),
    notStated: lost.flatMap(({ setting }) => (open.has(setting) ? [setting] : [])),
  };
}
