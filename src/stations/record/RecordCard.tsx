'use client';
import { judgeRecord } from '@/core/bench/judge/record';
import { Segmented } from 'antd';
import { stillNeeded } from '@/core/record/plan';
import { useJob } from '@/store/jobStore';
import { setPreferences, usePreferences, type RecordPart } from '@/store/preferences';
import { useJobAgreement } from '@/workers/choosing/search';
import { CardHead } from '@/ui/cards/Card';
import { StationStripe } from '@/ui/stripe/StationStripe';
import { AgreePart } from './AgreePart';
import { FoundPart } from './FoundPart';
import { InspectPart } from './InspectPart';
import { MeasurePart } from '@/stations/record/measuring/MeasurePart';
import { PartsPart } from './PartsPart';
import './record.css';

const PARTS: Record<RecordPart, { word: string; part: () => React.ReactNode }> = {
  measure: { word: 'Measure', part: MeasurePart },
  agree: { word: 'Agree?', part: AgreePart },
  found: { word: 'As found', part: FoundPart },
  inspect: { word: 'Inspect', part: InspectPart },
  parts: { word: 'Parts', part: PartsPart },
};

/** The car as it stands, before anything is taken apart: measured, checked against itself, looked over, told. */
export function RecordCard() {
  const job = useJob();
  const part = usePreferences((s) => s.record);
  const agreement = useJobAgreement(job) ?? null;
  const missing = stillNeeded(job.readings);
  const wrong = agreement?.wrong.length ?? 0;
  const looks = judgeRecord(job, agreement).filter((v) => v.state !== 'ok').length;
  const Part = PARTS[part].part;
  return (
    <>
      <div className="no-print">
        <CardHead title="Record the car as it stands">
          On its weight and settled, before anything comes apart.
        </CardHead>
        <Segmented
          block
          className="parts-of-card"
          options={(Object.keys(PARTS) as RecordPart[]).map((value) => ({
            value,
            label: value === 'agree' && looks > 0 ? `Agree? ${looks}` : PARTS[value].word,
          }))}
          value={part}
          onChange={(record) => setPreferences({ record })}
        />
      </div>
      <Part />
      <StationStripe
        station="record"
        title="Readings checked"
        note={
          wrong
            ? 'One reading contradicts the rest: see “Agree?” first.'
            : 'Draw it when left, right and repeats agree, or you know why not.'
        }
        disabled={missing.length > 0}
      />
    </>
  );
}
