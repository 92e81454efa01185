'use client';
import { Button } from 'antd';
import { jobAgreement } from '@/core/job/record';
import type { Job } from '@/core/job/schema';
import { asFound } from '@/core/measure/asFound';
import { DATUMS } from '@/core/measure/datums';
import { measured, measuredAcross } from '@/core/measure/readings';
import { SIDES, type Side } from '@/core/measure/quantities';
import { drivingHeight, heightsOf, layoutRadius, restsOf, restTrust, schoolsOf } from '@/core/place/heights';
import { removalOrder } from '@/core/place/order';
import { placeChecks, placeKey } from '@/core/place/placeChecks';
import type { CentreSchool } from '@/core/place/schools';
import { finer } from '@/core/units/tape';
import { sayLength } from '@/core/units/format';
import { enter, edit, useJob } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/Card';
import { Frac } from '@/ui/Frac';
import { LengthField } from '@/ui/LengthField';
import { Pick } from '@/ui/Pick';
import { StationStripe } from '@/ui/StationStripe';
import { Verdicts } from '@/ui/Verdicts';
import { Within } from '@/ui/Within';
import { StandsDrawing } from './StandsDrawing';
import './place.css';

const put = (field: string, typed: string, place: (p: Job['place']) => Partial<Job['place']>) =>
  enter(field, typed, (job) => ({ ...job, place: { ...job.place, ...place(job.place) } }));

/** Where the axle shall live, and how it is held there while everything else is built to it. */
export function PlaceCard() {
  const job = useJob();
  const verdicts = placeChecks(job);
  const rests = restsOf(job, 0);
  const known = rests.left !== null && rests.right !== null;
  return (
    <div className="place">
      <h2 className="print-only">{job.name}</h2>
      <CardHead title="Hold the axle where it will live">
        Frame on stands at a height of your choice; the axle on rests that let it go up and down, not fore and
        aft.
      </CardHead>
      <Stands />
      {known ? (
        <Rests />
      ) : (
        <p className="ride-wait">Measure the frame on its stands, both sides, straight above the axle.</p>
      )}
      <Verdicts verdicts={verdicts} />
      {known && <AsPlaced />}
      <Centring />
      <Heights />
      <Removal />
      <Caution>
        Stands on solid level ground, the car never on a jack alone, wheels under the sills as a second catch.
        The axle is heavy: a strap over it until its links hold it. Springs hold energy; undo them slack.
      </Caution>
      <div className="tools no-print">
        <Button onClick={() => window.print()}>Print this sheet</Button>
      </div>
      <StationStripe
        station="place"
        title="Axle held in its place"
        note="Draw it when both ends sit at their heights, level and square to the frame."
        disabled={!known || verdicts.some((v) => v.state === 'stop')}
      />
    </div>
  );
}

function Stands() {
  const job = useJob();
  const { held } = job.place;
  return (
    <section className="section">
      <h2>On its stands</h2>
      <div className="gaps">
        {SIDES.map((side) => (
          <LengthField
            key={side}
            field={`place/held.${side}`}
            label={`Floor to frame, ${side}`}
            showLabel
            mm={held[side] ?? null}
            least={0}
            most={2000}
            placeholder="measure"
            onEnter={(mm, typed) =>
              put(`place/held.${side}`, typed, (p) => ({ held: { ...p.held, [side]: mm } }))
            }
          />
        ))}
        <LengthField
          field="place/rideHeight"
          label="It will be, driving"
          showLabel
          mm={drivingHeight(job)}
          least={0}
          most={1500}
          onEnter={(mm, typed) => put('place/rideHeight', typed, () => ({ rideHeight: mm }))}
        />
      </div>
      <details className="approach">
        <summary>Tyre radius used: {sayLength(layoutRadius(job), finer(job.tape))}</summary>
        <div className="approach-body">
          <LengthField
            field="place/tireDiameter"
            label="Tyre not on yet? Its diameter; half of it is used"
            showLabel
            mm={job.place.tireDiameter ?? null}
            least={300}
            most={1400}
            placeholder="as recorded"
            onEnter={(mm, typed) => put('place/tireDiameter', typed, () => ({ tireDiameter: mm }))}
          />
          {job.place.tireDiameter !== undefined && (
            <Button onClick={() => edit((j) => ({ ...j, place: { ...j.place, tireDiameter: undefined } }))}>
              Use the radius as recorded
            </Button>
          )}
          <p className="hint">
            A tyre under load stands lower than half of its diameter. Laid out with the frame flat on the
            ground, half of the diameter is right; for a car that drives, the loaded radius is.
          </p>
        </div>
      </details>
    </section>
  );
}

/** The arithmetic of the rests, drawn, for each end. */
function Rests() {
  const job = useJob();
  const rests = restsOf(job, 0);
  const tube = measured(job.readings, 'tubeDiameter').value;
  const tape = finer(job.tape);
  const left = rests.left!;
  const u = restTrust(job);
  return (
    <section className="section rests">
      <StandsDrawing
        frame={job.place.held.left!}
        centre={left.centre}
        top={left.top}
        tube={tube}
        radius={layoutRadius(job)}
        tape={tape}
      />
      <table className="fits">
        <thead>
          <tr>
            <th scope="col">off the floor</th>
            <th scope="col">left</th>
            <th scope="col">right</th>
          </tr>
        </thead>
        <tbody>
          {(
            [
              ['middle of the axle', 'centre'],
              ['top of the rest, under the tube', 'top'],
            ] as const
          ).map(([label, key]) => (
            <tr key={key}>
              <th scope="row">{label}</th>
              {SIDES.map((side) => (
                <td key={side} data-rest={`${key}.${side}`}>
                  <Within value={rests[side]![key]} u={u} unit="length" tape={job.tape} />
                </td>
              ))}
            </tr>
          ))}
          <tr>
            <th scope="row">between the strips, one tube’s diameter</th>
            <td colSpan={2}>
              <Frac mm={tube} tape={tape} unit />
            </td>
          </tr>
        </tbody>
      </table>
      <p className="hint">
        Middle = tyre radius + frame now − frame driving. Rest = middle − half of the tube.
      </p>
    </section>
  );
}

const WHAT: [key: 'rest' | 'datum' | 'diagonal', label: string, most: number][] = [
  ['rest', 'Floor to the underside of the tube', 2000],
  ['datum', 'Datum to the middle of the axle', 4000],
  ['diagonal', 'Datum to the other end of the axle', 5000],
];

function AsPlaced() {
  const job = useJob();
  const wanted = wantedDistance(job);
  return (
    <section className="section no-print">
      <h2>As it sits now</h2>
      {WHAT.map(([what, label, most]) => (
        <div className="as-placed" key={what}>
          <span>
            {label.replace('Datum', DATUMS[job.record.datum].name)}
            {what === 'datum' && wanted !== null && (
              <span className="hint">wanted: {sayLength(wanted, finer(job.tape))}, both sides</span>
            )}
          </span>
          {SIDES.map((side) => {
            const field = `place/${placeKey(what, side)}`;
            return (
              <LengthField
                key={side}
                field={field}
                label={`${label}, ${side}`}
                mm={job.place.measured[placeKey(what, side)] ?? null}
                least={0}
                most={most}
                placeholder={side}
                onEnter={(mm, typed) =>
                  put(field, typed, (p) => ({ measured: { ...p.measured, [placeKey(what, side)]: mm } }))
                }
              />
            );
          })}
        </div>
      ))}
    </section>
  );
}

/** Where the axle should be from the datum so that its wheels stand in the middle of their openings, mm; null until both are known. */
function wantedDistance(job: Job): number | null {
  const found = asFound(job.readings, jobAgreement(job), job.record.datum);
  const value = (id: string) => found.find((f) => f.id === id)?.value;
  const middle = (side: Side) => value(`middle.${side}`);
  const [left, right] = [middle('left'), middle('right')];
  if (left === undefined || right === undefined) return null;
  const openings = SIDES.flatMap((side) => value(`opening.${side}`) ?? []);
  const ahead = openings.length ? openings.reduce((a, b) => a + b, 0) / openings.length : 0;
  const school = schoolsOf(job)[job.place.school]?.driving ?? 0;
  const { way } = DATUMS[job.record.datum];
  // Moving the axle ahead shortens its distance from a datum that stands ahead of it.
  return (left + right) / 2 + way * (ahead - school);
}

function Centring() {
  const job = useJob();
  const schools = schoolsOf(job);
  const say = (mm: number) =>
    Math.abs(mm) < 0.4
      ? 'in the middle'
      : `${sayLength(Math.abs(mm), finer(job.tape))} ${mm > 0 ? 'ahead of' : 'behind'} the middle`;
  const cost = (school: CentreSchool) => {
    const at = schools[school];
    return at
      ? `Driving: ${say(at.driving)}. Parked: ${say(at.parked)}.`
      : 'The links do not reach that far.';
  };
  const wheelbase = measuredAcross(job.readings, 'wheelbase');
  const change = schools.parked ? Math.abs(schools.parked.driving) : 0;
  return (
    <>
      <Pick
        legend="Two schools: when is the wheel centred in its opening?"
        name="centre-school"
        options={{
          driving: ['At driving height', cost('driving')],
          parked: ['Parked', `${cost('parked')} An error at speed is not seen.`],
        }}
        value={job.place.school}
        onPick={(school) => edit((j) => ({ ...j, place: { ...j.place, school } }))}
      />
      <div className="gaps parked">
        <LengthField
          field="place/parkedDrop"
          label="Parked, it sits lower by"
          showLabel
          mm={job.place.parkedDrop}
          least={0}
          most={500}
          onEnter={(mm, typed) => put('place/parkedDrop', typed, () => ({ parkedDrop: mm }))}
        />
        <p className="hint">
          {job.place.parkedDrop === 0
            ? 'On static springs it parks as it drives, and the schools are one. On air, type how far it comes down.'
            : `The links swing the axle ${sayLength(change, finer(job.tape))} between the two: ${((100 * change) / wheelbase).toFixed(2)} % of the wheelbase. Too little to feel; it is what you would rather look at.`}
        </p>
      </div>
    </>
  );
}

function Heights() {
  const job = useJob();
  const tape = finer(job.tape);
  const rests = Object.fromEntries(heightsOf(job).map((h) => [h.id, restsOf(job, h.lift)]));
  return (
    <section className="section">
      <h2>The four heights</h2>
      <table className="fits heights">
        <thead>
          <tr>
            <th scope="col" />
            <th scope="col">frame off the floor</th>
            <th scope="col">rest, left end</th>
            <th scope="col">wheel in its opening</th>
          </tr>
        </thead>
        <tbody>
          {heightsOf(job).map((h) => (
            <tr key={h.id} data-height={h.id} className={h.id === 'driving' ? 'built' : ''}>
              <th scope="row">{h.label}</th>
              <td>
                <Frac mm={h.frame} tape={tape} />
              </td>
              <td>{rests[h.id]!.left ? <Frac mm={rests[h.id]!.left!.top} tape={tape} /> : '–'}</td>
              <td>
                {h.inOpening === null ? (
                  'out of reach'
                ) : Math.abs(h.inOpening) < 0.4 ? (
                  'middle'
                ) : (
                  <>
                    <Frac mm={Math.abs(h.inOpening)} tape={tape} /> {h.inOpening > 0 ? 'ahead' : 'behind'}
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="hint">
        Brackets are set at the driving height. The rests of the other three show, without a spring in it,
        what the axle comes near at its stops.
      </p>
    </section>
  );
}

function Removal() {
  const job = useJob();
  return (
    <details className="approach">
      <summary>Together already? Which link comes off when</summary>
      <ol className="removal">
        {removalOrder(job.rig).map((step) => (
          <li key={step.id}>
            <b>{step.name}</b>
            {step.frees ? `: without it, ${step.frees.replace(/^nothing/, 'nothing')}.` : '.'}{' '}
            <span className="hint">{step.hold}</span>
          </li>
        ))}
      </ol>
      <p className="hint approach-body">One at a time, the new one in and snug before the next comes off.</p>
    </details>
  );
}
