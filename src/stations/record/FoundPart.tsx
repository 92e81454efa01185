'use client';
import { Button } from 'antd';
import { asFound } from '@/core/record/asFound';
import { DATUMS } from '@/core/survey/quantities/datums';
import { floorOf, isSound } from '@/core/survey/floor';
import { toBeMended } from '@/core/record/inspection';
import { formatDegrees } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { useJobAgreement } from '@/workers/choosing/search';
import { PaperLine } from '@/ui/cards/Card';
import { Within } from '@/ui/figures/Within';

/** The car as found, on one sheet: what everything built later is compared with. */
export function FoundPart() {
  const job = useJob();
  const agreement = useJobAgreement(job) ?? null;
  const findings = asFound(job.readings, agreement, job.record.datum, job.rig.end);
  const floor = floorOf(job.readings);
  const mend = toBeMended(job.record.inspection);
  return (
    <section className="as-found">
      <h2 className="print-only">As found</h2>
      <PaperLine />
      {findings.length === 0 && <p className="hint">Nothing to tell yet: read both sides of something.</p>}
      <dl className="found">
        {findings.map((f) => (
          <div key={f.id} data-finding={f.id}>
            <dt>
              {f.label}
              <span className="hint">{f.by}</span>
            </dt>
            <dd>
              <Within value={f.value} u={f.u} unit={f.unit} tape={job.tape} ways={f.ways} />
            </dd>
          </div>
        ))}
      </dl>
      <p className="hint">
        Lengthways by the {DATUMS[job.record.datum].short}. What stands after ± holds nineteen times in
        twenty, if each reading is as good as its tool.
        {floor &&
          isSound(floor) &&
          ` The floor falls ${formatDegrees(Math.abs(floor.along), 2)} to the ${floor.along > 0 ? 'front' : 'rear'}; angles are given against it.`}
        {agreement?.wrong.length ? ' Readings that the rest contradict are left out.' : ''}
      </p>
      {mend.length > 0 && <p>To be mended first: {mend.join('; ')}.</p>}
      <Button className="no-print" onClick={() => window.print()}>
        Print the report
      </Button>
    </section>
  );
}
