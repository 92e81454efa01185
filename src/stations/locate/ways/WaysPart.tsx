'use client';
import { Button, Progress, Select } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import type { Offer } from '@/core/choose/candidates/offers';
import { givenUp } from '@/core/choose/candidates/givesUp';
import { candidatesOf, designOf, isOnBench, withCandidate, withFound } from '@/core/job/edits/candidates';
import type { Job } from '@/core/job/jobSchema';
import { MOST_CANDIDATES } from '@/core/job/slices/choose';
import { edit, useJob } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { Full } from '@/ui/cards/Full';
import { askOffers } from '@/workers/choosing/search';
import { useAnswer } from '@/workers/useAnswer';
import { askCompared, stopComparing, useCompared } from '@/workers/choosing/compared';
import { CandidateCard } from './CandidateCard';
import { SideBySide } from './SideBySide';
import './ways.css';

/** After a change, what is typed on is waited for, ms. */
const SOON = 350;

/** Several ways to build this car, the car as it was found among them; one is chosen, and why is kept. */
export function WaysPart() {
  const job = useJob();
  const candidates = candidatesOf(job);
  const { all, job: of, problem, share } = useCompared();
  const [open, setOpen] = useState(false);
  const compared = of?.id === job.id ? all : null;
  const gives = useMemo(() => (compared ? givenUp(compared) : {}), [compared]);
  const count = candidates.length;
  useEffect(() => {
    if (count === 0) return stopComparing;
    const soon = setTimeout(() => void askCompared(job), SOON);
    return () => {
      clearTimeout(soon);
      stopComparing();
    };
  }, [job, count]);
  const chosen = candidates.find(({ id }) => id === job.choose?.chosen?.id);

  return (
    <>
      <CardHead title="Which way to build it">
        Several ways to build this car, side by side and in its own numbers. Choose one, and why is kept with
        the job.
      </CardHead>
      {chosen && (
        <p className="way-chosen" data-part="chosen">
          Chosen: <b>{chosen.name}</b>. {job.choose!.chosen!.reason}
          {!isOnBench(job, chosen) && ' What stands on the bench has been changed since.'}
        </p>
      )}
      <Another />
      {share !== null && (
        <div role="status" className="ways-running">
          <Progress percent={Math.round(100 * share)} aria-label="Ways worked out" />
        </div>
      )}
      {problem && (
        <p className="field-problem" role="alert">
          {problem}
        </p>
      )}
      {candidates.map((candidate) => (
        <CandidateCard
          key={candidate.id}
          candidate={candidate}
          compared={compared?.find(({ id }) => id === candidate.id) ?? null}
          names={new Map(candidates.map(({ id, name }) => [id, name]))}
          gives={gives[candidate.id] ?? []}
        />
      ))}
      {compared && compared.length > 1 && (
        <Button block type="primary" className="ways-open" onClick={() => setOpen(true)}>
          See them side by side
        </Button>
      )}
      <SideBySide open={open} onClose={() => setOpen(false)} all={compared ?? []} />
    </>
  );
}

/** Keeps one more way: the car as it stands on the bench, or another drawn from it. */
function Another() {
  const job = useJob();
  const candidates = candidatesOf(job);
  const isKept = candidates.some((one) => isOnBench(job, one));
  if (candidates.length >= MOST_CANDIDATES) return <Full most={MOST_CANDIDATES} of="ways" />;
  return (
    <section className="section ways-another">
      {candidates.length === 0 ? (
        <Button onClick={() => edit(withFound)}>Keep the car as it stands: that is how it was found</Button>
      ) : (
        <Button
          disabled={isKept}
          onClick={() => edit((j) => kept(j, { id: 'bench', name: 'As on the bench', design: designOf(j) }))}
        >
          {isKept ? 'What stands on the bench is kept' : 'Keep what stands on the bench'}
        </Button>
      )}
      <Offers job={job} />
    </section>
  );
}

function Offers({ job }: { job: Job }) {
  const said = useAnswer('offers', job, () => askOffers(job));
  if (typeof said === 'string') return <p className="field-problem">{said}</p>;
  // What was drawn from the car as it was before is none of its ways any more.
  const offers = said?.of === job ? said.offers : [];
  return (
    <Select<string | null>
      aria-label="Another way"
      virtual={false}
      loading={said?.of !== job}
      placeholder="Draw another way…"
      value={null}
      options={offers.map(({ id: value, name: label }) => ({ value, label }))}
      onChange={(picked) => {
        const offer = offers.find(({ id }) => id === picked);
        if (offer) edit((j) => kept(j, offer));
      }}
    />
  );
}

/** The job with one more way, under an id that none of its others has. */
function kept(job: Job, way: Offer): Job {
  const taken = new Set(candidatesOf(job).map(({ id }) => id));
  let { id } = way;
  for (let n = 2; taken.has(id); n++) id = `${way.id}-${n}`;
  return withCandidate(job, { ...way, id });
}
