'use client';
import { Checkbox, Select } from 'antd';
import { boltFor } from '@/core/fabricate/boltStack';
import { tabDrawing } from '@/core/fabricate/plates';
import { systemOf } from '@/core/units/tape';
import { sayLength } from '@/core/units/length';
import { withParts } from '@/core/job/edits/parts';
import { bracketOf, fastenedTo, type Bracket, tabOf } from '@/core/job/bracketParts';
import { type LinkEnd } from '@/core/job/parts';
import type { BracketPart } from '@/core/job/slices/parts';
import {
  BOLT_GRADE_NAMES,
  BOLT_GRADES,
  ELECTRODE_NAMES,
  ELECTRODES,
  METAL_NAMES,
  METALS,
  type BoltGrade,
  type Electrode,
  type MetalName,
} from '@/core/materials/metals';
import type { LinkMember } from '@/core/rig/members/link';
import { edit, enter, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { FlatPicture } from '@/ui/flat/FlatPicture';
import { Pills } from '@/ui/cards/Pills';
import { BraceFields } from './BraceFields';

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
      mm={bracket[key]}
      least={least}
      most={most}
      onEnter={(mm, typed) => type(key, typed, { [key]: mm })}
    />
  );
  const bolt = boltFor(bracket, systemOf(job.tape));
  const say = (mm: number) => sayLength(mm, job.tape);
  const rail = fastenedTo(job, link, end) === 'rail';
  return (
    <div className="prove-fields">
      <FlatPicture drawing={tabDrawing(tabOf(job, link, end))} name="One of its plates, as it is cut" />
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
      {!rail && (
        <Pills<'flat' | 'round'>
          legend="It sits on"
          options={[
            { value: 'round', label: 'a round tube' },
            { value: 'flat', label: 'a flat face' },
          ]}
          value={bracket.seat ? 'round' : 'flat'}
          onPick={(on) => put({ seat: { on } })}
        />
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
      <Checkbox checked={bracket.planes === 2} onChange={(e) => put({ planes: e.target.checked ? 2 : 1 })}>
        plates on both sides of the eye
      </Checkbox>
      <Checkbox
        checked={bracket.boxed}
        disabled={bracket.planes === 1}
        onChange={(e) => put({ boxed: e.target.checked })}
      >
        boxed by a web
      </Checkbox>
      {BOLT.map(length)}
      <label>
        <span className="length-label">Bolt’s grade</span>
        <Select<BoltGrade>
          aria-label="Bolt’s grade"
          value={bracket.grade}
          onChange={(grade) => put({ grade })}
          options={BOLT_GRADE_NAMES.map((name) => ({ value: name, label: BOLT_GRADES[name].name }))}
        />
      </label>
      <Checkbox checked={bracket.threaded} onChange={(e) => put({ threaded: e.target.checked })}>
        thread lies in a tab
      </Checkbox>
      <p className="hint" data-bolt>
        Bolt {say(bracket.bolt)} × {say(bolt.length)}: it clamps {say(bolt.grip)}, its thread begins past the
        last tab
        {bolt.extraWashers > 0 &&
          `, its nut wants ${bolt.extraWashers} washer${bolt.extraWashers > 1 ? 's' : ''} more to have thread`}
        . Head where a later spacer does not cover it; room for two wrenches.
      </p>
      {length(['leg', 'Leg of the fillet', 1, 30])}
      <NumberField
        field={`parts/${part}/welded`}
        label="Of its length welded"
        showLabel
        value={100 * bracket.welded}
        least={5}
        most={100}
        unit="%"
        decimals={0}
        onEnter={(value, typed) => type('welded', typed, { welded: value / 100 })}
      />
      <label>
        <span className="length-label">Wire or rod</span>
        <Select<Electrode>
          aria-label="Wire or rod"
          value={bracket.electrode}
          onChange={(electrode) => put({ electrode })}
          options={ELECTRODE_NAMES.map((name) => ({ value: name, label: ELECTRODES[name].name }))}
        />
      </label>
      {rail && length(['wall', 'Wall of the rail', 0.5, 30])}
      {rail && length(['backing', 'Backing plate on it', 0, 30])}
      {rail && <BraceFields part={part} link={link} bracket={bracket} />}
    </div>
  );
}
