'use client';
import { Checkbox } from 'antd';
import { usualBrace, withParts } from '@/core/job/edits/parts/parts';
import type { Bracket } from '@/core/job/made/bracketParts';
import type { Brace } from '@/core/job/slices/parts';
import type { LinkMember } from '@/core/rig/members/link';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';

const LENGTHS: [key: keyof Brace, label: string, least: number, most: number][] = [
  ['od', 'Brace, diameter', 5, 100],
  ['wall', 'Brace, wall', 0.5, 30],
  ['length', 'Brace, mark to mark', 50, 2500],
  ['at', 'Brace, out from the rail', 1, 800],
];

/** The brace from a frame bracket to the other rail, where there is one. */
export function BraceFields({ part, link, bracket }: { part: string; link: LinkMember; bracket: Bracket }) {
  const track = useJobPart((j) => j.rig.track);
  const { brace } = bracket;
  const put = (next: Brace | undefined) =>
    edit((j) => withParts(j, { brackets: { [part]: { brace: next } } }));
  return (
    <>
      <Checkbox
        checked={brace !== null}
        onChange={(e) => put(e.target.checked ? usualBrace(link, bracket, track) : undefined)}
      >
        braced to the other rail
      </Checkbox>
      {brace &&
        LENGTHS.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`parts/${part}/brace/${key}`}
            label={label}
            showLabel
            decimal={key === 'wall'}
            mm={brace[key]}
            least={least}
            most={key === 'wall' ? brace.od / 2 : most}
            onEnter={(mm, typed) =>
              enter(`parts/${part}/brace/${key}`, typed, (j) =>
                withParts(j, { brackets: { [part]: { brace: { ...brace, [key]: mm } } } }),
              )
            }
          />
        ))}
      {brace && (
        <p className="hint">
          Once both of its ends are fixed a brace cannot be turned: thread and slot have to take up a cut that
          is a quarter of an inch out before they are.
        </p>
      )}
    </>
  );
}
