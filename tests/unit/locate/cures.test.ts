import fc from 'fast-check';
import { analyseLocate, findLocate } from '@/core/locate/analyse';
import { locateInput } from '@/core/locate/types';
import { locateVerdicts } from '@/core/locate/verdicts/verdicts';
import { orNone } from '@/core/rig/read';
import { plausibleCar } from '../../support/plausible';
import { assertUntil } from '../../support/until';

test('what a dragged mount is told is what it is told at rest, word for word: only what would mend it comes later', () => {
  let curable = 0;
  assertUntil(
    fc.property(plausibleCar, (job) => {
      const input = locateInput(job, { left: 0, right: 0 });
      const [dragged, rested] = [findLocate, analyseLocate].map((look) => orNone(() => look(input)));
      if (!dragged || !rested) return dragged === rested;
      const [now, later] = [dragged, rested].map((result) =>
        Object.values(locateVerdicts(input, result, job.tape)).flat(),
      );
      const said = (verdicts: typeof now) => verdicts!.map((verdict) => ({ ...verdict, remedies: [] }));
      expect(said(now)).toEqual(said(later));
      const offers = (verdicts: typeof now) =>
        verdicts!.flatMap(({ remedies }) => remedies).filter(({ changes }) => changes).length;
      if (offers(later) > offers(now)) curable++;
      return offers(later) >= offers(now);
    }),
    { numRuns: 120, endOnFailure: true },
    () => curable > 5,
  );
});
