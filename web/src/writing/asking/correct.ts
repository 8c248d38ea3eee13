import type { Doubt } from '@brine/core/judgement/asking';
import type { SettingId } from '@brine/core/foundation/settings';
import type { WritesDown } from './writesDown.ts';

/** How a unit stands in the table of a booklet. */
const unitWords: Readonly<Record<string, string>> = { degC: '°C', degF: '°F', deltaF: '°F' };

/** Writes down what the control has told of a doubt; the first meaning stands already. */
export function writeDown(live: WritesDown, { kind, code, setting, meanings }: Doubt, told: number): void {
  const meaning = meanings[told]!;
  const row = live.rows.value.find((one) => one.code === code && !one.omitted);
  switch (kind) {
    case 'options': {
      const encoding = meaning.definition.parameters.find((one) => one.code === code)?.encoding;
      if (!row || encoding?.type !== 'choice') return;
      for (const { value, means } of encoding.options)
        if (typeof means === 'string' || typeof means === 'boolean') live.say(row.key, String(value), means);
      return;
    }
    case 'sign':
      if (row) live.signAs(row.key, meaning.definition.parameters.find((one) => one.code === code)?.encoding);
      return;
    case 'unit':
      if (row) live.mend(row.key, { unit: unitWords[meaning.id] ?? meaning.id });
      return;
    case 'fact': {
      const value = setting === null ? undefined : meaning.definition.fixed?.[setting];
      if (setting !== null && value !== undefined) live.sayBuiltIn({ [setting]: value });
      return;
    }
    case 'reference':
      for (const parameter of meaning.definition.parameters) {
        const of = live.rows.value.find((one) => one.code === parameter.code && !one.omitted);
        const now = parameter.setting;
        if (of && typeof now === 'string' && now !== of.setting && isLimit(now)) live.decide(of.key, now);
      }
      return;
    case 'saving':
      live.savesOnLeaving(meaning.id === 'leaving');
  }
}

const isLimit = (id: SettingId): boolean => /^alarms\.(high|low)(Temperature|Offset)$/.test(id);
