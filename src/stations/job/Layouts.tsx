'use client';
import { Radio } from 'antd';
import { LAYOUT_NAMES } from '@/core/rig/names';
import { LAYOUT_IDS, layoutEnd, type LayoutId } from '@/core/rig/layouts';
import { edit, useJobPart } from '@/store/jobStore';
import { LayoutDrawing } from './LayoutDrawing';
import { withLayout } from '@/core/job/edits/members/layout';

/** The layouts for this end of the car, each drawn. Taking another lays the mounts out anew; undo brings the old ones back. */
export function Layouts() {
  const current = useJobPart((j) => j.layout);
  const end = useJobPart((j) => j.rig.end);
  return (
    <fieldset className="section layouts">
      <legend>Layout</legend>
      <Radio.Group
        name="layout"
        aria-label="Layout"
        value={current}
        onChange={(e) => edit((j) => withLayout(j, e.target.value as LayoutId))}
      >
        {LAYOUT_IDS.filter((id) => layoutEnd(id) === end).map((id) => (
          <Radio key={id} value={id} className="layout-tile">
            <LayoutDrawing layout={id} />
            <span>
              <b>{LAYOUT_NAMES[id][0]}</b>
              <span className="hint">{LAYOUT_NAMES[id][1]}</span>
            </span>
          </Radio>
        ))}
      </Radio.Group>
      <p className="hint">
        Another layout starts from its usual pattern, scaled to this car; undo brings back the mounts you had.
      </p>
    </fieldset>
  );
}
