'use client';
import { judgeCut } from '@/core/bench/judge/cut';
import { Button, Segmented, Select } from 'antd';
import { THREAD_NAMES, type ThreadName } from '@/core/materials/threads';
import { memberName } from '@/core/rig/names';
import { sayTurns } from '@/core/units/turns';
import { edit, useJob } from '@/store/jobStore';
import { isReadAsBuilt, useReading } from '@/store/reading';
import { CardHead, Caution } from '@/ui/cards/Card';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Frac } from '@/ui/figures/Frac';
import { StationStripe } from '@/ui/stripe/StationStripe';
import { Verdicts } from '@/ui/cards/Verdicts';
import { WhichBar } from '@/ui/cards/WhichBar';
import { barCut, type BarCut } from '@/core/cut/barCut';
import { BAR_ENDS, isPlateBar, madeUp, saidOfBar, threadedEnds } from '@/core/job/made/parts';
import { spokenPart } from '@/core/provenance/inputs';
import { BarEnds } from './BarEnds';
import { BentBar } from './BentBar';
import { WholeJob } from './WholeJob';
import { CutLength } from './CutLength';
import { CutSheet } from './CutSheet';
import { EndParts } from './EndParts';
import { Angles } from './plates/Angles';
import { SpringPlates } from './plates/SpringPlates';
import { Sleeves } from './plates/Sleeves';
import { Straps } from './plates/Straps';
import './cut.css';
import type { LinkMember } from '@/core/rig/members/link';
import type { Bracket } from '@/core/job/slices/fields';
import type { Job } from '@/core/job/jobSchema';
import { workBar } from '@/core/job/jobValues';
import { MASS } from '@/core/units/unit';

/** From eye to eye to a tube on the saw: what the ends take up, what thread holds, how far it adjusts. */
export function CutCard() {
  const member = workBar(useJob());
  return member ? (
    <CutBar member={member} />
  ) : (
    <CardHead title="Cut">No bar holds this axle, so there is none to cut. Put one on at Locate.</CardHead>
  );
}

function CutBar({ member }: { member: LinkMember }) {
  const job = useJob();
  const { cut, tape } = job;
  const asBuilt = useReading(isReadAsBuilt);
  const sawn = barCut(job, member);
  const { eyeToEye, blank, ends, bends } = sawn;
  const bar = madeUp(job, member);
  const said = saidOfBar(job, member.id);
  const threads = threadedEnds(sawn.bar).length;
  const threaded = threads === 2;
  const part = spokenPart(job, member.id);
  const saddled = BAR_ENDS.some((end) => ends[end].kind === 'saddle');
  const setCut = (part: Partial<Job['cut']>) => edit((j) => ({ ...j, cut: { ...j.cut, ...part } }));
  return (
    <>
      <div className="no-print">
        <CardHead title={`Cut the ${memberName(member.id, job.rig.end).replace(/^(panhard|track) /, '')}`}>
          Cut long, trim to fit: the tube is what is left between the two ends.
        </CardHead>
        <WhichBar label="On the saw" value={member.id} />
        <Readouts>
          <Readout name={asBuilt ? 'Eye to eye, as built' : 'Eye to eye, from Locate'} of="cutEyes">
            <Frac mm={eyeToEye} tape={tape} unit />
          </Readout>
          <Readout name={cutName(sawn)} of="tube">
            <b className="cut-length">{blank > 0 ? <Frac mm={blank} tape={tape} unit /> : 'no tube left'}</b>
          </Readout>
          {saddled && (
            <Readout name="Throat to throat" of="tube">
              <Frac mm={sawn.finished} tape={tape} unit />
            </Readout>
          )}
          {threaded && (
            <>
              <Readout name="Thread in the tube, frame · axle" of="engagement">
                <Frac mm={bar.ends.frame.engagement} tape={tape} /> ·{' '}
                <Frac mm={bar.ends.axle.engagement} tape={tape} unit />
              </Readout>
              <Readout name="Can be made shorter" of="shorten">
                <Frac mm={bar.shorten.mm} tape={tape} unit />, {sayTurns(bar.shorten.turns)}
              </Readout>
              <Readout name="Can be made longer" of="lengthen">
                <Frac mm={bar.lengthen.mm} tape={tape} unit />, {sayTurns(bar.lengthen.turns)}
              </Readout>
            </>
          )}
          <Readout name={isPlateBar(sawn.bar) ? 'It weighs' : 'Tube weighs'} of="tubeMass">
            {MASS.shown(sawn.mass, tape).toFixed(tape === 'mm' ? 2 : 1)} {MASS.sign(tape)}
          </Readout>
        </Readouts>
        <Verdicts tried="cut" verdicts={judgeCut(job)} />

        {bends && <BentBar part={part} sheet={bends} radius={sawn.bar.bendRadius} />}
        <BarEnds key={`${part} ends`} part={part} sawn={sawn} />

        {threads > 0 && (
          <section className="section">
            <h2>Thread of the rod ends</h2>
            {said.thread ? (
              <p className="hint">This bar has a thread of its own, {said.thread}: it is set at Prove.</p>
            ) : (
              <Select<ThreadName>
                aria-label="Thread"
                className="cut-thread"
                value={cut.thread}
                onChange={(thread) => setCut({ thread })}
                options={THREAD_NAMES.map((name) => ({ value: name, label: name }))}
              />
            )}
            <h2 className="cut-sub">Left-hand thread at the</h2>
            <Segmented<Bracket>
              aria-label="Left-hand thread at"
              value={cut.leftHandEnd}
              onChange={(leftHandEnd) => setCut({ leftHandEnd })}
              options={[
                { value: 'frame', label: 'frame end' },
                { value: 'axle', label: 'axle end' },
              ]}
              block
            />
            <p className="hint">
              Match the hands on every bar of a set, so that all of them lengthen by turning the same way. The
              left-hand end usually carries a groove.
            </p>
          </section>
        )}

        {threads > 0 && <EndParts key={part} part={part} />}

        <section className="section cut-tube">
          <h2>{threads > 0 ? 'Tube and rule' : 'Section'}</h2>
          {said.section ? (
            <p className="hint">This bar has a section of its own: it is set at Prove.</p>
          ) : (
            <>
              <CutLength
                field="cut/od"
                label="Tube diameter"
                showLabel
                mm={cut.tube.od}
                least={10}
                most={100}
                put={(c, od) => ({ ...c, tube: { od, wall: Math.min(c.tube.wall, od / 2) } })}
              />
              <CutLength
                field="cut/wall"
                label="Tube wall"
                showLabel
                decimal
                mm={cut.tube.wall}
                least={0.5}
                most={cut.tube.od / 2}
                put={(c, wall) => ({ ...c, tube: { ...c.tube, wall } })}
              />
            </>
          )}
          {threads > 0 && (
            <CutLength
              field="cut/rule"
              label="Least thread, your own rule"
              showLabel
              mm={cut.engagementRule}
              least={0}
              most={120}
              put={(c, engagementRule) => ({ ...c, engagementRule })}
            />
          )}
        </section>
        {threads > 0 && (
          <p className="hint">
            At least one and a half thread diameters is always asked for; your own rule may ask for more. An
            adjustable bar wants a spherical joint at one end at least: two soft bushings twist the jam nut
            loose.
          </p>
        )}
        <Caution>
          {threads > 0 &&
            'Weld threaded bungs with a spare rod end wound in, to sink the heat and keep the thread. '}
          Eye and skin cover, ventilation, an extinguisher at hand. A bar that locates an axle is
          life-critical: have the welds made or inspected by a qualified welder.
        </Caution>
        <div className="section">
          <Button type="primary" size="large" onClick={() => window.print()}>
            Print the cut list
          </Button>
        </div>
        {asBuilt ? (
          <p className="hint">
            Plates, lists and full-size sheets are of the car as it is drawn: go back to as drawn for them.
          </p>
        ) : (
          <>
            <SpringPlates />
            <Straps />
            <Angles />
            <Sleeves />
            <WholeJob />
          </>
        )}
        <StationStripe
          station="cut"
          title="Cut list settled"
          note="Draw it before the saw starts: it breaks if the bar changes after."
        />
      </div>
      <CutSheet job={job} member={member} sawn={sawn} bar={bar} asBuilt={asBuilt} />
    </>
  );
}

/** What is cut, and along what it is measured. */
function cutName({ bar, ends, bends }: BarCut): string {
  if (isPlateBar(bar)) return 'Cut the plate, end to end';
  if (BAR_ENDS.some((end) => ends[end].kind === 'saddle')) return 'Cut the tube, tip to tip';
  return bends ? 'Cut the tube, along it' : 'Cut the tube';
}
