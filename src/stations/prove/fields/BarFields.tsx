'use client';
import { withParts } from '@/core/job/edits/parts/parts';
import { barOf, threadedEnds } from '@/core/job/made/parts';
import type { BarPart } from '@/core/job/slices/parts';
import { FORCE } from '@/core/units/unit';
import { edit, enter, useJob } from '@/store/jobStore';
import { NumberField } from '@/ui/fields/NumberField';
import { SectionFields } from './SectionFields';
import { ThreadField } from './ThreadField';

/** What a bar is made of: section, metal, thread; and what its rod ends' maker says of them. */
export function BarFields({ part }: { part: string }) {
  const job = useJob();
  const bar = barOf(job, part);
  const put = (change: BarPart) => edit((j) => withParts(j, { bars: { [part]: change } }));
  const type = (field: string, text: string | null, change: BarPart) =>
    enter(`parts/${part}/${field}`, text, (j) => withParts(j, { bars: { [part]: change } }));
  return (
    <div className="prove-fields">
      <SectionFields
        stem={`parts/${part}`}
        section={bar.section}
        metal={bar.metal}
        onPut={put}
        onType={(key, typed, section) => type(key, typed, { section })}
      />
      {threadedEnds(bar).length > 0 && (
        <>
          <ThreadField thread={bar.thread} onPick={(thread) => put({ thread })} />
          <NumberField
            field={`parts/${part}/rated`}
            label="Rod ends, their maker’s rating"
            showLabel
            value={bar.rated === null ? null : FORCE.shown(bar.rated, job.tape)}
            least={1}
            most={FORCE.shown(10_000_000, job.tape)}
            unit={FORCE.sign(job.tape)}
            decimals={0}
            placeholder="not told"
            onEnter={(value, typed) => type('rated', typed, { rated: FORCE.read(value, job.tape) })}
            onClear={() => type('rated', null, { rated: undefined })}
          />
        </>
      )}
    </div>
  );
}
