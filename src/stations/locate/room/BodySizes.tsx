'use client';
import { withBody, type BodyKey } from '@/core/job/edits/bodies';
import { BODY_SIZE_NAMES, BODY_SIZES, USUAL_LOCK, usualSize, type BodySize } from '@/core/job/bodySizes';
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

/** Sizes that count to one side. */
const SIDEWAYS: Partial<Record<BodySize, readonly [string, string]>> = { centreLeft: ['left', 'right'] };

function SizeField({ size }: { size: BodySize }) {
  const tape = useJobPart((j) => j.tape);
  const mm = useJobPart((j) => j.bodies[size] ?? null);
  const usual = useJobPart((j) => usualSize(j.rig, size));
  const { part, name, least, most } = BODY_SIZES[size];
  return (
    <LengthField
      field={`bodies/${size}`}
      label={capital(`${part}, ${name}`)}
      showLabel
      mm={mm}
      least={least}
      most={most}
      ways={SIDEWAYS[size]}
      placeholder={`usually ${formatLength(usual, tape)}`}
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

const RATES = [
  ['armAlong', 'Arm, along the car'],
  ['armAcross', 'Arm, across it'],
  ['armUp', 'Arm, up and down'],
] as const;

const rigidArm = ({ rig }: Job): RigidArm | null => rig.members.find((m) => m.type === 'rigid-arm') ?? null;

const leafOf = ({ rig }: Job): Leaf | null => rig.members.find((m) => m.type === 'leaf') ?? null;

/** A worked-out figure, in the field's own unit. */
const about = (unit: Unit, value: number, tape: Tape): string =>
  `about ${unit.say(value, tape).replace(` ${unit.sign(tape)}`, '')}`;

/** How arms rigid to the axle give at their front joint, and the axle's tube between them: worked out from their sizes, or typed. */
export function ArmsGive() {
  const tape = useJobPart((j) => j.tape);
  const arm = useJobPart(rigidArm);
  const leaf = useJobPart(leafOf);
  const torsion = useJobPart((j) => j.rig.axleTorsion ?? null);
  const typed = useJobPart((j) => j.bodies);
  if (torsion === null) return null;
  const rates = arm && Array.isArray(arm.rate) ? arm.rate : null;
  return (
    <section className="section">
      <h2>How they give</h2>
      <div className="two-up">
        {rates &&
          RATES.map(([key, label], k) => (
            <NumberField
              key={key}
              field={`bodies/${key}`}
              label={label}
              showLabel
              value={typed[key] === undefined ? null : SPRING_RATE.shown(typed[key], tape)}
              least={1}
              most={1e6}
              unit={SPRING_RATE.sign(tape)}
              decimals={0}
              placeholder={about(SPRING_RATE, rates[k]!, tape)}
              onEnter={(shown, text) => put(key, SPRING_RATE.read(shown, tape), text)}
              onClear={() => put(key, null, null)}
            />
          ))}
        {leaf && (
          <>
            <NumberField
              field="bodies/leafAcross"
              label="Leaf spring, sideways"
              showLabel
              value={typed.leafAcross === undefined ? null : SPRING_RATE.shown(typed.leafAcross, tape)}
              least={1}
              most={1e6}
              unit={SPRING_RATE.sign(tape)}
              decimals={0}
              placeholder={about(SPRING_RATE, leaf.lateralRate, tape)}
              onEnter={(shown, text) => put('leafAcross', SPRING_RATE.read(shown, tape), text)}
              onClear={() => put('leafAcross', null, null)}
            />
            <NumberField
              field="bodies/leafWindup"
              label="Leaf spring, wound up"
              showLabel
              value={typed.leafWindup === undefined ? null : TWIST_RATE.shown(typed.leafWindup, tape)}
              least={1}
              most={1e9}
              unit={TWIST_RATE.sign(tape)}
              decimals={0}
              placeholder={about(TWIST_RATE, leaf.windupRate, tape)}
              onEnter={(shown, text) => put('leafWindup', TWIST_RATE.read(shown, tape), text)}
              onClear={() => put('leafWindup', null, null)}
            />
          </>
        )}
        <NumberField
          field="bodies/axleTorsion"
          label="Axle tube, twisted wheel to wheel"
          showLabel
          value={typed.axleTorsion === undefined ? null : TWIST_RATE.shown(typed.axleTorsion, tape)}
          least={1}
          most={1e9}
          unit={TWIST_RATE.sign(tape)}
          decimals={0}
          placeholder={about(TWIST_RATE, torsion, tape)}
          onEnter={(shown, text) => put('axleTorsion', TWIST_RATE.read(shown, tape), text)}
          onClear={() => put('axleTorsion', null, null)}
        />
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
