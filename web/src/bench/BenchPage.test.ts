import { expect, test } from '@jest/globals';
import { mountPage } from '../../testing/mounting.ts';
import BenchPage from './BenchPage.vue';

// Oracle: R-134a at 20 °C, 571.7 kPa absolute (Tillner-Roth and Baehr 1994, Maxwell solve of the full equation); less one
// atmosphere, 101.325 kPa, that is 68.2 psi on the gauge.
test('usual: a temperature becomes the pressure of both sides', async () => {
  const page = await mountPage(BenchPage, { answers: {} });
  await page.get('[data-test="saturation-at"]').setValue('20C');
  const cells = page.findAll('[data-test="saturation-result"] td').map((cell) => cell.text());
  expect(cells.filter((cell) => cell === '68.2 psi')).toHaveLength(2);
  expect(cells.filter((cell) => /^571\.\d kPa$/.test(cell))).toHaveLength(2);
});

test('in error: what is no temperature is told, and stays in its field', async () => {
  const page = await mountPage(BenchPage, { answers: {} });
  const field = page.get('[data-test="saturation-at"]');
  await field.setValue('warm');
  expect(page.text().toLowerCase()).toContain('expected');
  expect((field.element as HTMLInputElement).value).toBe('warm');
});

test('empty: no temperature, no pressure and no error of the page', async () => {
  const page = await mountPage(BenchPage, { answers: {} });
  await page.get('[data-test="saturation-at"]').setValue('');
  expect(page.html()).not.toContain('NaN');
});

test('in error: an elevation that is no number is not taken as sea level', async () => {
  const page = await mountPage(BenchPage, { answers: {} });
  await page.get('[data-test="saturation-at"]').setValue('20C');
  await page.get('input[placeholder="0"]').setValue('high');
  expect(page.text()).toContain('Elevation: expected a number, read “high”');
  expect(page.find('[data-test="saturation-result"]').exists()).toBe(false);
});

test('in error: what is typed in a field that three phases alone show holds up nothing on one phase', async () => {
  const page = await mountPage(BenchPage, { answers: {} });
  await page.get('[data-test="heater-watts"]').setValue('2300');
  await page.get('[data-test="heater-volts"]').setValue('230');
  await page.get('[data-test="heater-connection"]').setValue('star');
  await page.get('[data-test="heater-amps-2"]').setValue('much');
  expect(page.text()).toContain('Clamp, line 2, A: expected a number, read “much”');
  await page.get('[data-test="heater-connection"]').setValue('single');
  // Oracle: I = P / U, 2300 W on 230 V are 10 A.
  expect(page.get('[data-test="heater-expected"]').text()).toContain('10 A');
});
