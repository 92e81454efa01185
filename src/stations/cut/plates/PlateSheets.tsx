'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { sheetStem } from '@/core/cut/cutFiles';
import { USUAL_SHEET, type PlateSheets as Plate } from '@/core/cut/sheets';
import type { Drawing } from '@/core/fabricate/drawing';
import type { Sheet } from '@/core/fabricate/sheetNesting';
import { dxfOf, extentsOf } from '@/core/fabricate/vectorFiles';
import type { Job } from '@/core/job/jobSchema';
import { capital } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { enter, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { FlatPicture } from '@/ui/flat/FlatPicture';
import { saveText } from '@/ui/paper/saveFile';
import { askSheets } from '@/workers/choosing/search';

/** The flat parts laid on sheets of plate, to be cut in one go; laid anew when asked, as it takes a moment. */
export function PlateSheets() {
  const job = useJob();
  const sheet = job.cut.sheet ?? USUAL_SHEET;
  const [laid, setLaid] = useState<{ job: Job; plates: Plate[] } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  async function lay() {
    setBusy(true);
    const outcome = await askSheets(job);
    setBusy(false);
    setProblem(outcome.ok ? null : outcome.message);
    if (outcome.ok) setLaid({ job, plates: outcome.result });
  }

  const size = (key: keyof Sheet, label: string, least: number, most: number) => (
    <LengthField
      field={`cut/sheet/${key}`}
      label={label}
      showLabel
      mm={sheet[key]}
      least={least}
      most={most}
      onEnter={(mm, typed) =>
        enter(`cut/sheet/${key}`, typed, (j) => ({ ...j, cut: { ...j.cut, sheet: { ...sheet, [key]: mm } } }))
      }
    />
  );
  return (
    <section className="plate-sheets" id="cut-sheets">
      <h2 className="cut-sub">Plates on sheets</h2>
      <div className="cut-tube">
        {size('width', 'Sheet, long', 50, 6000)}
        {size('height', 'Sheet, wide', 50, 3000)}
        {size('gap', 'Left between two parts', 0, 50)}
      </div>
      <Button className="lay" loading={busy} onClick={() => void lay()}>
        {laid ? 'Lay them out again' : 'Lay them out'}
      </Button>
      {problem && (
        <p className="field-problem" role="alert">
          {capital(problem)}.
        </p>
      )}
      {laid && laid.job !== job && (
        <p className="hint" data-sheets="old">
          The job has changed since they were laid out.
        </p>
      )}
      {laid?.plates.map((plate) => (
        <OnePlate key={`${plate.metal} ${plate.thickness}`} plate={plate} job={laid.job} />
      ))}
    </section>
  );
}

function OnePlate({ plate, job }: { plate: Plate; job: Job }) {
  const { metal, thickness, sheets, tooLarge } = plate;
  const sheet = job.cut.sheet ?? USUAL_SHEET;
  const name = `${metal}, ${sayLength(thickness, job.tape)}`;
  return (
    <>
      {sheets.map((drawing, i) => (
        <figure key={i} className="plate-sheet" data-sheet={i + 1}>
          <FlatPicture
            drawing={drawing}
            name={`Parts on a sheet of ${name}`}
            window={{ low: [0, 0], high: [sheet.width, usedOf(drawing)] }}
            words
          />
          <figcaption>
            {name}, sheet {i + 1} of {sheets.length}: the first {sayLength(usedOf(drawing), job.tape)} of its
            width{' '}
            <Button
              type="link"
              aria-label={`DXF of sheet ${i + 1}, ${name}`}
              onClick={() => saveText(`${sheetStem(job, plate, i)}.dxf`, dxfOf(drawing), 'image/vnd.dxf')}
            >
              DXF
            </Button>
          </figcaption>
        </figure>
      ))}
      {tooLarge.length > 0 && (
        <p className="field-problem">
          Larger than a sheet of {name}: {tooLarge.map((part) => part.name).join('; ')}.
        </p>
      )}
    </>
  );
}

/** How much of a sheet's width its parts take, mm. */
const usedOf = ({ paths }: Drawing): number =>
  extentsOf({ paths: paths.filter(({ layer }) => layer === 'CUT'), words: [] }).high[1];
