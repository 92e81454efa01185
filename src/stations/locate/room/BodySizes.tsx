'use client';
import { withBody, type BodyKey } from '@/core/job/edits/bodies';
import {
  BODY_SIZE_NAMES,
  BODY_SIZES,
  USUAL_LOCK,
  usualSize,
  type BodySize,
} from '@/core/job/bodies/bodySizes';
import type { Job } from '@/core/job/jobSchema';
import { lockOf } from '@/core/job/jobValues';
import type { Leaf } from '@/core/rig/members/leaf';
import type { RigidArm } from '@/core/rig/members/rigidArm';
import { capital } from '@/core/rig/names';
import { formatLength } from '@/core/units/length';
import { SPRING_RATE, TWIST_RATE, type Unit } from '@/core/units/unit';
import type { Tape } from '@/core/units/tape';
import { enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';

const put = (key: BodyKey, value: number | null, typed: string | null) =>
  enter(`bodies/${key}`, typed, (j) => withBody(j, key, value));

/** How thick everything under the car is: what nobody has typed is reckoned as it usually is, and shown so. */
export function BodySizes() {
  const rig = useJobPart((j) => j.rig);
  const lock = useJobPart(lockOf);
  const asked = BODY_SIZE_NAMES.filter((size) => BODY_SIZES[size].has(rig));
  return (
    <section className="section">
      <h2>How thick things are</h2>
      <div className="two-up">
        {asked.map((size) => (
          <SizeField key={size} size={size} />
        ))}
        {lock !== null && <LockField />}
      </div>
      <p className="hint">
        Figures in grey are usual ones, not this car’s: measure what comes near. Tyres, axle tube and cover
        come from Record, springs and shocks from Roll; bars are as thick as they are on the saw.
      </p>
    </section>
  );
}

/** Sizes that count one way or the other. */
const WAYS: Partial<Record<BodySize, readonly [string, string]>> = {
  centreLeft: ['left', 'right'],
  tieRodAhead: ['ahead', 'behind'],
  tieRodUp: ['above', 'below'],
};

/** A usual size, with the word for its way where it counts one way or the other. */
function sayUsual(mm: number, tape: Tape, ways?: readonly [string, string]): string {
  const way = ways && mm !== 0 ? ` ${ways[mm > 0 ? 0 : 1]}` : '';
  return `usually ${formatLength(ways ? Math.abs(mm) : mm, tape)}${way}`;
}

function SizeField({ size }: { size: BodySize }) {
  const tape = useJobPart((j) => j.tape);
  const usual = useJobPart((j) => usualSize(j.rig, size));
  const mm = useJobPart((j) => j.bodies[size] ?? (j.accepted?.[`size.${size}`] ? usual : null));
  const { part, name, least, most } = BODY_SIZES[size];
  return (
    <LengthField
      field={`bodies/${size}`}
      label={capital(`${part}, ${name}`)}
      showLabel
      mm={mm}
      least={least}
      most={most}
      ways={WAYS[size]}
      placeholder={sayUsual(usual, tape, WAYS[size])}
      onEnter={(value, typed) => put(size, value, typed)}
      onClear={() => put(size, null, null)}
    />
  );
}

function LockField() {
  const lock = useJobPart((j) => j.bodies.lock ?? null);
  return (
    <NumberField
      field="bodies/lock"
      label="Front wheels steer, each way"
      showLabel
      value={lock}
      least={5}
      most={60}
      unit="°"
      decimals={0}
      placeholder={`usually ${USUAL_LOCK}°`}
      onEnter={(deg, typed) => put('lock', deg, typed)}
      onClear={() => put('lock', null, null)}
    />
  );
}

const rigidArm = ({ rig }: Job): RigidArm | null => rig.members.find((m) => m.type === 'rigid-arm') ?? null;

const leafOf = ({ rig }: Job): Leaf | null => rig.members.find((m) => m.type === 'leaf') ?? null;

/** A worked-out figure, in the field's own unit. */
const about = (unit: Unit, value: number, tape: Tape): string =>
  `about ${unit.say(value, tape).replace(` ${unit.sign(tape)}`, '')}`;

type GiveProps = {
  size: 'armAlong' | 'armAcross' | 'armUp' | 'leafAcross' | 'leafWindup' | 'axleTorsion';
  label: string;
  unit: Unit;
  /** what is reckoned with, in the core's unit */
  now: number;
  most: number;
};

/** A stiffness: worked out from sizes, or typed over. */
function GiveField({ size, label, unit, now, most }: GiveProps) {
  const tape = useJobPart((j) => j.tape);
  const typed = useJobPart((j) => j.bodies[size]);
  return (
    <NumberField
      field={`bodies/${size}`}
      label={label}
      showLabel
      value={typed === undefined ? null : unit.shown(typed, tape)}
      least={1}
      most={most}
      unit={unit.sign(tape)}
      decimals={0}
      placeholder={about(unit, now, tape)}
      onEnter={(shown, text) => put(size, unit.read(shown, tape), text)}
      onClear={() => put(size, null, null)}
    />
  );
}

const RATE = { unit: SPRING_RATE, most: 1e6 };
const TWIST = { unit: TWIST_RATE, most: 1e9 };

/** How arms rigid to the axle give at their front joint, and the axle's tube between them: worked out from their sizes, or typed. */
export function ArmsGive() {
  const arm = useJobPart(rigidArm);
  const leaf = useJobPart(leafOf);
  const torsion = useJobPart((j) => j.rig.axleTorsion ?? null);
  if (torsion === null) return null;
  const rates = arm && Array.isArray(arm.rate) ? arm.rate : null;
  return (
    <section className="section">
      <h2>How they give</h2>
      <div className="two-up">
        {rates && (
          <>
            <GiveField size="armAlong" label="Arm, along the car" now={rates[0]} {...RATE} />
            <GiveField size="armAcross" label="Arm, across it" now={rates[1]} {...RATE} />
            <GiveField size="armUp" label="Arm, up and down" now={rates[2]} {...RATE} />
          </>
        )}
        {leaf && (
          <>
            <GiveField size="leafAcross" label="Leaf spring, sideways" now={leaf.lateralRate} {...RATE} />
            <GiveField size="leafWindup" label="Leaf spring, wound up" now={leaf.windupRate} {...TWIST} />
          </>
        )}
        <GiveField size="axleTorsion" label="Axle tube, twisted wheel to wheel" now={torsion} {...TWIST} />
      </div>
      <p className="hint">
        {rates
          ? 'Joint, arm as a beam, bracket and frame in a row, from the sizes above; the frame and the bracket are taken as usual. Rubber at the front, or a soft frame, gives more: type what you know.'
          : leaf
            ? 'Leaves from their pack, as it is told at Roll, with rubber eye bushings; the tube from its diameter and wall.'
            : 'From the tube’s diameter and wall, between brackets half the track apart.'}
      </p>
    </section>
  );
}
