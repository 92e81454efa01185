'use client';
import { Segmented } from 'antd';
import { dueOf } from '@/core/drive/rechecks';
import { useJob } from '@/store/jobStore';
import { setPreferences, usePreferences, type DrivePart } from '@/store/preferences';
import { Caution } from '@/ui/cards/Card';
import { AgainPart } from './AgainPart';
import { FaultsPart } from './FaultsPart';
import { OutingsPart } from './outings/OutingsPart';
import { TunePart } from './TunePart';
import './drive.css';

const PARTS: Record<DrivePart, { word: string; part: () => React.ReactNode }> = {
  outings: { word: 'Outings', part: OutingsPart },
  tune: { word: 'Tune', part: TunePart },
  faults: { word: 'Find a fault', part: FaultsPart },
  again: { word: 'Re-check', part: AgainPart },
};

/** On the road: what it did, what to change, what is wrong with it, what is looked at again. */
export function DriveCard() {
  const job = useJob();
  const part = usePreferences((s) => s.drive);
  const due = dueOf(job).filter(({ overdue }) => overdue).length;
  const Part = PARTS[part].part;
  return (
    <>
      <Segmented
        block
        className="parts-of-card no-print"
        options={(Object.keys(PARTS) as DrivePart[]).map((value) => ({
          value,
          label: value === 'again' && due > 0 ? `Re-check ${due}` : PARTS[value].word,
        }))}
        value={part}
        onChange={(drive) => setPreferences({ drive })}
      />
      <Part />
      <Caution>
        First drive slow, alone, in a closed place. Brakes and steering tried before it goes faster; on the
        road only as the law lets a changed car; on the track by its rules. Stop at the first noise.
      </Caution>
    </>
  );
}
