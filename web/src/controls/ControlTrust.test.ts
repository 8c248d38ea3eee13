import { describe, expect, test } from '@jest/globals';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { mountPage } from '../../testing/mounting.ts';
import ControlTrust from './ControlTrust.vue';
import type { KnownUses } from './useUses.ts';

const number = (code: string, max: number) => ({
  code,
  name: code,
  encoding: { type: 'number' as const, unit: 'min' as const, min: 0, max, default: 3, resolution: 1 },
});
const definition: ControllerDefinition = {
  format: 'brine-dial/controller@1',
  id: 'own',
  family: 'Own 1',
  version: '1',
  parameters: [number('w1', 15), number('w2', 60)],
};
const known: KnownUses = {
  uses: [],
  addedBy: 'Nora Quay',
  addedAt: '2026-11-29T10:00:00.000Z',
  proven: [{ code: 'w1', units: 2 }],
  shownOtherwise: [{ code: 'w2', value: '50', shown: '45', unit: 'Bait freezer', job: 'j1' }],
};
const answers = { 'GET /api/controllers': { controllers: [] } };
const mounted = (more: Partial<KnownUses> = {}, role: 'technician' | 'viewer' = 'technician') =>
  mountPage(ControlTrust, { role, answers, props: { definition, known: { ...known, ...more } } });

describe('how far a definition may be trusted', () => {
  test('by whom, what was confirmed on units, what nobody stated', async () => {
    const text = (await mounted()).text();
    for (const part of [
      'Added by Nora Quay, 2026-11-29',
      '1 of 2 codes confirmed',
      '50 %',
      'Not stated: supply, relays',
    ])
      expect(text).toContain(part);
  });

  test('a display that showed something else becomes a proposal, which a technician may take over', async () => {
    const page = await mounted();
    expect(page.get('[data-test="proposal"]').text()).toContain('lower its greatest value from 60 to 45');
    expect(page.find('[data-test="accept-proposal"]').exists()).toBe(true);
    expect((await mounted({}, 'viewer')).find('[data-test="accept-proposal"]').exists()).toBe(false);
  });

  test('nothing contradicted: no proposal', async () => {
    expect((await mounted({ shownOtherwise: [] })).find('[data-test="proposal"]').exists()).toBe(false);
  });
});
