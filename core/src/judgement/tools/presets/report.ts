import type { ToolReport, ToolRow, ToolWork } from '../report.ts';
import { rankPresets } from './rank.ts';

/** A control that configures itself by presets: which one comes nearest to the old control, and what to change after it. */
export const presetsReport: ToolWork = ({ definition, found, values }): ToolReport | string => {
  if (!definition) return 'Choose the new control in Survey: its presets then show here.';
  if ((definition.presets ?? []).length === 0) return `${definition.family} has no presets.`;
  const old = found && Object.keys(found).length > 0 ? rankPresets(definition, found) : null;
  const planned = rankPresets(definition, values);
  const leading = (old ?? planned)[0]!;
  const after = planned.find((p) => p.id === leading.id)!;
  const shortest = planned[0]!;
  /** The code that the preset is chosen by; some controls take one by a shortcut alone. */
  const by = definition.parameters.find((p) => p.encoding.type === 'preset');
  return {
    answer: old
      ? `“${leading.name}” comes nearest to the old control: ${leading.alike} of ${leading.alike + leading.gaps.length} codes mean the same. After it ${codes(after.gaps.length)} to be changed for what is planned.`
      : `Nothing was read from the old control. “${leading.name}” comes nearest to the plan: ${codes(leading.gaps.length)} to be changed after it.`,
    words: [
      'Choose the preset before anything else is keyed in: it writes over most codes.',
      ...(shortest.id !== leading.id
        ? [
            `For what is planned “${shortest.name}” would leave less to key in: ${codes(shortest.gaps.length)} to be changed.`,
          ]
        : []),
    ],
    tables: [
      {
        id: 'presets',
        title: 'Presets by what they mean',
        heads: ['Preset', ...(old ? ['As the old control'] : []), 'To change for the plan'],
        rows: planned.map((p): ToolRow => {
          const before = old?.find((o) => o.id === p.id);
          return {
            id: p.id,
            cells: [
              p.name,
              ...(before ? [`${before.alike} of ${before.alike + before.gaps.length}`] : []),
              String(p.gaps.length),
            ],
            best: p.id === leading.id,
            ...(by && { code: { code: by.code, value: p.id }, why: `“${p.name}” comes nearest` }),
          };
        }),
      },
      {
        id: 'gaps',
        title: `After “${leading.name}”`,
        heads: ['Code', 'Means', 'Preset', 'To be'],
        rows: after.gaps.map((gap): ToolRow => ({
          id: gap.code,
          cells: [gap.code, gap.name, String(gap.preset), String(gap.wanted)],
        })),
      },
    ],
  };
};

const codes = (n: number): string => (n === 1 ? 'one code is' : `${n} codes are`);
