'use client';
import { Button, Segmented } from 'antd';
import { checkBar } from '@/core/fabricate/barChecks';
import { makeBar, type BarEnd } from '@/core/fabricate/bar';
import { THREAD_NAMES, type ThreadName } from '@/core/fabricate/threads';
import { barSpec, panhard, withReadings } from '@/core/job/job';
import type { Bracket, Job } from '@/core/job/schema';
import { describeBar } from '@/core/locate/lateralBar';
import { sayTurns } from '@/core/units/turns';
import { edit, useJob } from '@/store/jobStore';
import { CardHead, Caution, Readout, Readouts } from '@/ui/Card';
import { Frac } from '@/ui/Frac';
import { LengthField } from '@/ui/LengthField';
import { StationStripe } from '@/ui/StationStripe';
import { Verdicts } from '@/ui/Verdicts';
import { CutSheet } from './CutSheet';
import './cut.css';

const PARTS: { key: keyof BarEnd; name: string; how: string; least: number; most: number }[] = [
  {
    key: 'toShoulder',
    name: 'Centre to shoulder',
    how: 'Ball centre to the far face of the jam nut, run up tight.',
    least: 5,
    most: 250,
  },
  {
    key: 'showing',
    name: 'Thread left showing',
    how: 'Between that face and the tube. It is what the bar can be shortened by.',
    least: 0,
    most: 150,
  },
  {
    key: 'shank',
    name: 'Thread on the shank',
    how: 'All of it, from that face to the end.',
    least: 5,
    most: 300,
  },
  { key: 'bung', name: 'Thread in the tube', how: 'Threaded length of the bung.', least: 5, most: 300 },
];
const ENDS: Record<Bracket, string> = { frame: 'Frame end', axle: 'Axle end' };

/** From eye to eye to a tube on the saw: what the ends take up, what thread holds, how far it adjusts. */
export function CutCard() {
  const job = useJob();
  const { cut, tape } = job;
  const bar = makeBar(describeBar(panhard(job)).eyeToEye, barSpec(job));
  const verdicts = checkBar(barSpec(job), bar, tape);
  const setCut = (change: (cut: Job['cut']) => Job['cut']) =>
    edit((j) => withReadings({ ...j, cut: change(j.cut) }));
  const remember = (field: string, typed: string) =>
    edit((j) => ({ ...j, typed: { ...j.typed, [field]: typed } }));
  const length = (
    field: string,
    label: string,
    mm: number,
    least: number,
    most: number,
    put: (mm: number) => (cut: Job['cut']) => Job['cut'],
    showLabel = true,
  ) => (
    <LengthField
      field={field}
      label={label}
      mm={mm}
      least={least}
      most={most}
      showLabel={showLabel}
      onEnter={(v, typed) =>
        edit((j) => withReadings({ ...j, cut: put(v)(j.cut), typed: { ...j.typed, [field]: typed } }))
      }
    />
  );
  return (
    <>
      <div className="no-print">
        <CardHead title="Cut the bar">
          Cut long, trim to fit: the tube is what is left between the two ends.
        </CardHead>
        <Readouts>
          <Readout name="Eye to eye, from Locate">
            <Frac mm={describeBar(panhard(job)).eyeToEye} tape={tape} unit />
          </Readout>
          <Readout name="Cut the tube" id="tube">
            <b className="cut-length">
              {bar.tubeLength > 0 ? <Frac mm={bar.tubeLength} tape={tape} unit /> : 'no tube left'}
            </b>
          </Readout>
          <Readout name="Thread in the tube, frame · axle" id="engagement">
            <Frac mm={bar.ends.frame.engagement} tape={tape} /> ·{' '}
            <Frac mm={bar.ends.axle.engagement} tape={tape} unit />
          </Readout>
          <Readout name="Can be made shorter" id="shorten">
            <Frac mm={bar.shorten.mm} tape={tape} unit />, {sayTurns(bar.shorten.turns)}
          </Readout>
          <Readout name="Can be made longer" id="lengthen">
            <Frac mm={bar.lengthen.mm} tape={tape} unit />, {sayTurns(bar.lengthen.turns)}
          </Readout>
          <Readout name="Tube weighs">
            {tape === 'mm' ? `${bar.tubeMass.toFixed(2)} kg` : `${(bar.tubeMass / 0.45359237).toFixed(1)} lb`}
          </Readout>
        </Readouts>
        <Verdicts verdicts={verdicts} />

        <section className="section">
          <h2>Thread of the rod ends</h2>
          <Segmented<ThreadName>
            aria-label="Thread"
            value={cut.thread}
            onChange={(thread) => setCut((c) => ({ ...c, thread }))}
            options={THREAD_NAMES}
            block
          />
          <h2 className="cut-sub">Left-hand thread at the</h2>
          <Segmented<Bracket>
            aria-label="Left-hand thread at"
            value={cut.leftHandEnd}
            onChange={(leftHandEnd) => setCut((c) => ({ ...c, leftHandEnd }))}
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

        <section className="section">
          <h2>The two ends</h2>
          <table className="cut-ends">
            <thead>
              <tr>
                <td />
                <th scope="col">Frame end</th>
                <th scope="col">Axle end</th>
              </tr>
            </thead>
            <tbody>
              {PARTS.map(({ key, name, how, least, most }) => (
                <tr key={key}>
                  <th scope="row">
                    {name}
                    <span className="hint">{how}</span>
                  </th>
                  {(['frame', 'axle'] as const).map((end) => (
                    <td key={end}>
                      {length(
                        `cut/${end}/${key}`,
                        `${name}, ${ENDS[end].toLowerCase()}`,
                        cut.ends[end][key],
                        least,
                        most,
                        (v) => (c) => ({ ...c, ends: { ...c.ends, [end]: { ...c.ends[end], [key]: v } } }),
                        false,
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          {!sameEnds(cut.ends) && (
            <Button
              onClick={() => {
                setCut((c) => ({ ...c, ends: { frame: c.ends.frame, axle: { ...c.ends.frame } } }));
                PARTS.forEach(({ key }) => {
                  const typed = job.typed[`cut/frame/${key}`];
                  if (typed) remember(`cut/axle/${key}`, typed);
                });
              }}
            >
              Make the axle end like the frame end
            </Button>
          )}
        </section>

        <section className="section cut-tube">
          <h2>Tube and rule</h2>
          {length('cut/od', 'Tube diameter', cut.tube.od, 10, 100, (v) => (c) => ({
            ...c,
            tube: { od: v, wall: Math.min(c.tube.wall, v / 2) },
          }))}
          {length('cut/wall', 'Tube wall', cut.tube.wall, 0.5, cut.tube.od / 2, (v) => (c) => ({
            ...c,
            tube: { ...c.tube, wall: v },
          }))}
          {length('cut/rule', 'Least thread, your own rule', cut.engagementRule, 0, 120, (v) => (c) => ({
            ...c,
            engagementRule: v,
          }))}
        </section>
        <p className="hint">
          At least one and a half thread diameters is always asked for; your own rule may ask for more. An
          adjustable bar wants a spherical joint at one end at least: two soft bushings twist the jam nut
          loose.
        </p>
        <Caution>
          Weld threaded bungs with a spare rod end wound in, to sink the heat and keep the thread. Eye and
          skin cover, ventilation, an extinguisher at hand. A bar that locates an axle is life-critical: have
          the welds made or inspected by a qualified welder.
        </Caution>
        <div className="section">
          <Button type="primary" size="large" onClick={() => window.print()}>
            Print the cut list
          </Button>
        </div>
        <StationStripe
          station="cut"
          title="Cut list settled"
          note="Draw it before the saw starts: it breaks if the bar changes after."
        />
      </div>
      <CutSheet job={job} bar={bar} />
    </>
  );
}

function sameEnds({ frame, axle }: Job['cut']['ends']): boolean {
  return PARTS.every(({ key }) => Math.abs(frame[key] - axle[key]) < 1e-6);
}
