'use client';
import { Checkbox, Select } from 'antd';
import { useState } from 'react';
import { isParted, withParted } from '@/core/job/edits/parts/parts';
import { crossmemberIn, crossmemberPart, crossmembersOf } from '@/core/job/made/crossmember';
import { isOfSwayBar } from '@/core/job/made/sway/parts';
import { mirrorOf } from '@/core/job/made/parts';
import type { Job } from '@/core/job/jobSchema';
import { partName, spokenPart } from '@/core/provenance/inputs';
import { swayFaultsOf } from '@/core/prove/faults/swayFaults';
import { weakestFirst } from '@/core/prove/prove';
import type { Check } from '@/core/prove/types';
import { sayFactor, sayWanted } from '@/core/prove/verdicts';
import { linksOf } from '@/core/rig/members/members';
import { capital } from '@/core/rig/names';
import { edit, useJob } from '@/store/jobStore';
import { setPreferences, usePreferences } from '@/store/preferences';
import { BarFields } from './fields/BarFields';
import { BracketFields } from './fields/BracketFields';
import { CrossmemberFields } from './fields/CrossmemberFields';
import { SwayFields } from './fields/SwayFields';
import { Checks } from './Checks';
import { Metals } from './Metals';

/** One part at a time, the weakest first: what it is made of, and every check of it. */
export function PartPanel({ checks }: { checks: Check[] }) {
  const job = useJob();
  const picked = usePreferences((s) => s.prove);
  const parts = partsOf(job, checks);
  // What stands here while it is worked on stays, even when another part has become the weakest.
  const [first] = useState(parts[0]!);
  const shown = (of: string | null) => of && parts.find((p) => spokenPart(job, p) === spokenPart(job, of));
  const part = shown(picked) ?? shown(first) ?? parts[0]!;
  const own = checks.filter((check) => check.part === part);
  const [member = '', end] = part.split('/');
  const link = linksOf(job.rig).find(({ id }) => id === member);
  const spoken = spokenPart(job, part);
  const crossmember = crossmemberIn(part);
  return (
    <section className="section" id="prove-parts">
      <h2>Part by part</h2>
      <Select
        className="which-part"
        virtual={false}
        aria-label="Which part"
        value={part}
        onChange={(id) => setPreferences({ prove: id })}
        options={parts.map((id) => ({
          value: id,
          label: `${capital(partName(job, id))} · ${least(checks, id)}`,
        }))}
      />
      {mirrorOf(part) !== null && (
        <Checkbox
          checked={!isParted(job, part)}
          onChange={(e) => edit((j) => withParted(j, part, !e.target.checked))}
        >
          left and right alike
        </Checkbox>
      )}
      {isOfSwayBar(part) && <SwayFields key={spoken} part={part} />}
      {crossmember && (
        <CrossmemberFields key={spoken} id={crossmember} onGone={() => setPreferences({ prove: null })} />
      )}
      {link && end === undefined && <BarFields key={spoken} part={spoken} />}
      {link && end !== undefined && (
        <BracketFields key={spoken} part={spoken} link={link} end={end === 'axle' ? 'axle' : 'chassis'} />
      )}
      <Checks checks={own} />
      {link && end === undefined && <Metals link={link} checks={own} />}
    </section>
  );
}

/** The parts that were checked, the weakest first; of a pair that is alike, the worse of the two; and those that were not. */
function partsOf(job: Job, checks: Check[]): string[] {
  const worst = new Map<string, string>();
  for (const { part } of [...checks].sort(weakestFirst)) {
    const spoken = spokenPart(job, part);
    if (!worst.has(spoken)) worst.set(spoken, part);
  }
  // What cannot be made, or has nothing hanging on it, is not proved, and is put right here.
  const unproved = [
    ...Object.keys(swayFaultsOf(job)),
    ...crossmembersOf(job).map(({ id }) => crossmemberPart(id)),
  ];
  return [...worst.values(), ...unproved.filter((part) => !worst.has(part))];
}

/** `1.3 times of 1.9`, of the check that has least of what is wanted. */
function least(checks: Check[], part: string): string {
  const [worst] = checks.filter((check) => check.part === part).sort(weakestFirst);
  if (!worst) return 'not proved';
  return `${sayFactor(worst.factor, worst.wanted)} of ${sayWanted(worst.wanted)}`;
}
