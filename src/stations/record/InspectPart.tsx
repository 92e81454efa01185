'use client';
import { asRead } from '@/core/verdict/verdict';
import { Segmented } from 'antd';
import { TextArea } from '@/ui/fields/textInput';
import { INSPECTION, inspectionChecks } from '@/core/record/inspection';
import { edit, useJob } from '@/store/jobStore';
import { Caution } from '@/ui/cards/Card';
import { Verdicts } from '@/ui/cards/Verdicts';
import { Photos } from '@/ui/photos/Photos';
import { FINDINGS, type FindingState, type InspectionId } from '@/core/job/slices/record';

const WORDS: Record<FindingState, string> = {
  sound: 'sound',
  watch: 'watch it',
  mend: 'mend first',
  mended: 'mended',
};

/** What stays on the car, looked over before geometry is blamed for what is worn. */
export function InspectPart() {
  const { inspection } = useJob().record;
  const seen = INSPECTION.filter((item) => inspection[item.id]).length;
  return (
    <>
      <p className="agree-sum">
        {seen} of {INSPECTION.length} looked at
      </p>
      <Verdicts verdicts={inspectionChecks(inspection).map(asRead)} />
      <ul className="inspection">
        {INSPECTION.map((item) => (
          <Item key={item.id} {...item} />
        ))}
      </ul>
      <Caution>
        Wheels chocked, car on stands on solid ground. A structural weld, brakes and steering are for someone
        qualified to mend and to pass.
      </Caution>
    </>
  );
}

function Item({ id, label, look }: { id: InspectionId; label: string; look: string }) {
  const found = useJob().record.inspection[id];
  const set = (finding: FindingState, note: string) =>
    edit((job) => ({
      ...job,
      record: {
        ...job.record,
        inspection: { ...job.record.inspection, [id]: { finding, note, at: new Date().toISOString() } },
      },
    }));
  return (
    <li data-inspect={id} data-finding={found?.finding ?? 'none'}>
      <h3>{label}</h3>
      <p className="hint">{look}</p>
      <Segmented<FindingState | null>
        block
        className="finding-choice"
        aria-label={label}
        options={FINDINGS.map((value) => ({ value, label: WORDS[value] }))}
        value={found?.finding ?? null}
        onChange={(finding) => finding && set(finding, found?.note ?? '')}
      />
      {found && (
        <TextArea
          aria-label={`Note: ${label}`}
          placeholder="where, how bad"
          autoSize
          maxLength={500}
          value={found.note}
          onChange={(e) => set(found.finding, e.target.value)}
        />
      )}
      <Photos item={id} label={label} />
    </li>
  );
}
