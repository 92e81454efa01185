'use client';
import { Button, Modal } from 'antd';
import { TextArea } from '@/ui/fields/textInput';
import { useState } from 'react';
import { advanceBracket } from '@/core/bench/holdPoint';
import { fastening } from '@/core/weld/fastening';
import type { HeldPoint } from '@/core/weld/held';
import { cutLoose, jointState, nextState, STATES, type Release } from '@/core/weld/holdPoint';
import { useStopsOf } from '@/workers/advice';
import { useJobAgreement } from '@/workers/choosing/search';
import { edit, useJob } from '@/store/jobStore';
import { MOST_EVENTS, type JointState } from '@/core/job/slices/work/weld';
import { Full } from '@/ui/cards/Full';

const DEEDS: Record<JointState, string> = {
  scribed: 'Scribe',
  tacked: 'Tack',
  welded: 'Finish-weld',
  drilled: 'Drill',
  loose: 'Bolt up, loose',
  snug: 'Snug it',
  torqued: 'Torque the bolt',
  striped: 'Stripe it',
};
const HINTS: Partial<Record<JointState, string>> = {
  loose: 'every bolt started by hand',
  snug: 'when every bolt of the job is in',
  torqued: 'to the maker’s value, car on its weight',
  striped: 'paint pen across nut and bracket',
};

type Asking = 'override' | 'cut' | null;

type Props = { member: string; point: HeldPoint; tack: Release; weld: Release };

/** A bracket on its way from scribed to striped. Two of the steps are held until their conditions are checked. */
export function Joint({ member, point: { bracket, name }, tack, weld }: Props) {
  const job = useJob();
  const agreement = useJobAgreement(job);
  const stops = useStopsOf(job, member);
  const [asking, setAsking] = useState<Asking>(null);
  const [reason, setReason] = useState('');
  const full = job.weld.log.length >= MOST_EVENTS;
  const state = jointState(job, { member, bracket });
  const states: readonly JointState[] = STATES[fastening(job, { member, bracket })];
  const at = states.indexOf(state);
  const coming = nextState(job, { member, bracket });
  const next = coming?.to;
  const gate = coming?.held ? { tack, weld }[coming.held] : null;
  const held = gate !== null && !gate.released;

  const advance = (why = '') =>
    edit((j) => {
      const result = advanceBracket(j, agreement, stops, { member, bracket }, new Date().toISOString(), why);
      return result.ok ? result.job : j;
    });

  function finish() {
    if (asking === 'override') advance(reason);
    if (asking === 'cut') edit((j) => cutLoose(j, { member, bracket }, new Date().toISOString(), reason));
    setAsking(null);
    setReason('');
  }

  return (
    <section className="joint" aria-label={name} data-bracket={bracket} data-state={state}>
      <h2>{name}</h2>
      <ol className="joint-states">
        {states.map((s, i) => (
          <li key={s} aria-current={s === state ? 'step' : undefined} className={i < at ? 'past' : ''}>
            {s}
          </li>
        ))}
      </ol>
      {at < 0 && (
        <p className="changed">
          It is {state}, and is now said to be fastened the other way. Cut it loose first.
        </p>
      )}
      {next && (
        <button
          type="button"
          className={`deed${held ? ' held' : ''}`}
          disabled={full}
          onClick={() => (held ? setAsking('override') : advance())}
        >
          <b>
            {DEEDS[next]}
            {held && ': held'}
          </b>
          <span>
            {held
              ? `${gate.open.length} left to check · or write why you go on`
              : (HINTS[next] ?? 'everything holds')}
          </span>
        </button>
      )}
      {full && <Full most={MOST_EVENTS} of="entries in the record" />}
      {state !== 'scribed' && !full && (
        <Button type="link" className="no-print" onClick={() => setAsking('cut')}>
          Cut it loose again
        </Button>
      )}
      <Modal
        open={asking !== null}
        title={
          asking === 'cut'
            ? `Cut the ${name.toLowerCase()} loose`
            : `${next ? DEEDS[next] : ''} anyway: ${name.toLowerCase()}`
        }
        okText={asking === 'cut' ? 'Back to scribed' : 'Go on, and keep this on record'}
        cancelText="Stay"
        okButtonProps={{ disabled: reason.trim() === '' }}
        onOk={finish}
        onCancel={() => setAsking(null)}
      >
        {asking === 'override' && gate && (
          <>
            <p>Not checked, or not holding:</p>
            <ul>
              {gate.open.map((c) => (
                <li key={c.id}>{c.problem ? `${c.label}: ${c.problem}` : c.label}</li>
              ))}
            </ul>
          </>
        )}
        <label>
          {asking === 'cut' ? 'Why it comes off' : 'Why you go on'}
          <TextArea rows={3} maxLength={2000} value={reason} onChange={(e) => setReason(e.target.value)} />
        </label>
      </Modal>
    </section>
  );
}
