'use client';
import { Button, Checkbox, Dropdown } from 'antd';
import { memberName } from '@/core/rig/names';
import { edit, useJobPart } from '@/store/jobStore';
import { setPreferences, usePreferences } from '@/store/preferences';
import { MountsTable } from './MountsTable';
import { EyeToEye } from './EyeToEye';
import { Joints } from './Joints';
import { PANHARD, pairOf, partnerOf } from '@/core/rig/roles';
import { isLink } from '@/core/rig/members/members';
import { MEMBER_KITS, kitsToAdd, withoutMembers, withKit, type KitName } from '@/core/job/edits/members/kits';

/** Every member but the bar across the car; one of a pair stands for both while both sides are kept alike. */
export function Members() {
  const alike = usePreferences((s) => s.alike);
  const ids = useJobPart((j) => j.rig.members.map((m) => m.id)).filter((id) => id !== PANHARD);
  const paired = ids.some((id) => partnerOf(id));
  const shown = alike ? ids.filter((id) => !id.endsWith('-right')) : ids;
  return (
    <section className="section">
      <h2>Mounts</h2>
      {paired && (
        <Checkbox
          className="alike"
          checked={alike}
          onChange={(e) => setPreferences({ alike: e.target.checked })}
        >
          Left and right alike: a change on one side is made on both
        </Checkbox>
      )}
      {shown.map((id) => (
        <Member key={id} id={id} alike={alike} />
      ))}
      <AddPart />
    </section>
  );
}

function Member({ id, alike }: { id: string; alike: boolean }) {
  const link = useJobPart((j) => isLink(j.rig.members.find((m) => m.id === id)!));
  const last = useJobPart((j) => j.rig.members.every((m) => pairOf(id).includes(m.id)));
  const end = useJobPart((j) => j.rig.end);
  const partner = alike ? partnerOf(id) : null;
  const name = partner ? `${memberName(id, end).replace(/^left /, '')}, left and right` : memberName(id, end);
  return (
    <div className="link-block">
      <div className="link-head">
        <h3>{name}</h3>
        {!last && (
          <Button
            type="text"
            size="small"
            aria-label={`Take off: ${name}`}
            onClick={() => edit((j) => withoutMembers(j, alike ? pairOf(id) : [id]))}
          >
            take off
          </Button>
        )}
      </div>
      <MountsTable memberId={id} />
      {link && <EyeToEye member={id} />}
      {link && <Joints member={id} />}
    </div>
  );
}

/** What else an axle may be held by: any layout is made into any other by taking off and putting on. */
function AddPart() {
  const offered = useJobPart((j) => kitsToAdd(j.rig));
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items: offered.map((part) => ({ key: part, label: MEMBER_KITS[part].name })),
        onClick: ({ key }) => edit((j) => withKit(j, key as KitName)),
      }}
    >
      <Button className="add-part">Put on another member</Button>
    </Dropdown>
  );
}
