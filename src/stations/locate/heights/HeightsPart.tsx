'use client';
import { useEffect } from 'react';
import { frameToMove } from '@/core/job/edits/frameHeight';
import type { Job } from '@/core/job/jobSchema';
import { drawnHeight, drivingHeight } from '@/core/job/jobValues';
import { sayLength } from '@/core/units/length';
import { MASS } from '@/core/units/unit';
import { enter, useJob, useJobPart } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Frac } from '@/ui/figures/Frac';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { askHeights, useHeights } from '@/workers/locate';
import { HeightsTable } from './HeightsTable';
import { MoveFrame } from './MoveFrame';

/** Less than this is no other height, mm. */
const SAME = 0.05;

type States = Job['locate']['states'];

const putStates = (field: string, typed: string, change: (states: States) => States) =>
  enter(field, typed, (j) => ({ ...j, locate: { ...j.locate, states: change(j.locate.states) } }));

/** The one height that the car is built for, and the others that it will stand at. */
export function HeightsPart() {
  const job = useJob();
  const { tape, locate } = job;
  const { states } = locate;
  const { answer, problem } = useHeights();
  const by = frameToMove(job);
  const move = Math.abs(by) < SAME ? 0 : by;
  useEffect(() => {
    void askHeights({ job, asked: { ...states, move } });
  }, [job, states, move]);
  return (
    <>
      <CardHead title="Heights">
        Everything is drawn at one height. Here is what others make of it, before a spring is changed.
      </CardHead>
      <Readouts>
        <Readout name="Drawn with the frame off the floor" of="drawnHeight">
          <Frac mm={drawnHeight(job)} tape={tape} unit />
        </Readout>
      </Readouts>
      <section className="section">
        <h2>The height to build for</h2>
        <div className="two-up">
          <LengthField
            field="place/rideHeight"
            label="Frame off the floor, driving"
            showLabel
            mm={drivingHeight(job)}
            least={0}
            most={1500}
            onEnter={(mm, typed) =>
              enter('place/rideHeight', typed, (j) => ({ ...j, place: { ...j.place, rideHeight: mm } }))
            }
            onClear={() =>
              enter('place/rideHeight', null, (j) => ({ ...j, place: { ...j.place, rideHeight: undefined } }))
            }
          />
        </div>
        {move !== 0 && answer?.moved && <MoveFrame by={move} moved={answer.moved} />}
      </section>
      {problem && (
        <p className="field-problem" role="alert">
          This cannot be drawn in motion: {problem}.
        </p>
      )}
      {answer && (
        <section className="section">
          <h2>Settled, and loaded</h2>
          <HeightsTable
            id="states"
            tape={tape}
            columns={[
              { name: 'as drawn', values: answer.drawn },
              { name: `settled ${sayLength(states.settled, tape)}`, values: answer.settled.values },
              ...(answer.loaded?.springs ? [{ name: 'loaded', values: answer.loaded.values }] : []),
            ]}
          />
          <LoadSaid job={job} loaded={answer.loaded} />
        </section>
      )}
      <StateFields states={states} />
    </>
  );
}

function LoadSaid({ job: { tape, rig }, loaded }: { job: Job; loaded: LoadedAnswer }) {
  if (!loaded)
    return <p className="hint">With the car’s weights, at Forces, a load is reckoned with as well.</p>;
  const { laden, springs, lower } = loaded;
  const share = Math.round(100 * laden.frontFraction);
  return (
    <p className="hint" data-readout="laden">
      Loaded, {MASS.say(laden.total, tape)} in all, {share} % in front, centre of gravity{' '}
      {sayLength(laden.cgHeight, tape)} up; the {rig.end} axle takes {MASS.say(laden.here, tape)} of it
      {springs
        ? ` and the frame stands ${sayLength(Math.abs(lower), tape)} ${lower < 0 ? 'higher' : 'lower'}.`
        : '. Tell the springs at Roll, and how far it lowers the car is worked out.'}
    </p>
  );
}
type LoadedAnswer = NonNullable<ReturnType<typeof useHeights.getState>['answer']>['loaded'];

function StateFields({ states }: { states: States }) {
  const tape = useJobPart((j) => j.tape);
  const end = useJobPart((j) => j.rig.end);
  const { load } = states;
  const putLoad = (field: string, typed: string, part: Partial<States['load']>) =>
    putStates(field, typed, (s) => ({ ...s, load: { ...s.load, ...part } }));
  return (
    <section className="section">
      <h2>What they are</h2>
      <div className="two-up">
        <LengthField
          field="states/settled"
          label="Springs settle, or are cut, by"
          showLabel
          mm={states.settled}
          least={0}
          most={300}
          onEnter={(settled, typed) => putStates('states/settled', typed, (s) => ({ ...s, settled }))}
        />
        <NumberField
          field="states/mass"
          label="A load of"
          showLabel
          value={MASS.shown(load.mass, tape)}
          least={0}
          most={10_000}
          unit={MASS.sign(tape)}
          decimals={0}
          onEnter={(shown, typed) => putLoad('states/mass', typed, { mass: MASS.read(shown, tape) })}
        />
        <LengthField
          field="states/ahead"
          label={`Its middle, from the ${end} axle`}
          showLabel
          mm={load.ahead}
          least={-3000}
          most={6000}
          ways={['ahead', 'behind']}
          onEnter={(ahead, typed) => putLoad('states/ahead', typed, { ahead })}
        />
        <LengthField
          field="states/height"
          label="Its middle, off the floor"
          showLabel
          mm={load.height}
          least={0}
          most={3000}
          onEnter={(height, typed) => putLoad('states/height', typed, { height })}
        />
      </div>
    </section>
  );
}
