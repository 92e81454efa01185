'use client';
import { Button, Select } from 'antd';
import {
  isBend,
  isFeet,
  isMount,
  MOST_FREE,
  type Free,
  type FreeFeet,
  type FreeMount,
} from '@/core/choose/brief';
import { holesKey } from '@/core/job/made/bracketHoles';
import { coordinateNow, mountsOf, type MountChange } from '@/core/rig/mounts';
import { isLink } from '@/core/rig/members/members';
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
  const put = (i: number, change: FreeMount | FreeFeet) => onChange(free.with(i, change));
  const taken = new Set(free.map(keyOf));
  const moves = movesOf(job).filter((one) => !taken.has(keyOf(one)));
  return (
    <section className="section">
      <h2>What may move</h2>
      {free.map((one, i) => (
        <fieldset key={keyOf(one)} className="find-row" data-free={keyOf(one)}>
          <legend>{labelOf(job, one)}</legend>
          {!isByTape(job, one) ? (
            <p className="hint">{heldTo(job, one)}</p>
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
      ))}
      {moves.length > 0 && free.length < MOST_FREE && (
        <Select<string | null>
          aria-label="Something that may move"
          placeholder="Something that may move…"
          showSearch
          optionFilterProp="label"
          value={null}
          options={moves.map((one) => ({ value: keyOf(one), label: labelOf(job, one) }))}
          onChange={(key) => onChange([...free, ...moves.filter((one) => keyOf(one) === key)])}
        />
      )}
    </section>
  );
}

function keyOf(free: Free): string {
  if (isBend(free)) return `bend/${free.bend}`;
  if (isFeet(free)) return `swayBar/feet/${free.axis}`;
  return isMount(free) ? `${free.member}/${free.end}/${free.axis}` : `swayBar/${free.swayBar}`;
}

function labelOf(job: Job, free: Free): string {
  if (isBend(free)) return `${ownerName(job, free.bend)}: bent clear`;
  if (isFeet(free)) return `Sway bar, feet of its links: ${FEET[free.axis]}`;
  return isMount(free) ? nameOf(job, free) : 'Sway bar: hole';
}

/** Whether something moves by the tape, from one place to another. */
const isByTape = (job: Job, free: Free): free is FreeMount | FreeFeet =>
  isFeet(free) || (isMount(free) && holesOf(job, free) === null);

const FEET = ['ahead of their eyes', 'outboard of their eyes'] as const;

/** What it is held to, of what does not move by the tape. */
function heldTo(job: Job, free: Free): string {
  return isBend(free)
    ? 'Where it comes too near to something, its middle is bent out of the way, no farther than that takes. Its eyes stay.'
    : `In its ${isMount(free) ? holesOf(job, free) : job.roll.bar?.holes} holes.`;
}

/** How many holes a mount has to choose between; null where it moves by the tape. */
function holesOf({ holes }: Job, { member, end, axis }: FreeMount): number | null {
  const row = axis === 2 ? holes[holesKey(member, end)] : undefined;
  return row?.count ?? null;
}

/** As far either way as there is room, from a line of the tape to a line of it. */
function about(tape: Tape, now: number): { from: number; to: number } {
  const room = roomOf(tape);
  return { from: snap(now - room, tape), to: snap(now + room, tape) };
}

const hasPartner = ({ rig }: Job, member: string): boolean =>
  rig.members.some(({ id }) => id === partnerOf(member));

/**
 * Every direction of every mount, pairs once, heights first; the sway bar's holes and feet; and bars that may be bent. Each as far as there is
 * room, and its mirror image with it.
 */
function movesOf(job: Job): Free[] {
  const { rig, tape } = job;
  const members = rig.members.filter(({ id }) => !(id.endsWith('-right') && hasPartner(job, id)));
  const mounts = ([2, 0, 1] as const).flatMap((axis) =>
    members.flatMap(({ id }) =>
      mountsOf(rig, id).map(({ key }): Free => {
        const at = { member: id, end: key as FreeMount['end'], axis };
        return { ...at, ...about(tape, coordinateNow(rig, at) ?? 0), alike: hasPartner(job, id) };
      }),
    ),
  );
  const bends = members.filter(isLink).map(({ id }): Free => ({ bend: id, alike: hasPartner(job, id) }));
  return [...mounts, ...swayBarMoves(job), ...bends];
}

function swayBarMoves({ roll: { bar }, tape }: Job): Free[] {
  if (!bar?.hooked) return [];
  return [
    ...(bar.holes > 1 ? [{ swayBar: 'hole' as const }] : []),
    { swayBar: 'feet', axis: 1, ...about(tape, bar.foot.out) },
    { swayBar: 'feet', axis: 0, ...about(tape, bar.foot.ahead) },
  ];
}

export function nameOf(
  job: Job,
  { member, end, axis }: Pick<MountChange, 'member' | 'end' | 'axis'>,
): string {
  const mount = mountsOf(job.rig, member).find(({ key }) => key === end);
  return `${ownerName(job, member)}, ${mount?.name.toLowerCase() ?? end}: ${DIRECTIONS[axis]}`;
}

/** What a member is called, together with its mirror image where it has one. */
function ownerName({ rig }: Job, member: string): string {
  const partner = partnerOf(member);
  const pair =
    partner && rig.members.some(({ id }) => id === partner) ? groupName([member, partner], rig.end) : null;
  return capital(pair ?? memberName(member, rig.end));
}
