import { barHeldIn } from '@/core/job/made/sway/barHeld';
import type { BarHeld } from '@/core/swaybar/throughFrame';
import type { Job } from '@/core/job/jobSchema';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { fastening } from '@/core/weld/fastening';
import { SWAY_BAR } from '@/core/weld/held';
import { CAUTIONS } from '../cautions';
import { BEFORE_HEAT } from '../ready';
import type { Site } from '../../site';
import { after, zoneOf, type Task } from '../../task';
import { design, FIT, SPRING_STEEL } from './common';
import { inTube } from './inTube';
import { onStraps } from './onStraps';
import { throughFrame } from './throughFrame';

/** How the sway bar of a car is put in; nothing of a car without one. */
export function fittingSwayBar(site: Site): Task[] {
  const { bar } = site.job.roll;
  if (!bar) return [];
  return [...FITTED[barHeldIn(site.job) ?? 'straps'](site, bar), ...feet(site, bar)];
}

/** How a bar is put in, by what it turns in. */
const FITTED: Record<BarHeld, (site: Site, bar: BarDesign) => Task[]> = {
  straps: onStraps,
  sleeves: throughFrame,
  tube: inTube,
};

/** Whether a car has a sway bar that must be in before its frame is closed. */
export const isThroughFrame = (job: Job): boolean => barHeldIn(job) === 'sleeves';

function feet(site: Site, bar: BarDesign): Task[] {
  const { say, job } = site;
  const on = bar.mountedOn === 'chassis' ? 'axle' : 'frame';
  const isWelded = fastening(job, { member: SWAY_BAR, bracket: 'footLeft' }) === 'welded';
  const moved = 'one side of the axle raised and the other lowered, then the other way';
  return [
    {
      ...FIT,
      id: 'fit/sway/level',
      zone: zoneOf([bar.ahead, 0, bar.height]),
      title: 'Both arms of the sway bar alike',
      how: 'Links off, car at its height: eyes the same off the floor left and right. Arms clocked unlike twist the car as it stands.',
      after: [after('fit/sway/in', 'it must hang in its bushings')],
      expect: `Both eyes ${say(bar.height + bar.rise)} off the floor at ride height.`,
      basis: design(bar),
    },
    {
      ...FIT,
      id: 'fit/sway/feet',
      zone: 'middle',
      title: `Feet of the end links on the ${on}`,
      how: isWelded
        ? `Clamped with the links on and the car at its height; tacked; ${moved}; then welded with the links off. ${SPRING_STEEL}`
        : `Bolted up loose with the links on and the car at its height; ${moved}; then snug.`,
      after: [
        after('fit/sway/level', 'the feet go where the level bar’s links put them'),
        ...(isWelded ? BEFORE_HEAT : []),
      ],
      ...(isWelded && { caution: CAUTIONS.weld }),
      marked: {
        member: SWAY_BAR,
        brackets: ['footLeft', 'footRight'],
        to: isWelded ? 'welded' : 'snug',
      },
      expect: `Links ${say(bar.link)} eye to eye${bar.right ? ` on the left, ${say(bar.right.link)} on the right` : ''}.`,
      basis: { link: bar.link, 'right link': job.roll.bar?.right?.link ?? 'as the left' },
    },
  ];
}

/** The links of the bar, last of what is bolted on. */
export function hangingSwayBar({ job, say }: Site): Task[] {
  const { bar } = job.roll;
  if (!bar) return [];
  return [
    {
      track: 'bolt',
      id: 'bolt/sway',
      zone: 'middle',
      title: 'End links on, bolts loose',
      how: `In hole ${bar.hole + 1} of ${bar.holes}, both sides; two ways to move at one end; clear of everything. ${bar.stow ? 'Their stow pins tried.' : ''}`.trim(),
      after: [
        after('fit/sway/feet', 'their feet are on'),
        after('fit/sway/sleeves/weld', 'the bar is closed in'),
        after('fit/paint', 'paint is under what clamps, not over it'),
      ],
      expect: `Links ${say(bar.link)} eye to eye.`,
      basis: { hole: String(bar.hole + 1), link: bar.link },
    },
  ];
}
