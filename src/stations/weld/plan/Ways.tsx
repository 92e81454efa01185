'use client';
import { bracketsOn, withBracketsOn, type BracketsOn } from '@/core/plan/bracketsOn';
import { withWays } from '@/core/plan/edits';
import { linksOf } from '@/core/rig/members/members';
import type { CarAsItIs, Make } from '@/core/job/slices/work/plan';
import { edit, useJobPart } from '@/store/jobStore';
import { Pills } from '@/ui/cards/Pills';
import { CAR_WORDS, MAKE_WORDS } from './words';

/** How the work is gone about: what comes out, whose parts, alone or not. The plan is made anew for it; what is done stays. */
export function Ways() {
  const { car, make, helper } = useJobPart((j) => ({
    car: j.plan.car,
    make: j.plan.make,
    helper: j.plan.helper,
  }));
  const brackets = useJobPart(bracketsOn);
  const hasBars = useJobPart((j) => linksOf(j.rig).length > 0);
  const unsaid = [car, make, helper].some((way) => way === undefined);
  return (
    <details className="approach no-print" open={unsaid || undefined}>
      <summary>
        How it is gone about
        {unsaid
          ? ': not all said yet'
          : `: ${CAR_WORDS[car!]}, ${MAKE_WORDS[make!]}, ${helper ? 'with help' : 'alone'}`}
      </summary>
      <div className="plan-ways">
        <Pills<CarAsItIs | ''>
          legend="What is under the car now"
          options={(Object.keys(CAR_WORDS) as CarAsItIs[]).map((value) => ({
            value,
            label: CAR_WORDS[value],
          }))}
          value={car ?? ''}
          onPick={(way) => way && edit((j) => withWays(j, { car: way }))}
        />
        <Pills<Make | ''>
          legend="What goes on"
          options={(Object.keys(MAKE_WORDS) as Make[]).map((value) => ({ value, label: MAKE_WORDS[value] }))}
          value={make ?? ''}
          onPick={(way) => way && edit((j) => withWays(j, { make: way }))}
        />
        {hasBars && (
          <Pills<BracketsOn | ''>
            legend="Brackets of its bars"
            options={[
              { value: 'welded', label: 'welded on' },
              { value: 'bolted', label: 'bolted on' },
            ]}
            value={brackets ?? ''}
            onPick={(way) => way && edit((j) => withBracketsOn(j, way))}
          />
        )}
        <Pills<'alone' | 'helped' | ''>
          legend="Who"
          options={[
            { value: 'alone', label: 'alone' },
            { value: 'helped', label: 'with help' },
          ]}
          value={helper === undefined ? '' : helper ? 'helped' : 'alone'}
          onPick={(who) => edit((j) => withWays(j, { helper: who === 'helped' }))}
        />
        <p className="hint">
          How the axle is held is said at Place; of one bracket how it goes on, at Prove. What is tacked or
          drilled for already stays as it is. Until it is said, the plan is the longest: another suspension
          comes out, or bar by bar where the car stands on its weight; everything is made, nobody helps.
        </p>
      </div>
    </details>
  );
}
