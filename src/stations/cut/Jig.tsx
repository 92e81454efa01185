'use client';
import { Button } from 'antd';
import { jigName, jigOf } from '@/core/cut/cutFiles';
import { jigSets, type JigSet } from '@/core/cut/jig';
import type { JobCut } from '@/core/cut/jobCut';
import { dxfOf } from '@/core/fabricate/vectorFiles';
import { sayLength } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { saveText } from '@/ui/paper/saveFile';

/** The settings at which bars are held while they are welded or made up: one for all that are alike. */
export function Jig({ cut }: { cut: JobCut }) {
  const job = useJob();
  const say = (mm: number) => sayLength(mm, job.tape);
  return (
    <section className="jig" id="cut-jig">
      <h2 className="cut-sub">Jig</h2>
      <table className="cut-table" data-cut="jig">
        <thead>
          <tr>
            <th scope="col">Made on it</th>
            <th scope="col">pins apart</th>
            <th scope="col">pins</th>
          </tr>
        </thead>
        <tbody>
          {jigSets(job, cut.bars).map((set) => (
            <tr key={set.bars.join()}>
              <th scope="row">
                {jigName(job, set)} <span className="hint">{sayClock(set)}</span>
              </th>
              <td>{say(set.apart)}</td>
              <td>
                {set.pins.frame === set.pins.axle
                  ? say(set.pins.frame)
                  : `${say(set.pins.frame)} frame, ${say(set.pins.axle)} axle`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="hint">
        Stand the axle on rests at ride height and hold bars and brackets by strips from eye to eye while they
        are tacked; measure eye to eye again when each weld is cold. A threaded end turns to suit its bolt.{' '}
        <Button type="link" onClick={() => saveText('jig.dxf', dxfOf(jigOf(job, cut)), 'image/vnd.dxf')}>
          DXF of the jig
        </Button>
      </p>
    </section>
  );
}

/** How far the eyes of a bar are turned to each other. */
function sayClock({ clockDeg, bent }: JigSet): string {
  const welded =
    clockDeg === null
      ? []
      : Math.abs(clockDeg) < 0.5
        ? ['its bolts lie one way']
        : [
            `the axle’s bolt ${Math.abs(clockDeg).toFixed(0)}° ${clockDeg > 0 ? 'clockwise' : 'anticlockwise'} from the frame’s, seen from the frame`,
          ];
  return [...(bent ? ['bent'] : []), ...welded].join(', ');
}
