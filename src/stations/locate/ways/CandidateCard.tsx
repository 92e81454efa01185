'use client';
import { Button } from 'antd';
import { useState } from 'react';
import type { Compared } from '@/core/choose/candidates/compare';
import type { GivenUp } from '@/core/choose/candidates/givesUp';
import { layoutOf } from '@/core/choose/candidates/layoutOf';
import { madeElsewhere } from '@/core/choose/candidates/madeAlready';
import type { ToMake } from '@/core/choose/candidates/toMake';
import {
  isOnBench,
  withCandidateNamed,
  withChosen,
  withDesign,
  withoutCandidate,
} from '@/core/job/edits/candidates';
import { LONGEST_REASON, type Candidate } from '@/core/job/slices/choose';
import { LAYOUT_NAMES } from '@/core/rig/names';
import { heldName } from '@/core/weld/held';
import { InputError } from '@/core/rig/read';
import { edit, useJob } from '@/store/jobStore';
import { say } from '@/store/notices';
import { Input, TextArea } from '@/ui/fields/textInput';
import { rowWord, sayRow } from '@/ui/choose/candidateWords';

type Props = {
  candidate: Candidate;
  compared: Compared | null;
  /** of all candidates, by id */
  names: Map<string, string>;
  gives: GivenUp[];
};

/** One way to build the car: what is to be made for it, what it gives up, and what can be done with it. */
export function CandidateCard({ candidate, compared, names, gives }: Props) {
  const job = useJob();
  const { id, name, found } = candidate;
  const onBench = isOnBench(job, candidate);
  const isChosen = job.choose?.chosen?.id === id;
  const [choosing, setChoosing] = useState(false);
  const numbers = compared?.numbers;
  const layout = layoutOf(candidate.design);
  return (
    <article className="way" data-way={id}>
      <header>
        <Input
          aria-label={`Name of ${name}`}
          value={name}
          maxLength={80}
          onChange={(e) => edit((j) => withCandidateNamed(j, id, e.target.value))}
        />
        <p className="way-marks">
          {[found && 'as found', onBench && 'on the bench', isChosen && 'chosen'].filter(Boolean).join(' · ')}
        </p>
      </header>
      {layout && <p className="hint">{LAYOUT_NAMES[layout][1]}</p>}
      {compared?.refusal && <p className="changed">It cannot be so: {compared.refusal}.</p>}
      {numbers && (
        <ul>
          <li>{sayMake(numbers.make)}</li>
          {numbers.byPattern.mounts > 0 && (
            <li>
              {numbers.byPattern.mounts} of its {numbers.byPattern.of} mounts stand where the pattern of the
              layout puts them: its figures are no better than that.
            </li>
          )}
          {numbers.says.stop.length > 0 && <li>Stops the work: {numbers.says.stop.join(' ')}</li>}
        </ul>
      )}
      {gives.length > 0 && (
        <>
          <h2>What it gives up</h2>
          <ul>
            {gives.map(({ row, value, best, by }) => (
              <li key={row} data-gives={row}>
                {rowWord(row, job.rig.end)}: <b>{sayRow(row, value, job.tape)}</b> ({names.get(by)}:{' '}
                {sayRow(row, best, job.tape)})
              </li>
            ))}
          </ul>
        </>
      )}
      <Undone candidate={candidate} />
      <div className="way-acts">
        <Button disabled={onBench} onClick={() => tryOn((j) => withDesign(j, candidate.design))}>
          {onBench ? 'It is on the bench' : 'Put it on the bench'}
        </Button>
        <Button onClick={() => setChoosing(!choosing)} aria-expanded={choosing}>
          {isChosen ? 'Why it was chosen' : 'Choose it'}
        </Button>
        <Button onClick={() => edit((j) => withoutCandidate(j, id))}>Take out</Button>
      </div>
      {choosing && <Choosing candidate={candidate} onDone={() => setChoosing(false)} />}
    </article>
  );
}

/** Makes a change, or says why the car cannot be so. */
function tryOn(change: Parameters<typeof edit>[0]): boolean {
  try {
    return edit(change);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    say({ kind: 'error', title: 'The car cannot be so.', description: error.message });
    return false;
  }
}

/** What is on the car already and would have to come off. */
function Undone({ candidate }: { candidate: Candidate }) {
  const job = useJob();
  const off = madeElsewhere(job, candidate.design);
  if (off.length === 0) return null;
  return (
    <p className="changed">
      On the car already, and elsewhere or not at all in this one:{' '}
      {off.map(({ member, bracket }) => heldName(job, member, bracket)).join('; ')}. It would have to come
      off.
    </p>
  );
}

function Choosing({ candidate, onDone }: { candidate: Candidate; onDone: () => void }) {
  const { choose } = useJob();
  const before = choose?.chosen?.id === candidate.id ? choose.chosen.reason : '';
  const [reason, setReason] = useState(before);
  return (
    <div className="way-choosing">
      <label htmlFor={`why-${candidate.id}`}>
        Why this one? It stays in the record, and in the build book.
      </label>
      <TextArea
        id={`why-${candidate.id}`}
        rows={3}
        maxLength={LONGEST_REASON}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <Button
        type="primary"
        disabled={reason.trim() === ''}
        onClick={() => {
          const at = new Date().toISOString();
          if (tryOn((j) => withChosen(j, candidate, reason.trim(), at))) onDone();
        }}
      >
        Choose it, and put it on the bench
      </Button>
    </div>
  );
}

/** What is to be made or bought beside what was found on the car. */
function sayMake({ bars, leaves, brackets, joints, swayBar, effort, cost }: ToMake): string {
  const counted = (count: number, one: string, many = `${one}s`) =>
    count > 0 ? [`${count} ${count === 1 ? one : many}`] : [];
  const all = [
    ...counted(bars, 'bar'),
    ...counted(leaves, 'leaf spring'),
    ...counted(brackets, 'bracket'),
    ...counted(joints, 'joint'),
    ...(swayBar ? ['a sway bar'] : []),
  ];
  if (all.length === 0) return 'Nothing to make.';
  return `To make or buy: ${all.join(', ')}. Roughly ${effort}; money: ${cost}.`;
}
