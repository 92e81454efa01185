'use client';
import { Checkbox, Select } from 'antd';
import { bracketPlate } from '@/core/cut/flatParts';
import { boltFor } from '@/core/fabricate/boltStack';
import { foldedDrawing } from '@/core/fabricate/plates/folded';
import { foldedFault } from '@/core/fabricate/plates/foldedShape';
import { sayLength } from '@/core/units/length';
import { withParts } from '@/core/job/edits/parts/parts';
import { fastenedTo } from '@/core/job/made/bracketRoot';
import { type LinkEnd, saidOfBracket } from '@/core/job/made/parts';
import { bracketOf, foldedOf, forkAt, stackOf, type Bracket } from '@/core/job/made/bracketParts';
import { eyeOut, type OldBracket } from '@/core/job/made/oldBracket';
import type { BracketPart } from '@/core/job/slices/parts';
import { sayBoltBy } from '@/core/materials/boltSize';
import { METAL_NAMES, METALS, type MetalName } from '@/core/materials/metals';
import type { LinkMember } from '@/core/rig/members/link';
import { boltWayIn, sayBoltWay } from '@/core/prove/faults/boltWays';
import { edit, enter, useJob } from '@/store/jobStore';
import { GradeField } from '@/ui/fields/GradeField';
import { LengthField } from '@/ui/fields/LengthField';
import { FlatPicture } from '@/ui/flat/FlatPicture';
import { Pills } from '@/ui/cards/Pills';
import { BraceFields } from './BraceFields';
import { Carrier } from './Carrier';
import { HowItGoesOn } from './HowItGoesOn';

type LengthKey = keyof {
  [K in keyof Bracket as Bracket[K] extends number ? K : never]: true;
};
type Length = [key: Exclude<LengthKey, 'welded' | 'planes'>, label: string, least: number, most: number];

const PLATES: Length[] = [
  ['plate', 'Plate', 1, 50],
  ['width', 'Width at the hole', 5, 300],
  ['edge', 'Hole’s middle to the edge', 3, 200],
  ['depth', 'Depth where it is fastened', 5, 500],
  ['reach', 'Eye out from there', 0, 800],
];
const OVER: [key: keyof OldBracket, label: string, least: number, most: number][] = [
  ['high', 'Old one left, standing out', 3, 500],
  ['wide', 'Old one, width outside', 3, 300],
  ['lap', 'New plates lap it by', 3, 500],
];
const BOLT: Length[] = [
  ['bolt', 'Bolt', 4, 50],
  ['hole', 'Hole', 4, 60],
  ['middle', 'Ball or sleeve, width', 3, 200],
  ['spacer', 'Spacer on each side of it', 0, 80],
];

/** What a bracket is made of: its plates, its bolt, its weld, what is behind it. */
export function BracketFields({ part, link, end }: { part: string; link: LinkMember; end: LinkEnd }) {
  const job = useJob();
  const bracket = bracketOf(job, link, end);
  const put = (change: BracketPart) => edit((j) => withParts(j, { brackets: { [part]: change } }));
  const type = (field: string, text: string | null, change: BracketPart) =>
    enter(`parts/${part}/${field}`, text, (j) => withParts(j, { brackets: { [part]: change } }));
  const length = ([key, label, least, most]: Length) => (
    <LengthField
      key={key}
      field={`parts/${part}/${key}`}
      label={label}
      showLabel
      mm={key === 'reach' ? eyeOut(bracket) : bracket[key]}
      least={least}
      most={most}
      onEnter={(mm, typed) => type(key, typed, { [key]: mm })}
    />
  );
  const stack = stackOf(job, link, end);
  const bolt = boltFor(stack);
  const fork = forkAt(job, link, end);
  const bent = foldedOf(job, link, end);
  const folded = bent && !foldedFault(bent) ? bent : null;
  const { over } = saidOfBracket(job, part);
  const way = boltWayIn(job)(link, end);
  const say = (mm: number) => sayLength(mm, job.tape);
  const rail = fastenedTo(job, link, end) === 'rail';
  return (
    <div className="prove-fields">
      {folded ? (
        <FlatPicture drawing={foldedDrawing(folded)} name="Its plates and web laid flat, with their folds" />
      ) : (
        <FlatPicture drawing={bracketPlate(job, link, end)} name="One of its plates, as it is cut" />
      )}
      <label>
        <span className="length-label">Metal</span>
        <Select<MetalName>
          aria-label="Metal"
          value={bracket.metal}
          onChange={(metal) => put({ metal })}
          options={METAL_NAMES.map((name) => ({ value: name, label: METALS[name].name }))}
        />
      </label>
      {PLATES.map(length)}
      <Pills<'flat' | 'round' | 'over'>
        legend="It sits on"
        options={[
          ...(rail ? [] : [{ value: 'round' as const, label: 'a round tube' }]),
          { value: 'flat', label: rail ? 'the rail' : 'a flat face' },
          { value: 'over', label: 'what is left of an old bracket' },
        ]}
        value={bracket.over ? 'over' : bracket.seat ? 'round' : 'flat'}
        onPick={(on) =>
          put(on === 'over' ? { over: {} } : { over: undefined, ...(!rail && { seat: { on } }) })
        }
      />
      {bracket.over && (
        <>
          {OVER.map(([key, label, least, most]) => (
            <LengthField
              key={key}
              field={`parts/${part}/over/${key}`}
              label={label}
              showLabel
              mm={bracket.over![key]}
              least={least}
              most={most}
              onEnter={(mm, typed) => type(`over/${key}`, typed, { over: { ...over, [key]: mm } })}
            />
          ))}
          <p className="hint">
            Cut it off square, grind it bare, and look it and its own weld over for cracks: neither is proved
            here. Whether it may be built on at all is for a qualified welder to say.
          </p>
        </>
      )}
      {bracket.seat && (
        <LengthField
          field={`parts/${part}/seat`}
          label="Diameter of that tube"
          showLabel
          mm={bracket.seat.od}
          least={10}
          most={300}
          onEnter={(od, typed) => type('seat', typed, { seat: { on: 'round', od } })}
        />
      )}
      {fork ? (
        <p className="hint">One plate, between the two of the bar’s fork.</p>
      ) : (
        <>
          <Checkbox
            checked={bracket.planes === 2}
            onChange={(e) => put({ planes: e.target.checked ? 2 : 1 })}
          >
            plates on both sides of the eye
          </Checkbox>
          <Checkbox
            checked={bracket.boxed}
            disabled={bracket.planes === 1}
            onChange={(e) => put({ boxed: e.target.checked })}
          >
            boxed by a web
          </Checkbox>
          {bracket.boxed && bracket.planes === 2 && !bracket.seat && (
            <Checkbox
              checked={bracket.bend !== null}
              onChange={(e) => put({ bend: e.target.checked ? bracket.plate : undefined })}
            >
              plates and web folded from one
            </Checkbox>
          )}
          {bracket.bend !== null && (
            <LengthField
              field={`parts/${part}/bend`}
              label="Inside radius of its folds"
              showLabel
              mm={bracket.bend}
              least={0}
              most={50}
              onEnter={(bend, typed) => type('bend', typed, { bend })}
            />
          )}
        </>
      )}
      {BOLT.filter(([key]) => !fork || key !== 'middle').map(length)}
      <GradeField label="Bolt’s grade" grade={bracket.grade} onPick={(grade) => put({ grade })} />
      <Checkbox checked={bracket.threaded} onChange={(e) => put({ threaded: e.target.checked })}>
        thread lies in a tab
      </Checkbox>
      <p className="hint" data-bolt>
        Bolt {sayBoltBy(bracket.bolt, bolt.length)}: it clamps {say(bolt.grip)}, its thread begins past the
        last tab
        {bolt.extraWashers > 0 &&
          `, its nut wants ${bolt.extraWashers} washer${bolt.extraWashers > 1 ? 's' : ''} more to have thread`}
        . {way && sayBoltWay(way, job)} Where a part goes over it later, its head is what that covers, not its
        nut.
      </p>
      <HowItGoesOn part={part} member={link.id} end={end} bracket={bracket} />
      {end === 'chassis' && <Carrier part={part} link={link} />}
      {rail && length(['wall', 'Wall of the rail', 0.5, 30])}
      {rail && length(['backing', 'Backing plate on it', 0, 30])}
      {rail && <BraceFields part={part} link={link} bracket={bracket} />}
    </div>
  );
}
