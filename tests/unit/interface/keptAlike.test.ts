import fc from 'fast-check';
import { keeper, keptAlike } from '@/bay/model/keptAlike';

/** What is not the same object, though alike all through. */
const copied = <T>(value: T): T => structuredClone(value);

const anything = fc.anything({
  maxDepth: 4,
  withNullPrototype: false,
  // Nothing and minus nothing are drawn alike.
  values: [fc.double().map((v) => v + 0), fc.string(), fc.constantFrom(null, undefined, true, 0, NaN)],
});

test('what is kept is alike what is now, whatever was before', () => {
  fc.assert(fc.property(anything, anything, (before, now) => expect(keptAlike(before, now)).toEqual(now)));
});

test('what is alike all through is what it was, and nothing of what is given is changed', () => {
  fc.assert(
    fc.property(fc.array(anything), fc.array(anything), (same, other) => {
      const before = { same, other, gone: 1 };
      const now = { same: copied(same), other: [copied(other), 'more'] };
      const [wasBefore, wasNow] = [copied(before), copied(now)];
      const kept = keptAlike(before, now);
      expect(kept.same).toBe(same);
      expect(kept).not.toBe(before);
      expect(keptAlike(before, copied(before))).toBe(before);
      expect([before, now]).toEqual([wasBefore, wasNow]);
    }),
  );
});

test('a place of many that has moved is new, and those beside it are what they were', () => {
  const keep = keeper<{ places: number[][] }>();
  const first = keep({ places: [[1, 2], [3, 4]] }); // prettier-ignore
  const next = keep({ places: [[1, 2], [3, 5]] }); // prettier-ignore
  expect(next.places[0]).toBe(first.places[0]);
  expect(next.places[1]).toEqual([3, 5]);
  expect(keep({ places: [[1, 2], [3, 5]] })).toBe(next); // prettier-ignore
});
