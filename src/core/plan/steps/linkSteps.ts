import { barOf, threadedEnds } from '@/core/job/made/parts';
import type { Bracket } from '@/core/job/slices/fields';
import type { LinkMember } from '@/core/rig/members/link';
import { isBolted, type Site } from '../site';
import { after, type Before } from '../task';

/** Ids of a link's steps. */
export const linkStep = (link: string, step: string): string => `fit/${link}/${step}`;
export const bracketStep = (link: string, bracket: Bracket, step: string): string =>
  `fit/${link}/${bracket}/${step}`;

/** Whether a bar can be set to its length after it is made. */
export const isAdjustable = ({ job }: Site, { id }: LinkMember): boolean =>
  threadedEnds(barOf(job, id)).length > 0;

/** Where a bracket holds for the first time: tacked, or bolted up loose. */
export const fixedOnce = (site: Site, link: LinkMember, bracket: Bracket, why: string): Before =>
  after(bracketStep(link.id, bracket, isBolted(site, link, bracket) ? 'loose' : 'tack'), why);
