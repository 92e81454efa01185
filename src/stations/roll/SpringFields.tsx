'use client';
import { leafRate } from '@/core/roll/leaf';
import type { Air, Coil, Leaves, SpringDesign, Stand, Stands } from '@/core/roll/springDesign';
import {
  areaUnit,
  growthUnit,
  pressureUnit,
  readArea,
  readGrowth,
  readPressure,
  readVolume,
  showArea,
  showGrowth,
  showPressure,
  showVolume,
  volumeUnit,
} from '@/core/units/air';
import { rateUnit, readRate, sayRate, showRate } from '@/core/units/rates';
import { useJobPart } from '@/store/jobStore';
import { putRoll } from '@/store/roll';
import { LengthField } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';

const put = (change: Partial<SpringDesign>, field?: string, typed?: string): void =>
  putRoll(
    ({ springs }) => (springs ? { springs: { ...springs, ...change } as SpringDesign } : {}),
    field,
    typed,
  );

type Part = 'frame' | 'axle';
const STAND_WORDS: [key: keyof Stand, label: string, least: number, most: number][] = [
  ['out', 'from the centreline', 50, 1000],
  ['height', 'off the floor', 30, 1600],
  ['ahead', 'from the axle', -1000, 1000],
];

/** Where the two ends of the left spring or shock stand; the right one is its mirror. */
export function StandFields({
  name,
  stands,
  onPut,
}: {
  name: string;
  stands: Stands;
  onPut: (change: Partial<Stands>, field: string, typed: string) => void;
}) {
  return (['frame', 'axle'] as Part[]).map((end) => (
    <div key={end}>
      <h3>{end === 'frame' ? 'Frame end' : 'Axle end'}</h3>
      <div className="two-up">
        {STAND_WORDS.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`${name}/${end}/${key}`}
            label={`${end === 'frame' ? 'Frame end' : 'Axle end'}, ${label}`}
            showLabel
            mm={stands[end][key]}
            least={least}
            most={most}
            ways={key === 'ahead' ? ['ahead', 'behind'] : undefined}
            onEnter={(mm, typed) =>
              onPut({ [end]: { ...stands[end], [key]: mm } }, `${name}/${end}/${key}`, typed)
            }
          />
        ))}
      </div>
    </div>
  ));
}

export function CoilFields({ springs }: { springs: Coil }) {
  const tape = useJobPart((j) => j.tape);
  return (
    <>
      <div className="two-up">
        <NumberField
          field="roll/rate"
          label="Rate"
          showLabel
          value={showRate(springs.rate, tape)}
          least={1}
          most={20_000}
          unit={rateUnit(tape)}
          decimals={tape === 'mm' ? 1 : 0}
          onEnter={(shown) => put({ rate: readRate(shown, tape) })}
        />
        <LengthField
          field="roll/free"
          label="Free length, unloaded"
          showLabel
          mm={springs.free}
          least={30}
          most={1500}
          placeholder="not known"
          onEnter={(free, typed) => put({ free }, 'roll/free', typed)}
        />
        <LengthField
          field="roll/solid"
          label="Length with its coils closed"
          showLabel
          mm={springs.solid}
          least={20}
          most={1000}
          placeholder="not known"
          onEnter={(solid, typed) => put({ solid }, 'roll/solid', typed)}
        />
      </div>
      <StandFields name="roll/spring" stands={springs} onPut={put} />
    </>
  );
}

const LEAF_LENGTHS: [
  key: 'out' | 'front' | 'rear' | 'width' | 'thickness',
  label: string,
  least: number,
  most: number,
][] = [
  ['front', 'Seat to front eye', 150, 1200],
  ['rear', 'Seat to rear eye', 150, 1200],
  ['width', 'Width of the leaves', 20, 150],
  ['thickness', 'Thickness of a leaf', 2, 30],
  ['out', 'Seat, from the centreline', 100, 900],
];

export function LeafFields({ springs }: { springs: Leaves }) {
  const tape = useJobPart((j) => j.tape);
  return (
    <>
      <div className="two-up">
        {LEAF_LENGTHS.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`roll/leaf/${key}`}
            label={label}
            showLabel
            decimal={key === 'thickness'}
            mm={springs[key]}
            least={least}
            most={most}
            onEnter={(mm, typed) => put({ [key]: mm }, `roll/leaf/${key}`, typed)}
          />
        ))}
        <NumberField
          field="roll/leaf/count"
          label="Leaves in the pack"
          showLabel
          value={springs.count}
          least={1}
          most={20}
          unit=""
          decimals={0}
          onEnter={(n) => put({ count: Math.round(n), full: Math.min(springs.full, Math.round(n)) })}
        />
        <NumberField
          field="roll/leaf/full"
          label="of them full length"
          showLabel
          value={springs.full}
          least={0}
          most={springs.count}
          unit=""
          decimals={0}
          onEnter={(n) => put({ full: Math.round(n) })}
        />
        <NumberField
          field="roll/leaf/measured"
          label="Rate as weighed"
          showLabel
          value={springs.measured === null ? null : showRate(springs.measured, tape)}
          least={1}
          most={20_000}
          unit={rateUnit(tape)}
          decimals={tape === 'mm' ? 1 : 0}
          placeholder="not weighed"
          onEnter={(shown) => put({ measured: readRate(shown, tape) })}
        />
      </div>
      <p className="hint" data-readout="leafRate">
        By its leaves it comes to {sayRate(leafRate(springs), tape)} at the seat. Friction makes a real pack
        stiffer over small bumps: two weights on the bed and a tape tell its own rate.
        {springs.measured !== null && (
          <button type="button" className="quiet" onClick={() => put({ measured: null })}>
            go by the leaves
          </button>
        )}
      </p>
    </>
  );
}

export function AirFields({ springs }: { springs: Air }) {
  const tape = useJobPart((j) => j.tape);
  const decimals = tape === 'mm' ? 2 : 1;
  return (
    <>
      <div className="two-up">
        <NumberField
          field="roll/air/pressure"
          label="Pressure at ride height"
          showLabel
          value={showPressure(springs.pressure, tape)}
          least={tape === 'mm' ? 0.1 : 1}
          most={tape === 'mm' ? 20 : 300}
          unit={pressureUnit(tape)}
          decimals={decimals}
          onEnter={(shown) => put({ pressure: readPressure(shown, tape) })}
        />
        <NumberField
          field="roll/air/area"
          label="Area it pushes with"
          showLabel
          value={showArea(springs.area, tape)}
          least={1}
          most={2000}
          unit={areaUnit(tape)}
          decimals={decimals}
          onEnter={(shown) => put({ area: readArea(shown, tape) })}
        />
        <NumberField
          field="roll/air/volume"
          label="Air in it at ride height"
          showLabel
          value={showVolume(springs.volume, tape)}
          least={tape === 'mm' ? 0.1 : 5}
          most={tape === 'mm' ? 50 : 3000}
          unit={volumeUnit(tape)}
          decimals={tape === 'mm' ? 2 : 0}
          onEnter={(shown) => put({ volume: readVolume(shown, tape) })}
        />
        <NumberField
          field="roll/air/growth"
          label="Area grows as it shortens, by"
          showLabel
          value={showGrowth(springs.growth, tape)}
          least={-20}
          most={60}
          unit={growthUnit(tape)}
          decimals={decimals}
          onEnter={(shown) => put({ growth: readGrowth(shown, tape) })}
        />
      </div>
      <p className="hint">
        The maker’s load at a pressure, divided by that pressure, is the area; its chart at two heights tells
        how it grows: a rolling sleeve little, a double bellows a good deal. A tank open to the bag counts as
        air in it.
      </p>
      <StandFields name="roll/spring" stands={springs} onPut={put} />
    </>
  );
}
