'use client';
import { Checkbox } from 'antd';
import type { BarEnd } from '@/core/fabricate/adjustableBar';
import { boltFor } from '@/core/fabricate/boltStack';
import { clipPinFor } from '@/core/fabricate/clipPin';
import { withAlike } from '@/core/job/edits/parts/parts';
import { endLinkOf, LINK_PINS, madeUpLink, type LinkPin, type LinkPinAt } from '@/core/job/made/sway/endLink';
import type { Parts } from '@/core/job/slices/parts';
import { boltSystem, sayBolt, sayBoltBy, sayDrill } from '@/core/materials/boltSize';
import { sayLength } from '@/core/units/length';
import { edit, enter, useJob } from '@/store/jobStore';
import { GradeField } from '@/ui/fields/GradeField';
import { LengthField } from '@/ui/fields/LengthField';
import { SectionFields } from './SectionFields';
import { ThreadField } from './ThreadField';

type EndLinkPart = NonNullable<Parts['endLink']>;

const END: [key: keyof BarEnd, label: string, least: number, most: number][] = [
  ['toShoulder', 'Centre to shoulder', 5, 150],
  ['showing', 'Thread left showing', 0, 100],
  ['shank', 'Thread on the shank', 5, 200],
  ['bung', 'Thread in the tube', 5, 200],
];
const PIN: [key: 'bolt' | 'plate' | 'middle' | 'spacer', label: string, least: number, most: number][] = [
  ['bolt', 'Bolt', 4, 40],
  ['plate', 'Plate it goes through', 1, 60],
  ['middle', 'Joint, width', 3, 120],
  ['spacer', 'Spacer on each side of it', 0, 60],
];
const AT: Record<LinkPinAt, string> = { bar: 'At the bar', foot: 'At its foot' };

/** What the sway bar's end links are made of, and what both ends of each turn on. */
export function EndLinkFields() {
  const job = useJob();
  const of = endLinkOf(job);
  if (!of) return null;
  const put = (change: EndLinkPart) => edit((j) => withAlike(j, 'endLink', change));
  const type = (field: string, typed: string, change: EndLinkPart) =>
    enter(`parts/endLink/${field}`, typed, (j) => withAlike(j, 'endLink', change));
  const say = (mm: number) => sayLength(mm, job.tape);
  return (
    <div className="prove-fields">
      <SectionFields
        stem="parts/endLink"
        section={of.section}
        metal={of.metal}
        shapes={['tube', 'solid']}
        onPut={put}
        onType={(key, typed, section) => type(key, typed, { section })}
      />
      <ThreadField thread={of.thread} onPick={(thread) => put({ thread })} />
      {END.map(([key, label, least, most]) => (
        <LengthField
          key={key}
          field={`parts/endLink/end/${key}`}
          label={label}
          showLabel
          mm={of.end[key]}
          least={least}
          most={most}
          onEnter={(mm, typed) => type(`end/${key}`, typed, { end: { ...of.end, [key]: mm } })}
        />
      ))}
      <p className="hint" data-end-link>
        {of.lengths
          .map((length) => `Eye to eye ${say(length)}, tube ${say(madeUpLink(of, length).tubeLength)}`)
          .join('; ')}
        . How long they are and which joints they have is told at Roll.
      </p>
      {LINK_PINS.map((at) => (
        <PinFields key={at} at={at} pin={of.pins[at]} say={say} />
      ))}
    </div>
  );
}

/** What one end of the links turns on. */
function PinFields({ at, pin, say }: { at: LinkPinAt; pin: LinkPin; say: (mm: number) => string }) {
  const withPin = (change: Partial<LinkPin>) => (j: ReturnType<typeof useJob>) =>
    withAlike(j, 'endLink', { [at]: { ...j.parts.endLink?.[at], ...change } });
  return (
    <fieldset className="link-pin" data-pin={at}>
      <legend>{AT[at]}</legend>
      {PIN.map(([key, label, least, most]) => (
        <LengthField
          key={key}
          field={`parts/endLink/${at}/${key}`}
          label={label}
          showLabel
          mm={pin[key]}
          least={least}
          most={most}
          onEnter={(mm, typed) => enter(`parts/endLink/${at}/${key}`, typed, withPin({ [key]: mm }))}
        />
      ))}
      <GradeField label="Its grade" grade={pin.grade} onPick={(grade) => edit(withPin({ grade }))} />
      <Checkbox
        checked={pin.planes === 2}
        onChange={(e) => edit(withPin({ planes: e.target.checked ? 2 : 1 }))}
      >
        plates on both sides of the joint
      </Checkbox>
      <Checkbox checked={pin.clip} onChange={(e) => edit(withPin({ clip: e.target.checked }))}>
        held by a clip, to come off by hand
      </Checkbox>
      <p className="hint">{pin.clip ? sayClip(pin, say) : sayNut(pin)}</p>
    </fieldset>
  );
}

const sayNut = (pin: LinkPin): string =>
  `Bolt ${sayBoltBy(pin.bolt, boltFor(pin).length)}, with a locking nut.`;

function sayClip(stack: LinkPin, say: (mm: number) => string): string {
  const { kind, diameter, toHole, length, hole, tail } = clipPinFor(stack);
  const drilled = `its clip’s hole, ${sayDrill(hole, boltSystem(diameter))}, ${say(toHole)} from its ${kind === 'stud' ? 'shoulder' : 'head'}; ${say(length)} to its end`;
  return kind === 'stud'
    ? `A stud, ${sayBolt(diameter)}: ${drilled}; a threaded tail of ${say(tail)} through its plate. A washer on both sides of the joint.`
    : `A pin with a head, ${sayBolt(diameter)}: ${drilled}. A washer under the clip.`;
}
