'use client';
import { Button } from 'antd';
import { roomForCrossmember, withCrossmemberOver } from '@/core/job/edits/parts/crossmembers';
import { withParts } from '@/core/job/edits/parts/parts';
import { fastenedTo, hangsOn, ON_RAIL } from '@/core/job/made/bracketRoot';
import { crossmemberPart, crossmembersOf } from '@/core/job/made/crossmember';
import type { LinkMember } from '@/core/rig/members/link';
import { edit, useJob } from '@/store/jobStore';
import { setPreferences } from '@/store/preferences';
import { Pills } from '@/ui/cards/Pills';

/** What a frame bracket hangs on: a rail, one of the crossmembers that are drawn, or nothing that is drawn. */
export function Carrier({ part, link }: { part: string; link: LinkMember }) {
  const job = useJob();
  const on = hangsOn(job, link)?.crossmember.id;
  const onRail = fastenedTo(job, link, 'chassis') === 'rail';
  const drawn = crossmembersOf(job).map(({ id }) => id);
  const open = (id: string) => setPreferences({ prove: crossmemberPart(id) });
  return (
    <>
      {drawn.length > 0 && (
        <Pills<string>
          legend="It hangs on"
          options={[
            { value: ON_RAIL, label: 'the rail' },
            ...drawn.map((id) => ({ value: id, label: `the ${id}` })),
          ]}
          value={on ?? (onRail ? ON_RAIL : '')}
          onPick={(carrier) => edit((j) => withParts(j, { brackets: { [part]: { carrier } } }))}
        />
      )}
      {on && (
        <Button className="carrier" onClick={() => open(on)}>
          Open the {on}
        </Button>
      )}
      {!on && !onRail && (
        <p className="hint" data-carrier>
          No rail is near it, and nothing that it could hang on is drawn.
        </p>
      )}
      {!on && roomForCrossmember(job) && (
        <Button
          className="carrier"
          onClick={() => {
            const { id } = withCrossmemberOver(job, link);
            edit((j) => withCrossmemberOver(j, link).job);
            open(id);
          }}
        >
          Hang it on a new crossmember
        </Button>
      )}
    </>
  );
}
