'use client';
import { Button, Select } from 'antd';
import { isMount, MOST_FREE, type Free, type FreeMount } from '@/core/choose/brief';
import { holesKey } from '@/core/job/made/bracketHoles';
import { coordinateNow, mountsOf, type MountChange } from '@/core/rig/mounts';
import { partnerOf } from '@/core/rig/roles';
import { capital, groupName, memberName } from '@/core/rig/names';
import type { Job } from '@/core/job/jobSchema';
import { MM_PER_INCH, snap, type Tape } from '@/core/units/tape';
import { useJob } from '@/store/jobStore';
import { QuantityField } from '@/ui/fields/QuantityField';

const DIRECTIONS = ['fore and aft', 'sideways', 'height'] as const;
/** A mount that is let go may go about so far either way, by lines of the tape, until it is said otherwise, mm. */
const roomOf = (tape: Tape): number => (tape === 'mm' ? 50 : 2 * MM_PER_INCH);
const MOST_MM = 5000;

type Props = { free: Free[]; onChange: (free: Free[]) => void };

/** What may move, and how far; a mount with holes moves in its holes. */
export function FreeList({ free, onChange }: Props) {
  const job = useJob();
  const put = (i: number, change: FreeMount) => onChange(free.with(i, change));
  const options = movesOf(job).filter(({ value }) => free.every((one) => keyOf(one) !== value));
  return (
    <section className="section">
      <h2>What may move</h2>
      {free.map((one, i) => {
        const holes = holesOf(job, one);
        return (
          <fieldset key={keyOf(one)} className="find-row" data-free={keyOf(one)}>
            <legend>{isMount(one) ? nameOf(job, one) : SWAY_BAR_HOLE}</legend>
            {holes !== null || !isMount(one) ? (
              <p className="hint">In its {holes} holes.</p>
            ) : (
              (['from', 'to'] as const).map((bound) => (
                <QuantityField
                  key={bound}
                  field={`find/${keyOf(one)}/${bound}`}
                  label={bound}
                  showLabel
                  unit="length"
                  least={-MOST_MM}
                  most={MOST_MM}
                  value={one[bound] ?? null}
                  onEnter={(mm) => put(i, { ...one, [bound]: mm })}
                />
              ))
            )}
            <Button onClick={() => onChange(free.filter((_, k) => k !== i))}>Take out</Button>
          </fieldset>
        );
      })}
      {options.length > 0 && free.length < MOST_FREE && (
        <Select<string | null>
          aria-label="Something that may move"
          placeholder="Something that may move…"
          showSearch
          optionFilterProp="label"
          value={null}
          options={options}
          onChange={(key) => key && onChange([...free, freed(job, key)])}
        />
      )}
    </section>
  );
}

const SWAY_BAR_HOLE = 'Sway bar: hole';

const keyOf = (free: Free): string =>
  isMount(free) ? `${free.member}/${free.end}/${free.axis}` : `swayBar/${free.swayBar}`;

/** How many holes there are to choose between; null of what moves by the tape. */
function holesOf({ holes, roll }: Job, free: Free): number | null {
  if (!isMount(free)) return roll.bar?.holes ?? 0;
  const row = free.axis === 2 ? holes[holesKey(free.member, free.end)] : undefined;
  return row?.count ?? null;
}

/** A move that has not been said more of: as far as there is room, and its mirror image with it. */
function freed(job: Job, key: string): Free {
  if (key === 'swayBar/hole') return { swayBar: 'hole' };
  const [member, end, axis] = key.split('/') as [string, FreeMount['end'], string];
  const at = { member, end, axis: Number(axis) as FreeMount['axis'] };
  const now = coordinateNow(job.rig, at) ?? 0;
  const room = roomOf(job.tape);
  return {
    ...at,
    from: snap(now - room, job.tape),
    to: snap(now + room, job.tape),
    alike: hasPartner(job, member),
  };
}

const hasPartner = ({ rig }: Job, member: string): boolean =>
  rig.members.some(({ id }) => id === partnerOf(member));

/** Every direction of every mount, pairs once, heights first; and the sway bar's holes. */
function movesOf(job: Job): { value: string; label: string }[] {
  const members = job.rig.members.filter(({ id }) => !(id.endsWith('-right') && hasPartner(job, id)));
  const { bar } = job.roll;
  const moves = ([2, 0, 1] as const).flatMap((axis) =>
    members.flatMap(({ id }) =>
      mountsOf(job.rig, id).map(({ key }) => {
        const one = { member: id, end: key as FreeMount['end'], axis };
        return { value: keyOf(one), label: nameOf(job, one) };
      }),
    ),
  );
  return bar?.hooked && bar.holes > 1 ? [...moves, { value: 'swayBar/hole', label: SWAY_BAR_HOLE }] : moves;
}

export function nameOf(
  { rig }: Job,
  { member, end, axis }: Pick<MountChange, 'member' | 'end' | 'axis'>,
): string {
  const partner = partnerOf(member);
  const pair =
    partner && rig.members.some(({ id }) => id === partner) ? groupName([member, partner], rig.end) : null;
  const mount = mountsOf(rig, member).find(({ key }) => key === end);
  return `${capital(pair ?? memberName(member, rig.end))}, ${mount?.name.toLowerCase() ?? end}: ${DIRECTIONS[axis]}`;
}
