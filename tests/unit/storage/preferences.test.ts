import fc from 'fast-check';
import { setPreferences, usable, usePreferences } from '@/store/preferences';

const usual = usePreferences.getState();
type Key = keyof typeof usual;
const keys = Object.keys(usual) as Key[];

test('whatever lies in storage, each preference is one that can be used, and a sound one is kept', () => {
  fc.assert(
    fc.property(
      fc.dictionary(fc.constantFrom(...keys, 'other'), fc.jsonValue({ maxDepth: 2 })),
      fc.subarray(keys),
      (rubbish, sound) => {
        const stored = { ...rubbish, ...Object.fromEntries(sound.map((key) => [key, usual[key]])) };
        const used = usable(stored);
        for (const key of sound) expect(used[key]).toEqual(usual[key]);
        expect(Object.keys(used).every((key) => keys.includes(key as Key))).toBe(true);
        // What is used once can be used again.
        expect(usable(JSON.parse(JSON.stringify(used)))).toEqual(used);
      },
    ),
  );
});

test('what is no list of preferences at all is none', () => {
  for (const stored of [null, undefined, 7, 'text', []]) expect(usable(stored)).toEqual({});
  expect(usable({ focus: 'nowhere', alike: 'yes', hand: 'left', chart: { bar: 'y', links: 7 } })).toEqual({
    hand: 'left',
  });
});

test('a chart is remembered for each thing that is worked on', () => {
  setPreferences({ chart: { bar: 'y' } });
  expect(usable(JSON.parse(JSON.stringify(usePreferences.getState())))).toMatchObject({
    chart: { bar: 'y' },
  });
  setPreferences(usual);
});
