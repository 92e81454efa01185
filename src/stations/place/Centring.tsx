'use client';
import { travelOf } from '@/core/job/jobValues';
import { measuredAcross } from '@/core/survey/readings';
import { schoolsOf } from '@/core/place/heights';
import { finer } from '@/core/units/tape';
import { sayLength } from '@/core/units/length';
import { edit, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { Pick } from '@/ui/cards/Pick';
import { putPlace } from './place';
import type { CentreSchool } from '@/core/job/slices/place';

/** When the wheel is centred in its opening, and what either school costs on this car. */
export function Centring() {
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
          onEnter={(mm, typed) => putPlace('place/parkedDrop', typed, () => ({ parkedDrop: mm }))}
        />
        <p className="hint">
          {job.place.parkedDrop === 0
            ? 'On static springs it parks as it drives, and the schools are one. On air, type how far it comes down.'
            : `The links swing the axle ${sayLength(change, finer(job.tape))} between the two: ${((100 * change) / wheelbase).toFixed(2)} % of the wheelbase. Too little to feel; it is what you would rather look at.`}
        </p>
        {job.place.parkedDrop > 0 && (
          <LengthField
            field="place/drivenBump"
            label="Driving, the axle comes up at most"
            showLabel
            mm={job.place.drivenBump ?? null}
            least={0}
            most={500}
            placeholder={`all of it: ${sayLength(travelOf(job).bump, finer(job.tape))}`}
            onEnter={(mm, typed) => putPlace('place/drivenBump', typed, () => ({ drivenBump: mm }))}
            onClear={() => putPlace('place/drivenBump', null, () => ({ drivenBump: undefined }))}
          />
        )}
      </div>
    </>
  );
}
