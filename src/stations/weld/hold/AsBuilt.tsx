'use client';
import { Button } from 'antd';
import { sayEffects } from '@/core/advice/words';
import { BUILT_AXES, builtEye, withBuilt, withBuiltAsDesigned, type BuiltAxis } from '@/core/built/builtEyes';
import { raisedWhileSet } from '@/core/built/raisedWhileSet';
import { LINK_ENDS, type LinkEnd } from '@/core/job/made/parts';
import type { LinkMember } from '@/core/rig/members/link';
import { linksOf } from '@/core/rig/members/members';
import { sayLength } from '@/core/units/length';
import { edit, enter, useJob } from '@/store/jobStore';
import { QuantityField } from '@/ui/fields/QuantityField';
import { askBuilt } from '@/workers/choosing/search';
import { useAnswer } from '@/workers/useAnswer';

const LABELS: Record<BuiltAxis, string> = {
  ahead: 'from the axle',
  left: 'from the centreline',
  up: 'off the floor',
};
const WAYS: Record<BuiltAxis, readonly [string, string] | undefined> = {
  ahead: ['ahead', 'behind'],
  left: ['left', 'right'],
  up: undefined,
};
const OFF_WAYS: Record<BuiltAxis, readonly [string, string]> = {
  ahead: ['ahead', 'back'],
  left: ['to the left', 'to the right'],
  up: ['high', 'low'],
};
const ENDS: Record<LinkEnd, string> = { chassis: 'Frame end', axle: 'Axle end' };
const MOST = 3000;

/** Where the eyes of a bar came out, beside where they were drawn: whether that matters, and what takes it up. */
export function AsBuilt({ member }: { member: string }) {
  const job = useJob();
  const link = linksOf(job.rig).find(({ id }) => id === member);
  return link ? (
    <section className="section" data-part="as-built">
      <h2>As built</h2>
      <OnPaper link={link} />
      <p className="hint no-print">
        Middle of each eye, measured again once it is welded. Beside it, as drawn. What was not measured is
        taken as drawn.
      </p>
      {LINK_ENDS.map((end) => (
        <fieldset key={end} className="built-end no-print">
          <legend>{ENDS[end]}</legend>
          {BUILT_AXES.map((axis) => (
            <BuiltField key={axis} link={link} end={end} axis={axis} />
          ))}
        </fieldset>
      ))}
      <Matters link={link} />
    </section>
  ) : null;
}

/** On paper: where each eye is drawn, and where it came out, or a line to write that on. */
function OnPaper({ link }: { link: LinkMember }) {
  const job = useJob();
  const rows = LINK_ENDS.flatMap((end) =>
    BUILT_AXES.map((axis, k) => {
      const raised = axis === 'up' ? raisedWhileSet(job, link, end) : 0;
      const came = builtEye(job, link.id, end)[axis];
      const say = (mm: number) => sayLength(Math.abs(mm + (raised ?? 0)), job.tape) + wayOf(axis, mm);
      return {
        of: `${ENDS[end]}, ${LABELS[axis]}${raised === null ? ', as at ride height' : ''}`,
        drawn: say(link[end][k]!),
        came: came === undefined ? '________' : say(came),
      };
    }),
  );
  return (
    <table className="built-paper">
      <thead>
        <tr>
          <th scope="col">Middle of the eye</th>
          <th scope="col">Drawn</th>
          <th scope="col">Built</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ of, drawn, came }) => (
          <tr key={of}>
            <th scope="row">{of}</th>
            <td>{drawn}</td>
            <td>{came}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const wayOf = (axis: BuiltAxis, mm: number): string => {
  const ways = WAYS[axis];
  return ways ? ` ${ways[mm < 0 ? 1 : 0]}` : '';
};

type FieldProps = { link: LinkMember; end: LinkEnd; axis: BuiltAxis };

function BuiltField({ link, end, axis }: FieldProps) {
  const job = useJob();
  const raised = axis === 'up' ? raisedWhileSet(job, link, end) : 0;
  const designed = link[end][BUILT_AXES.indexOf(axis)]!;
  if (raised === null)
    return (
      <p className="hint">
        Off the floor: say at Place how high the frame stands on its stands, and it can be asked.
      </p>
    );
  const field = `built/${link.id}/${end}/${axis}`;
  const value = builtEye(job, link.id, end)[axis];
  return (
    <QuantityField
      field={field}
      label={LABELS[axis]}
      showLabel
      unit="length"
      least={-MOST}
      most={MOST}
      ways={WAYS[axis]}
      value={value === undefined ? null : value + raised}
      about={designed + raised}
      placeholder={sayLength(Math.abs(designed + raised), job.tape)}
      onEnter={(mm, typed) =>
        enter(field, typed, (j) =>
          withBuilt(j, link.id, end, axis, sided(mm, typed, axis, designed) - raised),
        )
      }
      onClear={() => enter(field, null, (j) => withBuilt(j, link.id, end, axis, null))}
    />
  );
}

/** A length without a side is on the side where it is drawn. */
const sided = (mm: number, typed: string, axis: BuiltAxis, designed: number): number =>
  WAYS[axis] && !/[a-z-]{4,}/i.test(typed) && designed < 0 ? -Math.abs(mm) : mm;

function Matters({ link }: { link: LinkMember }) {
  const job = useJob();
  const said = useAnswer(link.id, job, () => askBuilt(job, link));
  if (said === null) return null;
  if (typeof said === 'string') return <p className="field-problem">{said}</p>;
  const { off, effects, worse, cures } = said;
  const changed = sayEffects(effects, job.tape);
  if (off.length === 0) return <p data-part="matters">It came out where it was drawn.</p>;
  return (
    <div data-part="matters" className="matters">
      <p>
        {off
          .map(
            ({ end, axis, mm }) =>
              `${ENDS[end]} ${sayLength(Math.abs(mm), job.tape)} ${OFF_WAYS[axis][mm > 0 ? 0 : 1]}`,
          )
          .join('; ')}
        . {changed ? `It changes ${changed}.` : 'It changes nothing that counts.'}
      </p>
      {worse.length > 0 && <p className="changed">Worse for it: {worse.join('. ')}.</p>}
      {cures.length > 0 && (
        <ul>
          {cures.map((cure) => (
            <li key={cure}>{cure}</li>
          ))}
        </ul>
      )}
      <div className="tools no-print">
        <Button onClick={() => edit((j) => withBuiltAsDesigned(j, link))}>
          Take it as it is: read every result so
        </Button>
      </div>
    </div>
  );
}
