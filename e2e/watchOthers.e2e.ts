import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { chance as seeded } from '@brine/core/foundation/statistics';
import { showsAs } from '@brine/core/watching/characters';
import { notWatching, watch, type Watching } from '@brine/core/watching/course';
import { lightsOf } from '@brine/core/watching/light';
import { film } from './film/film.ts';
import { asPixels, picturesOf, type Clip, type Shot } from './film/pictures.ts';
import { anyScene } from './film/scenes.ts';
import { byTest, tap } from './support/acts.ts';
import { launch } from './support/browser.ts';
import { ownFreezer } from './support/cabinet.ts';
import { inFolder, withCamera } from './support/camera.ts';
import { onStage } from './support/stage.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

const LONG = process.env['BRINE_LONG'] === '1';
const SCENES = LONG ? 60 : 4;
const FILMED = LONG ? 16 : 2;
/** Films of so many scenes each. */
const PER_FILM = LONG ? 4 : 2;
/** For so long the text before a change may still be given: asked is that a change is seen within it. */
const WITHIN = 2;

const SHOTS: readonly Shot[] = [
  { seconds: 5, text: '24.3' },
  { seconds: 4, text: '23.8' },
  { seconds: 4, text: 'dEF' },
  { seconds: 4, text: '-7' },
];

/** What was given at a moment, in seconds. */
interface Given {
  readonly at: number;
  readonly text: string;
}

/** What stands on the display, since when, and what stood there before. */
const standingAt = (at: number) => {
  let from = 0;
  let before: string | null = null;
  for (const { seconds, text } of SHOTS) {
    if (at < from + seconds) return { from, text, before };
    [before, from] = [text, from + seconds];
  }
  return { from, text: '', before };
};

export const displaysOfOthers: EndToEndTest = {
  name: 'displays that the reader was not tuned on, tilted, blurred, with glare and flicker: what is given is right, and a change is seen within two seconds of the film',
  run: async () => {
    const { browser, close } = await launch();
    try {
      const page = await browser.newPage();
      const sums = { right: 0, wrong: 0, changes: 0, inTime: 0, displays: 0, read: 0 };
      for (let seed = 0; seed < SCENES; seed += 1) {
        const chance = seeded(500 + seed);
        const given = await read(page, { scene: anyScene(chance), shots: SHOTS }, chance);
        sums.displays += 1;
        if (given.length > 0) sums.read += 1;
        hold(sums, given);
      }
      process.stdout.write(`displays of others: ${JSON.stringify(sums)}\n`);
      const said = JSON.stringify(sums);
      // The oracle is what was drawn; 99 % and two seconds are asked. A few keep it waiting: it says so meanwhile.
      expectSame(sums.wrong <= 0.01 * (sums.right + sums.wrong), true, `at most 1 % wrong: ${said}`);
      expectSame(sums.inTime >= 0.95 * sums.changes, true, `changes within two seconds: ${said}`);
      expectSame(sums.read >= 0.75 * sums.displays, true, `most displays are read: ${said}`);
    } finally {
      await close();
    }
  },
};

/** Reads a clip picture by picture, as the worker on the page does. */
async function read(page: Page, clip: Clip, chance: () => number): Promise<readonly Given[]> {
  let watching: Watching = notWatching;
  const given: Given[] = [];
  for await (const { at, yuv } of picturesOf(page, clip, chance)) {
    const step = watch(watching, lightsOf(asPixels(yuv), 480), at);
    watching = step.watching;
    if (step.text !== null) given.push({ at, text: step.text });
  }
  return given;
}

function hold(
  sums: { right: number; wrong: number; changes: number; inTime: number },
  given: readonly Given[],
): void {
  for (const { at, text } of given) {
    const { from, text: stands, before } = standingAt(at);
    if (showsAs(text, stands) || (before !== null && at - from < WITHIN && showsAs(text, before)))
      sums.right += 1;
    else sums.wrong += 1;
  }
  // A display that is found late is found, not seen to change.
  const first = given[0]?.at ?? Infinity;
  let from = 0;
  for (const { seconds, text } of SHOTS) {
    if (from > first) {
      sums.changes += 1;
      if (given.some((one) => one.at >= from && one.at <= from + WITHIN && showsAs(one.text, text)))
        sums.inTime += 1;
    }
    from += seconds;
  }
}

export const othersBeforeTheCamera: EndToEndTest = {
  name: 'displays that the reader was not tuned on, filmed and put before the camera of a phone: what the page gives is right',
  run: () =>
    onStage((stage) =>
      inFolder(async (folder) => {
        const job = await ownFreezer(stage, false);
        const drawing = await stage.browser.newPage();
        const sums = { right: 0, wrong: 0 };
        for (let first = 0; first < FILMED; first += PER_FILM) {
          const chance = seeded(500 + first);
          const clips = Array.from({ length: PER_FILM }, () => ({ scene: anyScene(chance), shots: SHOTS }));
          const path = join(folder, 'camera.y4m');
          await film(drawing, path, clips, chance);
          const seconds = PER_FILM * LENGTH;
          await withCamera(stage, path, job, 'prove/log', async (phone) => {
            await tap(phone, byTest('watch-start'));
            const told = rightOf(await givenBy(phone, seconds + 2));
            sums.right += told.right;
            sums.wrong += told.wrong;
          });
        }
        process.stdout.write(`displays before the camera: ${JSON.stringify(sums)}\n`);
        const said = JSON.stringify(sums);
        expectSame(sums.wrong <= 0.01 * (sums.right + sums.wrong), true, `at most 1 % wrong: ${said}`);
        expectSame(sums.right > 0, true, `some are read: ${said}`);
      }),
    ),
};
const LENGTH = SHOTS.reduce((sum, { seconds }) => sum + seconds, 0);

/** What the page gives, every tenth of a second. */
const givenBy = (page: Page, seconds: number): Promise<readonly Given[]> =>
  page.evaluate(
    async (at, length) => {
      const out: { at: number; text: string }[] = [];
      const begin = performance.now();
      while (performance.now() - begin < length * 1000) {
        const text = document.querySelector(at)?.textContent?.trim() ?? '';
        if (text !== '') out.push({ at: (performance.now() - begin) / 1000, text });
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
      return out;
    },
    byTest('watch-text'),
    seconds,
  );

/** Holds what the page gave against the film, which every display of it runs through alike. When it began is not known: the shift is taken at which most agrees. */
function rightOf(given: readonly Given[]): { readonly right: number; readonly wrong: number } {
  let best = { right: 0, wrong: given.length };
  for (let shift = 0; shift < LENGTH; shift += 0.05) {
    let right = 0;
    for (const { at, text } of given) {
      const { from, text: stands, before } = standingAt((at + shift) % LENGTH);
      const since = ((at + shift) % LENGTH) - from;
      // With the first text of a clip another display stands there: what was given before has its time too.
      const former = before ?? SHOTS.at(-1)!.text;
      if (showsAs(text, stands) || (since < WITHIN && showsAs(text, former))) right += 1;
    }
    if (right > best.right) best = { right, wrong: given.length - right };
  }
  return best;
}
