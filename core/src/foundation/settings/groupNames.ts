import type { SettingId } from './dictionary.ts';

const groupNames: Readonly<Record<string, string>> = {
  regulation: 'Cooling',
  compressor: 'Compressor',
  defrost: 'Defrost',
  fans: 'Fan',
  alarms: 'Alarms',
  probes: 'Probes',
  display: 'Display',
  access: 'Keys',
  stage2: 'Second stage',
  condenser: 'Condenser fans',
  transport: 'Transport',
  meter: 'Meter',
};

/** The heading under which a setting stands in a list; “Other” for none. */
export function settingGroup(id: SettingId | undefined): string {
  return groupNames[id?.split('.')[0] ?? ''] ?? 'Other';
}
