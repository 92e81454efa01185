import type { Bracket } from '@/core/job/made/bracketParts';

/** A way in which plates do not go over what is left of an old bracket: what is said, and in which numbers. */
type OverFault = { id: OverFaultId; title: string; reason: string; state: 'stop' | 'look' };

const IDS = ['laps-too-far', 'over-not-fitting', 'joint-on-old'] as const;
type OverFaultId = (typeof IDS)[number];
export const isOverFault = (id: string): boolean => (IDS as readonly string[]).includes(id);

/** A gap that a fillet of its own leg still bridges, on each side, mm: 1/16 in (AWS D1.1, from memory). Sizes closer than `SAME` are alike. */
const GAP = 1.6;
const SAME = 0.05;

/** What keeps a bracket's plates from going over an old bracket, or its joint from turning above it. */
export function overFaults(
  { over, planes, middle, spacer, reach, edge }: Bracket,
  say: (mm: number) => string,
): OverFault[] {
  if (!over) return [];
  const { high, wide, lap } = over;
  const apart = middle + 2 * spacer;
  const aside = (apart - wide) / 2;
  const between = (wide - middle) / 2;
  const room = reach - lap;
  const found: [is: boolean, fault: OverFault][] = [
    [
      lap > high + SAME,
      {
        state: 'stop',
        id: 'laps-too-far',
        title: 'its plates lap more than is left of the old bracket',
        reason: `They lap ${say(lap)}, and ${say(high)} of it is left.`,
      },
    ],
    [
      planes === 2 && (aside < -SAME || aside > GAP),
      {
        state: 'stop',
        id: 'over-not-fitting',
        title:
          aside < 0
            ? 'its plates do not go over the old bracket'
            : 'its plates stand off the old bracket farther than a weld bridges',
        reason: `They are ${say(apart)} apart, and it is ${say(wide)} wide. ${
          between >= 0
            ? `With spacers of ${say(between)} on each side of the joint they fit.`
            : 'The joint between them is wider than that: weld a pad to each side of it first.'
        }`,
      },
    ],
    [
      room < edge - SAME,
      {
        state: room > 0 ? 'look' : 'stop',
        id: 'joint-on-old',
        title: `its joint ${room > 0 ? 'may run' : 'runs'} into what is left of the old bracket`,
        reason: `${
          room > 0 ? `That ends ${say(room)} below the bolt’s middle` : 'That ends past the bolt’s middle'
        }; the plates themselves go ${say(edge)} round it. ${
          room > 0
            ? 'Cut it shorter, or turn the joint in its place by hand before anything is tacked.'
            : 'Cut it shorter.'
        }`,
      },
    ],
  ];
  return found.flatMap(([is, fault]) => (is ? [fault] : []));
}
