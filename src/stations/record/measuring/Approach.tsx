'use client';
import { Checkbox, Radio } from 'antd';
import { DATUM_NAMES, datumName, DATUMS, type Datum } from '@/core/survey/quantities/datums';
import { METHODS, type Method } from '@/core/survey/network';
import { edit, useJobPart } from '@/store/jobStore';
import type { Job } from '@/core/job/jobSchema';

const METHOD_WORDS: Record<Method, string> = {
  't-square': 'T-square from the floor, marks on the rails',
  'plumb-bob': 'Plumb bob to the floor (level floor only)',
};

const change = (part: Partial<Job['record']>) =>
  edit((job) => ({ ...job, record: { ...job.record, ...part } }));

/** How this car is measured: what the plan is made from. */
export function Approach() {
  const { method, measuring, datum, scales, brief = false } = useJobPart((j) => j.record);
  const end = useJobPart((j) => j.rig.end);
  const toggle = (d: Datum) => {
    const next = DATUM_NAMES.filter((x) => (x === d ? !measuring.includes(x) : measuring.includes(x)));
    change({ measuring: next, datum: next.includes(datum) ? datum : (next[0] ?? datum) });
  };
  return (
    <details className="approach">
      <summary>
        How: {METHOD_WORDS[method].split(',')[0]!.split(' (')[0]}; from the{' '}
        {measuring.map((d) => DATUMS[d].short).join(' and ') || 'wheels alone'}
      </summary>
      <fieldset>
        <legend>The axle is carried to the frame by</legend>
        <Radio.Group
          name="method"
          value={method}
          onChange={(e) => change({ method: e.target.value as Method })}
          options={METHODS.map((value) => ({ value, label: METHOD_WORDS[value] }))}
        />
      </fieldset>
      <fieldset>
        <legend>Measured from (two check each other)</legend>
        {DATUM_NAMES.map((d) => (
          <Checkbox key={d} checked={measuring.includes(d)} onChange={() => toggle(d)}>
            {datumName(d, end)}
          </Checkbox>
        ))}
      </fieldset>
      <Checkbox checked={scales} onChange={() => change({ scales: !scales })}>
        Wheel scales are at hand
      </Checkbox>
      <Checkbox checked={brief} onChange={() => change({ brief: !brief })}>
        Only what the drawing needs, nothing to check it by
      </Checkbox>
    </details>
  );
}
