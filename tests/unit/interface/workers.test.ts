import fc from 'fast-check';
import { InputError } from '@/core/rig/read';
import { newestOnly } from '@/workers/newestOnly';
import { outcomeOf } from '@/workers/outcome';

/** Work that is finished by hand, so that a test says what is under way while something is asked. */
function byHand() {
  const asked: number[] = [];
  const waiting: { finish: () => void; fail: (why: Error) => void }[] = [];
  const work = (wanted: number) =>
    new Promise<void>((finish, fail) => {
      asked.push(wanted);
      waiting.push({ finish, fail });
    });
  const settle = () => new Promise<void>((rest) => setTimeout(rest));
  return {
    asked,
    work,
    finish: async () => {
      waiting.shift()!.finish();
      await settle();
    },
    fail: async (why: Error) => {
      waiting.shift()!.fail(why);
      await settle();
    },
    busy: () => waiting.length,
  };
}

describe('the newest of what is asked', () => {
  test('the first is done at once; of those asked meanwhile only the last', async () => {
    const hand = byHand();
    const ask = newestOnly(hand.work);
    for (const n of [1, 2, 3, 4]) void ask(n);
    expect(hand.asked).toEqual([1]);
    await hand.finish();
    expect(hand.asked).toEqual([1, 4]);
    await hand.finish();
    expect(hand.asked).toEqual([1, 4]);
    expect(hand.busy()).toBe(0);
  });

  test('once at rest the next is done at once again', async () => {
    const hand = byHand();
    const ask = newestOnly(hand.work);
    void ask(1);
    await hand.finish();
    void ask(2);
    expect(hand.asked).toEqual([1, 2]);
    await hand.finish();
    expect(hand.busy()).toBe(0);
  });

  test('what fails does not stop what comes after', async () => {
    const hand = byHand();
    const ask = newestOnly(hand.work);
    const first = ask(1);
    const refused = expect(first).rejects.toThrow('no');
    await hand.fail(new Error('no'));
    await refused;
    void ask(2);
    expect(hand.asked).toEqual([1, 2]);
    await hand.finish();
  });

  test('however asking and finishing mix: never two at a time, none twice, and the last asked is the last done', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { minLength: 1, maxLength: 40 }), async (acts) => {
        const hand = byHand();
        const ask = newestOnly(hand.work);
        let next = 0;
        for (const asks of acts) {
          if (asks) void ask(next++);
          else if (hand.busy()) await hand.finish();
          expect(hand.busy()).toBeLessThanOrEqual(1);
        }
        while (hand.busy()) await hand.finish();
        expect(hand.asked).toEqual([...new Set(hand.asked)].sort((a, b) => a - b));
        if (next > 0) expect(hand.asked.at(-1)).toBe(next - 1);
      }),
      { numRuns: 40 },
    );
  });
});

describe('what crosses from a worker', () => {
  test('an answer comes as it is', () => {
    expect(outcomeOf(() => ({ mm: 3 }))).toEqual({ ok: true, result: { mm: 3 } });
    expect(outcomeOf(() => null)).toEqual({ ok: true, result: null });
  });

  test('what is wrong with the input comes in its own words, without the path of a file', () => {
    const outcome = outcomeOf(() => {
      throw new InputError('rig.members[2]', 'the two ends are the same point');
    });
    expect(outcome).toEqual({ ok: false, message: 'the two ends are the same point' });
  });

  test('a fault of our own is owned up to, kept on the console, and says that nothing is lost', () => {
    const told = jest.spyOn(console, 'error').mockImplementation(() => {});
    const outcome = outcomeOf(() => {
      throw new TypeError('x is not a function');
    });
    expect(outcome).toMatchObject({ ok: false, message: expect.stringContaining('Pellik itself broke') });
    expect(!outcome.ok && outcome.message).toContain('nothing typed is lost');
    expect(told).toHaveBeenCalledTimes(1);
    told.mockRestore();
  });
});
