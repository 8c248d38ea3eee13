import { computed, shallowRef } from 'vue';
import { isFilled, readTable } from '@brine/core/controllers/suggest';
import { layOut, type ReadAt } from '@brine/core/controllers/pages';
import { openBooklets, type KeptBooklet, type KeptPage, type PageFrame } from './bookletStorage.ts';
import { openLetterReader, type OpenReader } from './letterReader.ts';
import { openPdf, type OpenPdf } from './pdfPages.ts';
import { canvasOf, photoPage } from './photoPage.ts';
import { unlessStopped, useReading, type Reading } from './reading.ts';

/** A page holds a parameter table where at least so many rows of one are found on it. */
const LEAST_ROWS = 3;
/** Largest booklet, largest table as text, and most photographs of one booklet. */
const LARGEST = 60 * 1024 * 1024;
const LARGEST_TEXT = 512 * 1024;
const MOST_PHOTOGRAPHS = 20;

/**
 * The booklet that is being written down, as a PDF, as photographs or as a table in text: its pages, which of them are read, and where each line of the text was read. Kept in this browser, so that
 * it can be left and taken up again.
 *
 * @param laidOut told of the text whenever the pages that are read change
 * @param standing the text as it stands, which somebody may have changed by hand
 */
export function useBooklet(laidOut: (text: string) => void, standing: () => string) {
  const booklet = shallowRef<KeptBooklet | null>(null);
  const { progress, problem, run: reading, stop: stopReading } = useReading();
  const storage = openBooklets();
  let pdf: OpenPdf | null = null;
  let reader: OpenReader | null = null;

  const resumed = storage.then(
    async (store) => void (booklet.value ??= (await store.read()) ?? null),
    () => undefined,
  );

  function hold(next: KeptBooklet | null): void {
    booklet.value = next;
    void storage
      .then((store) => (next ? store.keep(next) : store.remove()))
      // Without the browser's store the booklet lasts as long as the page is open.
      .catch(() => undefined);
  }

  function stop(): void {
    stopReading();
    reader?.close();
    reader = null;
  }

  const letters = async () => (reader ??= await openLetterReader()).read;

  async function open(files: readonly File[]): Promise<void> {
    const [first] = files;
    if (!first) return;
    await resumed;
    await reading(async (how) => {
      const large = files.find((file) => file.size > LARGEST);
      if (large) throw new Error(`${large.name} is larger than 60 MB; expected the pages with the table`);
      if (isPdf(first)) await takePdf(first, how);
      else if (isPhotograph(first)) await takePhotographs(files.filter(isPhotograph), how);
      else await takeText(first);
    });
  }

  async function takeText(file: File): Promise<void> {
    if (file.size > LARGEST_TEXT)
      throw new Error(`${file.name} is larger than 512 KB; expected a table of parameters`);
    const text = await file.text();
    if (!mayReplace()) return;
    forget();
    laidOut(text);
  }

  async function takePdf(file: File, how: Reading): Promise<void> {
    const opened = await openPdf(file, how);
    // Until its table is taken, the booklet that stands keeps its own file.
    let isUsed = false;
    const pages = opened.pages.map(counted);
    const found = pagesWithTable(pages);
    try {
      const withPictures = await pictured(pages, found, opened, how);
      isUsed = use({
        name: file.name,
        pages: withPictures,
        chosen: found,
        frames: {},
        texts: [],
        lines: [],
      });
    } finally {
      if (!isUsed) opened.close();
    }
    if (!isUsed) return;
    pdf?.close();
    pdf = opened;
    if (found.length === 0)
      problem.value = opened.pages.every(({ pieces }) => pieces === null)
        ? `${file.name} holds pictures without text. Choose the pages with the table: they are read letter by letter.`
        : `No parameter table was found in ${file.name}. Choose the pages that hold it.`;
  }

  async function takePhotographs(files: readonly File[], how: Reading): Promise<void> {
    if (files.length > MOST_PHOTOGRAPHS)
      throw new Error(`${files.length} photographs; expected at most ${MOST_PHOTOGRAPHS}`);
    const read = await letters();
    const pages: KeptPage[] = [];
    for (const [i, file] of files.entries()) {
      const part: Reading =
        files.length === 1
          ? how
          : {
              ...how,
              progress: (words, done, of) =>
                how.progress(`Photograph ${i + 1} of ${files.length}: ${words}`, done, of),
            };
      pages.push(counted(await photoPage(i + 1, await canvasOf(file), read, part)));
    }
    const chosen = pages.map(({ page }) => page);
    const name = files.map((file) => file.name).join(', ');
    if (!use({ name, pages, chosen, frames: {}, texts: [], lines: [] })) return;
    pdf?.close();
    pdf = null;
    if (pages.every(({ rows }) => rows === 0))
      problem.value =
        'No parameter table was found. Take the page from straight above in even light, as large as it goes.';
  }

  /** Pages with their pictures; a page without a text layer is read from its picture. */
  async function pictured(
    pages: readonly KeptPage[],
    of: readonly number[],
    from: OpenPdf | null,
    how: Reading,
  ) {
    const result = [...pages];
    for (const [i, page] of pages.entries()) {
      if (!of.includes(page.page)) continue;
      if (!from) {
        if (page.pieces !== null) continue;
        throw new Error('This page is a picture that was not read yet: choose the booklet’s file again');
      }
      unlessStopped(how);
      how.progress(`Drawing page ${page.page}`, of.indexOf(page.page), of.length);
      if (page.pieces === null)
        result[i] = counted(
          await photoPage(page.page, await from.draw(page.page, true), await letters(), how),
        );
      else if (page.picture === null) result[i] = { ...page, picture: await from.picture(page.page) };
    }
    return result;
  }

  /** Whether the table that stands may be replaced: what was typed or changed by hand goes only where somebody says so. */
  function mayReplace(): boolean {
    const before = booklet.value?.texts.join('\n') ?? '';
    const isByHand = standing().trim() !== '' && standing() !== before;
    return (
      !isByHand || confirm('The table was typed or changed by hand. Replace it by what the booklet says?')
    );
  }

  /** Lays the chosen pages out as text, and keeps where each line was read. False where the table that stands is to stay. */
  function use(next: KeptBooklet): boolean {
    const pages = next.pages.flatMap(({ page, pieces }) => {
      if (!next.chosen.includes(page) || pieces === null) return [];
      const frame = next.frames[page];
      const inside = frame
        ? pieces.filter((piece) => {
            const [x, y] = [piece.x + piece.width / 2, piece.y + piece.height / 2];
            return x >= frame.left && x <= frame.right && y >= frame.top && y <= frame.bottom;
          })
        : pieces;
      return [{ page, pieces: inside }];
    });
    if (!mayReplace()) return false;
    const { text, lines } = layOut(pages);
    hold({ ...next, texts: text.split('\n'), lines });
    laidOut(text);
    return true;
  }

  const choose = (page: number, on: boolean) =>
    reading(async (how) => {
      const here = booklet.value;
      if (!here) return;
      const chosen = on
        ? [...here.chosen, page].sort((a, b) => a - b)
        : here.chosen.filter((p) => p !== page);
      use({ ...here, chosen, pages: on ? await pictured(here.pages, [page], pdf, how) : here.pages });
    });

  /** Limits a page to a part of it; null: all of it. */
  function frame(page: number, part: PageFrame | null): void {
    const here = booklet.value;
    if (!here) return;
    const { [page]: _, ...others } = here.frames;
    use({ ...here, frames: part ? { ...others, [page]: part } : others });
  }

  function forget(): void {
    pdf?.close();
    pdf = null;
    hold(null);
  }

  function close(): void {
    stop();
    forget();
  }

  const places = computed(() => {
    const { texts = [], lines = [] } = booklet.value ?? {};
    return new Map(texts.map((text, i) => [text, lines[i]!]));
  });
  /** Where a line of the text was read; null where it was not read from this booklet, or was changed since. */
  function placeOf(text: string, line: number): ReadAt | null {
    const here = text.split('\n')[line - 1];
    const same = here !== undefined && booklet.value?.texts[line - 1] === here;
    return (
      (same ? booklet.value?.lines[line - 1] : here === undefined ? null : places.value.get(here)) ?? null
    );
  }

  return {
    booklet,
    progress,
    problem,
    open,
    stop,
    choose,
    frame,
    close,
    placeOf,
  };
}

export type LiveBooklet = ReturnType<typeof useBooklet>;

const isPdf = (file: File): boolean => file.type === 'application/pdf' || /\.pdf$/i.test(file.name);
const isPhotograph = (file: File): boolean =>
  file.type.startsWith('image/') || /\.(png|jpe?g|webp)$/i.test(file.name);

/** A page with the number of table rows found on it. */
function counted(page: KeptPage): KeptPage {
  if (page.pieces === null) return page;
  const { text } = layOut([{ page: page.page, pieces: page.pieces }]);
  return { ...page, rows: text.trim() === '' ? 0 : readTable(text).rows.filter(isFilled).length };
}

/** Pages that hold the table: those with several rows, and those beside them on which it ends or begins. */
function pagesWithTable(pages: readonly KeptPage[]): readonly number[] {
  const full = new Set(pages.filter(({ rows }) => rows >= LEAST_ROWS).map(({ page }) => page));
  return pages
    .filter(({ page, rows }) => full.has(page) || (rows > 0 && (full.has(page - 1) || full.has(page + 1))))
    .map(({ page }) => page);
}
