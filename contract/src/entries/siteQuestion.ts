import { object } from 'yup';
import { anyText, finite, id, isoTime, listOf, text, LONGEST_NAME, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

const MOST_TESTS = 20;

const question = object({
  /** What they are asked, in words, with the time on the clock there. */
  words: text(LONGEST_TEXT),
  /** When the people on site look at the display. */
  at: isoTime(),
  /** Between what it must stand then, °C. */
  least: finite(),
  most: finite(),
  /** Tests that the answer tells something of. */
  tests: listOf(id(), MOST_TESTS, 'tests'),
});

const answer = object({
  /** What the display showed, °C. */
  celsius: finite(),
  at: isoTime(),
  who: anyText(LONGEST_NAME),
});

/** What the people on site are asked to look at after one has gone, and what they said; a question of null takes it away. */
export const siteQuestion = entry('siteQuestion', {
  id: id(),
  question: question.nullable().defined('expected a question, or null'),
  answer: answer.nullable().defined('expected an answer, or null'),
});

export type SiteQuestion = BodyOf<typeof siteQuestion>;
