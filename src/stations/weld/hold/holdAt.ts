import { linksOf } from '@/core/rig/members/members';
import { edit, useJobStore } from '@/store/jobStore';
import { setPreferences } from '@/store/preferences';

/** Opens the hold points of a member: a bar is put on the saw, of which they are shown; anything else is remembered here. */
export function holdAt(member: string): void {
  const { job } = useJobStore.getState();
  const isBar = job !== null && linksOf(job.rig).some(({ id }) => id === member);
  setPreferences({ held: isBar ? null : member });
  if (isBar) edit((j) => ({ ...j, cut: { ...j.cut, member } }));
}
