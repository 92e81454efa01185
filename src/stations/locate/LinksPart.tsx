'use client';
import { LAYOUT_NAMES, memberName } from '@/core/layouts/names';
import { PANHARD } from '@/core/layouts/patterns';
import { partnerOf } from '@/core/rig/members';
import { formatDegrees } from '@/core/units/format';
import { sayGive } from '@/core/locate/linkChecks';
import { setAlike, useFocus } from '@/store/focus';
import { edit, useJobPart } from '@/store/jobStore';
import { CardHead, Readout, Readouts } from '@/ui/Card';
import { Frac } from '@/ui/Frac';
import { LengthField } from '@/ui/LengthField';
import { Verdicts } from '@/ui/Verdicts';
import { useAnalysis } from '@/workers/analysis';
import { DragLink } from './DragLink';
import { MountsTable } from './MountsTable';
import { TravelCurve } from './TravelCurve';

/** The members that hold the axle lengthwise and stop it turning: how it pulls, steers and turns its pinion. */
export function LinksPart() {
  const layout = useJobPart((j) => j.layout);
  const end = useJobPart((j) => j.rig.end);
  return (
    <>
      <CardHead title={LAYOUT_NAMES[layout][0]}>{LAYOUT_NAMES[layout][1]}</CardHead>
      <LinkResults />
      <TravelCurve
        offered={end === 'rear' ? ['antiSquat', 'rollSteer', 'pinion'] : ['bumpSteer', 'rollSteer', 'pinion']}
      />
      <Members />
      {end === 'front' && <DragLink />}
      {end === 'rear' && <GravityHeight />}
    </>
  );
}

function LinkResults() {
  const tape = useJobPart((j) => j.tape);
  const rear = useJobPart((j) => j.rig.end === 'rear');
  const result = useAnalysis((s) => s.result);
  if (!result) return null;
  const { links, linkVerdicts } = result;
  return (
    <>
      <Readouts>
        {rear && links.antiSquat !== null && (
          <Readout name="Anti-squat" id="antiSquat">
            {Math.round(links.antiSquat)} %
          </Readout>
        )}
        {links.rollSteer !== null && (
          <Readout name="Steers, for a degree of roll" id="rollSteer">
            {formatDegrees(Math.abs(links.rollSteer), 2)}{' '}
            {!rear || Math.abs(links.rollSteer) < 0.005
              ? ''
              : links.rollSteer > 0
                ? 'steadying'
                : 'loosening'}
          </Readout>
        )}
        <Readout name={rear ? 'Pinion turns, droop to bump' : 'Caster changes, droop to bump'} id="pinion">
          {formatDegrees(links.pinion)}
        </Readout>
        <Readout name="Lines of the members meet" id="instantCentre">
          {links.instantCentre ? (
            <>
              <Frac mm={Math.abs(links.instantCentre[0])} tape={tape} unit />{' '}
              {links.instantCentre[0] > 0 ? 'ahead' : 'behind'}
            </>
          ) : (
            'never: parallel'
          )}
        </Readout>
        {links.bind && (
          <Readout name={`Must give, ${links.bind.at}`} id="bind">
            {sayGive(links.bind.give, tape)}
          </Readout>
        )}
      </Readouts>
      <Verdicts verdicts={linkVerdicts} />
    </>
  );
}

/** Tables of the members; one of a pair stands for both while both sides are kept alike. */
function Members() {
  const alike = useFocus((s) => s.alike);
  const ids = useJobPart((j) => j.rig.members.map((m) => m.id)).filter((id) => id !== PANHARD);
  const paired = ids.some((id) => partnerOf(id));
  const shown = alike ? ids.filter((id) => !id.endsWith('-right')) : ids;
  return (
    <section className="section">
      <h2>Mounts</h2>
      {paired && (
        <label className="alike">
          <input type="checkbox" checked={alike} onChange={(e) => setAlike(e.target.checked)} />
          <span>Left and right alike: a change on one side is made on both</span>
        </label>
      )}
      {shown.map((id) => (
        <div key={id} className="link-block">
          <h3>
            {alike && partnerOf(id)
              ? memberName(id).replace(/^left /, '') + ', left and right'
              : memberName(id)}
          </h3>
          <MountsTable memberId={id} />
        </div>
      ))}
    </section>
  );
}

function GravityHeight() {
  const cgHeight = useJobPart((j) => j.rig.cgHeight ?? 0);
  return (
    <section className="section">
      <h2>Height of the centre of gravity</h2>
      <LengthField
        field="cgHeight"
        label="Height of the centre of gravity"
        mm={cgHeight}
        least={200}
        most={1500}
        onEnter={(mm, typed) =>
          edit((j) => ({ ...j, rig: { ...j.rig, cgHeight: mm }, typed: { ...j.typed, cgHeight: typed } }))
        }
      />
      <p className="hint">About the height of the camshaft on most cars. Anti-squat counts against it.</p>
    </section>
  );
}
