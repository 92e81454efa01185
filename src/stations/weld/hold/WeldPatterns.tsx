'use client';
import { bracketOf } from '@/core/job/made/bracketParts';
import { LINK_ENDS } from '@/core/job/made/parts';
import { linksOf } from '@/core/rig/members/members';
import { weldPattern, type WeldPattern } from '@/core/weld/weldPattern';
import { bungWelds, type BungWeld } from '@/core/weld/endWeld';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { useJob } from '@/store/jobStore';
import { BungPicture } from './BungPicture';

const END_WORDS = { chassis: 'Frame bracket', axle: 'Axle bracket' } as const;
const WIDE = 360;
const EDGE = 14;
const PLATE = 18;
const ROW = 70;

/** How each bracket of a bar is welded on: its runs in their order, seen from the eye down on the plates' feet. */
export function WeldPatterns({ member }: { member: string }) {
  const job = useJob();
  const link = linksOf(job.rig).find(({ id }) => id === member);
  if (!link) return null;
  const welded = LINK_ENDS.map((end) => ({ end, bracket: bracketOf(job, link, end) })).filter(
    ({ bracket }) => !bracket.bolted,
  );
  const bungs = bungWelds(job, member);
  return (
    <section className="section" data-part="weld-patterns">
      {welded.map(({ end, bracket }) => {
        const pattern = weldPattern(bracket);
        return (
          <figure key={end} className="weld-pattern">
            <figcaption>
              <b>{END_WORDS[end]}:</b> {pattern.runs.length} runs of about{' '}
              {sayLength(pattern.length / pattern.runs.length, job.tape)}
              {pattern.gap > 1 ? `, ${sayLength(pattern.gap, job.tape)} between` : ', one beside the other'};
              fillet {sayLength(bracket.leg, job.tape)}; in the order written, cooled to the hand between;
              both ends of each plate closed last. Measured again after it.
            </figcaption>
            <Picture pattern={pattern} />
          </figure>
        );
      })}
      {bungs.map((weld) => (
        <figure key={weld.ends.join()} className="weld-pattern">
          <figcaption>
            <b>{bungsOf(weld)}:</b> {sayBung(weld, job.tape)}
          </figcaption>
          <BungPicture weld={weld} tape={job.tape} />
        </figure>
      ))}
      {welded.length > 0 && (
        <p className="hint">
          A bracket on a rail’s own edge, or on thin wall: backing plate, or plug welds through half-inch
          holes beside the seams. Common practice; no published source.
        </p>
      )}
    </section>
  );
}

const BUNG_ENDS = { frame: 'Bung at the frame end', axle: 'Bung at the axle end' } as const;
const bungsOf = ({ ends }: BungWeld): string => (ends.length > 1 ? 'Both bungs' : BUNG_ENDS[ends[0]!]);

const sayBung = ({ seam, plugs }: BungWeld, tape: Tape): string => {
  const round = `seam all round, ${sayLength(seam, tape)}, in four quarters, each across from the one before`;
  const through = plugs
    ? `${plugs.count} plugs through the tube, across from each other, in ${sayLength(plugs.hole, tape)} holes ${sayLength(plugs.fromFace, tape)} from its face`
    : 'too short in the tube for plugs';
  return `${round}; ${through}. The rod end stays screwed in while it is welded and cools, and takes the heat off the thread; wound out and in again after it, else the thread is chased with a tap.`;
};

function Picture({ pattern: { runs, depth, plates } }: { pattern: WeldPattern }) {
  const x = (mm: number) => EDGE + (mm / depth) * (WIDE - 2 * EDGE);
  const high = plates * ROW + 10;
  const top = (plate: number) => 26 + plate * ROW;
  return (
    <svg viewBox={`0 0 ${WIDE} ${high}`} role="img" aria-label={`${runs.length} runs of weld in their order`}>
      {Array.from({ length: plates }, (_, plate) => (
        <rect key={plate} className="foot" x={x(0)} y={top(plate)} width={x(depth) - x(0)} height={PLATE} />
      ))}
      {runs.map(({ plate, face, from, to, order }) => {
        // The outer faces look away from each other.
        const above = (face === 'out') === (plate === 0);
        const y = above ? top(plate) - 3 : top(plate) + PLATE + 3;
        return (
          <g key={order}>
            <line className="run" x1={x(from) + 2} x2={x(to) - 2} y1={y} y2={y} />
            <text x={(x(from) + x(to)) / 2} y={above ? y - 6 : y + 15} textAnchor="middle">
              {order}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
