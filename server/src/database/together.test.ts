import { describe, expect, test } from '@jest/globals';
import { together, type Question } from './together.ts';

/** Statements that answer when the test says so, in the order sent. */
function database() {
  const sent: { readonly question: Question; answer(rows: object[]): void; fail(error: Error): void }[] = [];
  const ask = (question: Question) =>
    new Promise<object[]>((resolve, reject) => sent.push({ question, answer: resolve, fail: reject }));
  return { sent, ask };
}
const question = (sql: string, ...values: unknown[]): Question => ({ sql, values, prepared: true });

describe('questions to the database', () => {
  test('no more than so many are under way, the others in turn', async () => {
    const { sent, ask } = database();
    const asked = together(ask, 2, 1000);
    const answers = ['a', 'b', 'c', 'd'].map((sql) => asked(question(sql)));
    expect(sent.map((one) => one.question.sql)).toEqual(['a', 'b']);
    sent[1]!.answer([{ of: 'b' }]);
    expect(await answers[1]).toEqual([{ of: 'b' }]);
    expect(sent.map((one) => one.question.sql)).toEqual(['a', 'b', 'c']);
    sent[0]!.answer([]);
    sent[2]!.answer([]);
    await Promise.all([answers[0], answers[2]]);
    expect(sent.map((one) => one.question.sql)).toEqual(['a', 'b', 'c', 'd']);
  });

  test('who waits for the same is given one answer; who asks once it is under way another', async () => {
    const { sent, ask } = database();
    const asked = together(ask, 1, 1000);
    const first = asked(question('list', 1));
    const waiting = [asked(question('list', 1)), asked(question('list', 1))];
    // The first is under way already: what was kept since is not in it.
    sent[0]!.answer([{ kept: 'before' }]);
    expect(await first).toEqual([{ kept: 'before' }]);
    expect(sent).toHaveLength(2);
    const late = asked(question('list', 1));
    sent[1]!.answer([{ kept: 'after' }]);
    expect(await Promise.all(waiting)).toEqual([[{ kept: 'after' }], [{ kept: 'after' }]]);
    expect(sent).toHaveLength(3);
    sent[2]!.answer([{ kept: 'last' }]);
    expect(await late).toEqual([{ kept: 'last' }]);
  });

  test('another value, another statement or another way to plan it is another question', async () => {
    const { sent, ask } = database();
    const asked = together(ask, 1, 1000);
    const questions = [
      question('busy'),
      question('list', 1),
      question('list', '1'),
      question('list', 1, 2),
      question('list 1'),
      { ...question('list', 1), prepared: false },
    ];
    for (const one of questions) void asked(one);
    for (let i = 0; i < questions.length; i += 1) {
      expect(sent).toHaveLength(i + 1);
      sent[i]!.answer([]);
      await new Promise((done) => setTimeout(done, 0));
    }
    expect(sent.map((one) => one.question)).toEqual(questions);
  });

  test('one that fails fails for all who waited for it, and holds up nobody', async () => {
    const { sent, ask } = database();
    const asked = together(ask, 1, 1000);
    const first = asked(question('busy'));
    const [one, two, other] = [asked(question('list')), asked(question('list')), asked(question('else'))];
    sent[0]!.fail(new Error('the connection broke'));
    await expect(first).rejects.toThrow('the connection broke');
    sent[1]!.fail(new Error('it broke again'));
    await expect(one).rejects.toThrow('it broke again');
    await expect(two).rejects.toThrow('it broke again');
    sent[2]!.answer([{ fine: true }]);
    expect(await other).toEqual([{ fine: true }]);
  });

  test('whoever waited too long is told so instead of asking a database that does not answer', async () => {
    const { sent, ask } = database();
    let now = 0;
    const asked = together(ask, 1, 1000, () => now);
    const first = asked(question('busy'));
    const long = asked(question('list'));
    now = 900;
    const short = asked(question('else'));
    now = 1001;
    sent[0]!.fail(new Error('it does not answer'));
    await expect(first).rejects.toThrow('it does not answer');
    await expect(long).rejects.toMatchObject({ code: 'unavailable' });
    expect(sent.map((each) => each.question.sql)).toEqual(['busy', 'else']);
    sent[1]!.answer([]);
    expect(await short).toEqual([]);
  });
});
