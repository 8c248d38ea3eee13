import { expect, test } from '@jest/globals';
import { asked, mountPage, settle } from '../../testing/mounting.ts';
import CompanyLogo from './CompanyLogo.vue';

async function take(file: File) {
  const page = await mountPage(CompanyLogo, {
    answers: { 'PATCH /api/company': { company: {} }, 'GET /api/company': { company: {} } },
  });
  const input = page.get('[data-test="logo-file"]');
  Object.defineProperty(input.element, 'files', { value: [file], configurable: true });
  await input.trigger('change');
  await new Promise((done) => setTimeout(done, 50));
  await settle();
  return page;
}
const changes = () => asked.filter((line) => line.startsWith('PATCH /api/company'));

test('a picture is sent as it is; what is none, or too large, is refused with a sentence and not sent', async () => {
  await take(new File([Uint8Array.of(0x89, 0x50)], 'mark.png', { type: 'image/png' }));
  expect(changes()[0]).toContain('data:image/png;base64,iVA=');
  expect((await take(new File(['x'], 'mark.svg', { type: 'image/svg+xml' }))).text()).toContain(
    'mark.svg: expected a PNG or JPEG picture',
  );
  expect(changes()).toEqual([]);
  const large = new File([new Uint8Array(120_000)], 'mark.png', { type: 'image/png' });
  expect((await take(large)).text()).toContain('expected at most 100 kB, found 120');
  expect(changes()).toEqual([]);
});
