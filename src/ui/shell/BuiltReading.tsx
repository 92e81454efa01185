'use client';
import { Segmented } from 'antd';
import type { StationId } from '@/core/bench/stationIds';
import { eyesMeasured } from '@/core/built/builtEyes';
import { useJobPart } from '@/store/jobStore';
import { canReadBuilt, useReading } from '@/store/reading';
import './builtReading.css';

const WAYS = [
  { label: 'As drawn', value: 'drawn' },
  { label: 'As built', value: 'built' },
];

/** Whether a station’s results are read of the car as it is drawn, or with its eyes where they were measured once they were welded. */
export function BuiltReading({ station }: { station: StationId }) {
  const eyes = useJobPart(eyesMeasured);
  const asBuilt = useReading((s) => s.asBuilt);
  if (eyes === 0 || !canReadBuilt(station)) return null;
  return (
    <div className={`built-reading ${asBuilt ? 'as-built' : ''}`} data-reading={asBuilt ? 'built' : 'drawn'}>
      <Segmented
        block
        className="no-print"
        aria-label="What is read"
        options={WAYS}
        value={asBuilt ? 'built' : 'drawn'}
        onChange={(way) => useReading.setState({ asBuilt: way === 'built' })}
      />
      {asBuilt && (
        <p role="status">
          Read with {eyes === 1 ? 'one eye' : `${eyes} eyes`} where {eyes === 1 ? 'it was' : 'they were'}{' '}
          measured once welded, and bars set to what is between; the rest is as drawn. To change the car, go
          back to as drawn.
        </p>
      )}
    </div>
  );
}
