import { describe, expect, test } from '@jest/globals';
import { decode } from '../../controllers/definitions/index.ts';
import { families, family, sheetOf } from '../../../testing/families.ts';
import { fold } from '../fold/fold.ts';
import { programOf } from './program.ts';
import { variantsOfJob } from './variants.ts';

const nothingKnown = (id: string) =>
  programOf({ state: fold([]), name: '', old: null, replacement: family(id), companyDefaults: {} });
const withPresets = [...families.keys()].filter((id) => (family(id).presets ?? []).length > 0);

describe.each(withPresets)('presets of the %s', (id) => {
  test.each(family(id).presets!.map((p) => [p.id, p] as const))(
    '%s: every code it sets means what it means on a sheet (oracle: the sheet decoded)',
    (presetId, preset) => {
      const variant = variantsOfJob(nothingKnown(id), family(id)).find((v) => v.id === `preset:${presetId}`)!;
      const { values, unplaced } = decode(family(id), sheetOf(preset.values));
      expect(unplaced).toEqual([]);
      expect(variant.values).toMatchObject(values);
    },
  );
});

test('there are presets to be compared', () => expect(withPresets.length).toBeGreaterThan(0));

test('what is not there is not offered: without survey and control only what is set', () => {
  const program = programOf({ state: fold([]), name: '', old: null, replacement: null, companyDefaults: {} });
  expect(variantsOfJob(program, null).map((v) => v.id)).toEqual(['set']);
});
