import { useMemo } from 'react';
import { locateVerdicts, type LocateVerdicts } from '@/core/locate/verdicts/verdicts';
import { useJobPart } from '@/store/jobStore';
import { useLocate, useLocateResult } from '@/workers/locate';

const UNSAID: LocateVerdicts = { sideways: [], lengthwise: [], room: [] };

/** The words for what Locate last worked out, in the builder's tape. */
export function useVerdicts(): LocateVerdicts {
  const result = useLocateResult();
  const of = useLocate((s) => s.resultOf);
  const tape = useJobPart((j) => j.tape);
  return useMemo(() => (result && of ? locateVerdicts(of, result, tape) : UNSAID), [result, of, tape]);
}
