import type { RollResult, Tuning } from '@/core/roll/analyse';
import { armInUse, sayHole, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { rateOf, type SpringDesign } from '@/core/springs/springDesign';
import { formatDecimal, sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { useJob } from '@/store/jobStore';
import { PaperSheet } from '@/ui/paper/PaperSheet';
import { usePrinting } from '@/ui/paper/usePrinting';
import { leverName, sayLever, sayLifts } from '@/stations/roll/balance/leverWords';
import { PANHARD } from '@/core/rig/roles';
import { linksOf } from '@/core/rig/members/members';
import type { Job } from '@/core/job/jobSchema';
import { FORCE, PRESSURE, ROLL_RATE, SPRING_RATE } from '@/core/units/unit';

const CAUTION =
  'One thing at a time, then the same corner again; slow first, in a closed place. What stands here helps you judge and certifies nothing.';
const ENDS = ['front', 'rear'] as const;
const RUNS = 7;
const COLUMNS = ['Run', 'Changed', 'Tyres, cold · hot', 'It did', 'Time'];

/** How the car is set up, what a step of each change does, and lines to write the runs on: for the pit wall. */
export function SetUpSheet({ result }: { result: RollResult | null }) {
  const job = useJob();
  const printing = usePrinting();
  if (!printing) return null;
  return (
    <PaperSheet label="Set-up sheet" title="Set-up" caution={CAUTION} figure="tyres">
      <div className="beside">
        <div>
          <h2>As it stands</h2>
          <Lines lines={[...standing(job), ...(result ? comesTo(result, job.tape) : [])]} />
        </div>
        {result?.tuning && result.tuning.levers.length > 0 && (
          <div>
            <h2>What a step does</h2>
            <Lines lines={steps(result.tuning, job)} />
          </div>
        )}
      </div>
      <h2>Runs</h2>
      <table className="runs">
        <thead>
          <tr>
            {COLUMNS.map((column) => (
              <th key={column}>{column}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: RUNS }, (_, run) => (
            <tr key={run}>
              {COLUMNS.map((column) => (
                <td key={column} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </PaperSheet>
  );
}

type Line = [what: string, value: string | null];

/** Those that are known. */
function Lines({ lines }: { lines: Line[] }) {
  return (
    <table>
      <tbody>
        {lines
          .filter(([, value]) => value !== null)
          .map(([what, value]) => (
            <tr key={what}>
              <td>{what}</td>
              <td>{value}</td>
            </tr>
          ))}
      </tbody>
    </table>
  );
}

function standing({ roll, rig, tape }: Job): Line[] {
  const say = (mm: number) => sayLength(mm, tape);
  const across = linksOf(rig).find((m) => m.id === PANHARD);
  return [
    ['Springs, each', roll.springs && saySpring(roll.springs, tape)],
    ['Bump stops touch after', roll.stop && say(roll.stop.gap)],
    ['Sway bar', roll.bar ? sayBar(roll.bar, tape) : 'none'],
    [
      'Bar across the car, off the floor',
      across ? `${say(across.chassis[2])} at the frame, ${say(across.axle[2])} at the axle` : null,
    ],
    ['Other end, against roll', rig.otherEnd ? ROLL_RATE.say(rig.otherEnd.rollRate, tape) : null],
  ];
}

function saySpring(springs: SpringDesign, tape: Tape): string {
  const rate = SPRING_RATE.say(rateOf(springs), tape);
  switch (springs.kind) {
    case 'coil':
      return springs.free === null ? rate : `${rate}, ${sayLength(springs.free, tape)} long unloaded`;
    case 'leaf':
      return `${rate}, ${springs.count} leaves`;
    case 'air':
      return `${rate} at ${PRESSURE.say(springs.pressure, tape)}`;
  }
}

function sayBar(bar: BarDesign, tape: Tape): string {
  const size = `${formatDecimal(bar.od, tape)} ${tape === 'mm' ? 'mm' : 'in'} ${bar.wall === null ? 'solid' : 'tube'}`;
  const hole = bar.holes > 1 ? `, ${sayHole(bar)}` : '';
  return `${size}, arm ${sayLength(armInUse(bar), tape)}${hole}${bar.hooked ? '' : ', links off'}`;
}

function comesTo({ corner, wheelLiftG: lifts }: RollResult, tape: Tape): Line[] {
  if (!corner) return [];
  return [
    [`Leans, at ${corner.g} g`, `${corner.rollDeg.toFixed(1)}°`],
    ['Front’s share of what goes over', `${(100 * corner.frontShare).toFixed(1)} %`],
    ...ENDS.map((end): Line => {
      const { inside, outside } = corner.wheels[end];
      return [
        `On the ${end} tyres, inside · outside`,
        `${FORCE.say(Math.max(0, inside), tape)} · ${FORCE.say(outside, tape)}`,
      ];
    }),
    ['Inside wheel lifts, front · rear', lifts && sayLifts(lifts)],
  ];
}

const steps = ({ levers }: Tuning, { rig, tape }: Job): Line[] =>
  levers.map(({ id, step, share, roll }) => [
    `${leverName(id, rig.end)}, ${sayLever(id, step, tape)}`,
    `${change(100 * share, ' %', 'tighter', 'looser') ?? 'balance as it is'}, ${change(roll, '°', 'more lean', 'less lean') ?? 'lean as it is'}`,
  ]);

/** To a tenth; null where that is nothing. */
function change(by: number, unit: string, more: string, less: string): string | null {
  const size = Math.abs(by).toFixed(1);
  return size === '0.0' ? null : `${size}${unit} ${by > 0 ? more : less}`;
}
