import type { Work } from '../storage/journal';

/** Says what two tabs both changed (`tellClash`); its words are loaded when it first happens. */
export const sayClash = async (work: Work, otherWay: Work): Promise<void> =>
  (await import('./clash')).tellClash(work, otherWay);
