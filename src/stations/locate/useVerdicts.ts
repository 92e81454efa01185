import { useMemo } from 'react';
import { judgeLocate, type JudgedLocate } from '@/core/bench/judge/locate';
import { useJob } from '@/store/jobStore';
import { useLocate, useLocateResult } from '@/workers/locate';

const UNSAID: JudgedLocate = { sideways: [], lengthwise: [], room: [] };

/** The words for what Locate last worked out, in the builder's tape, and what of it hangs on guesses. */
export function useVerdicts(): JudgedLocate {
  const result = useLocateResult();
  const of = useLocate((s) => s.resultOf);
  const job = useJob();
  return useMemo(() => (result && of ? judgeLocate(job, of, result) : UNSAID), [result, of, job]);
}
