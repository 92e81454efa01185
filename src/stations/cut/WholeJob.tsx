'use client';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { fullSizePdf, revisionOf } from '@/core/cut/cutFiles';
import { cutListCsv, saySection, shoppingCsv, shoppingList } from '@/core/cut/lists';
import { jobCut, USUAL_STOCK } from '@/core/cut/jobCut';
import type { FlatPart } from '@/core/cut/flatParts';
import { numberOf } from '@/core/cut/sheets';
import { dxfOf, svgOf } from '@/core/fabricate/vectorFiles';
import { fileStem } from '@/core/job/file';
import { capital, memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { edit, enter, useJob } from '@/store/jobStore';
import { say } from '@/store/notices';
import { LengthField } from '@/ui/fields/LengthField';
import { saveBlob, saveText } from '@/ui/paper/saveFile';
import { Jig } from './Jig';
import { PlateSheets } from './plates/PlateSheets';
import { Weight } from './Weight';

/** All that the job is cut from: tubes, plates, what to buy, and the files to make them by. */
export function WholeJob() {
  const job = useJob();
  const { tape } = job;
  const cut = useMemo(() => jobCut(job), [job]);
  const revision = useMemo(() => revisionOf(cut), [cut]);
  const stock = job.cut.stock ?? USUAL_STOCK;
  const [busy, setBusy] = useState(false);
  const stem = fileStem(job.name);

  async function sheets() {
    setBusy(true);
    try {
      const bytes = await fullSizePdf(job, cut, tape === 'mm' ? 'a4' : 'letter');
      saveBlob(
        `${stem}-full-size-${revision}.pdf`,
        new Blob([bytes as BlobPart], { type: 'application/pdf' }),
      );
      edit((j) => ({ ...j, cut: { ...j.cut, printed: revision } }));
    } catch (error) {
      say({
        kind: 'error',
        key: 'sheets',
        title: 'The sheets could not be made.',
        description: `${(error as Error).message}. Nothing in the job has changed.`,
      });
    } finally {
      setBusy(false);
    }
  }

  return (
    <section className="section whole-job">
      <h2>The whole job</h2>
      <table className="cut-table" data-cut="bars">
        <thead>
          <tr>
            <th scope="col">Bar</th>
            <th scope="col">cut</th>
            <th scope="col">of</th>
          </tr>
        </thead>
        <tbody>
          {cut.bars.map((bar) => (
            <tr key={bar.id}>
              <th scope="row">{capital(memberName(bar.id, job.rig.end))}</th>
              <td>{bar.blank > 0 ? sayLength(bar.blank, tape) : 'no tube left'}</td>
              <td>{saySection(bar.bar.section, tape)}</td>
            </tr>
          ))}
          {cut.pieces.map((piece) => (
            <tr key={piece.id}>
              <th scope="row">
                {piece.name}
                <span className="hint"> cut to fit, once both ends are marked</span>
              </th>
              <td>
                {piece.quantity > 1 && `${piece.quantity} × `}
                {sayLength(piece.length + piece.spare, tape)}
              </td>
              <td>{saySection(piece.section, tape)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className="cut-table" data-cut="plates">
        <thead>
          <tr>
            <th scope="col">Flat part</th>
            <th scope="col">off</th>
            <th scope="col">files</th>
          </tr>
        </thead>
        <tbody>
          {[...cut.flats, ...cut.wraps].map((part) => (
            <FlatRow
              key={part.id}
              part={part}
              number={numberOf(cut.flats, part)}
              thick={part.thickness > 0 ? sayLength(part.thickness, tape) : 'paper'}
            />
          ))}
        </tbody>
      </table>
      <p className="hint">
        DXF and SVG are in millimetres at full size, with the layers CUT, BEND, SCRIBE, DRILL and TEXT.
      </p>
      <div className="cut-tube">
        <LengthField
          field="cut/stock"
          label="Tube is bought in lengths of"
          showLabel
          mm={stock.length}
          least={100}
          most={20_000}
          onEnter={(length, typed) =>
            enter('cut/stock', typed, (j) => ({ ...j, cut: { ...j.cut, stock: { ...stock, length } } }))
          }
        />
        <LengthField
          field="cut/kerf"
          label="The saw takes"
          showLabel
          decimal
          mm={stock.kerf}
          least={0}
          most={20}
          onEnter={(kerf, typed) =>
            enter('cut/kerf', typed, (j) => ({ ...j, cut: { ...j.cut, stock: { ...stock, kerf } } }))
          }
        />
      </div>
      <Jig cut={cut} />
      <PlateSheets />
      <Weight cut={cut} />
      <h2 className="cut-sub">To buy</h2>
      <ul className="to-buy">
        {shoppingList(job, cut).map(({ what, quantity, note }) => (
          <li key={what}>
            <b>{quantity}</b> {what}
            {note && <span className="hint"> {note}</span>}
          </li>
        ))}
      </ul>
      <div className="starts">
        <Button type="primary" loading={busy} onClick={() => void sheets()}>
          Full-size sheets, PDF
        </Button>
        <Button onClick={() => saveText(`${stem}-cut-list.csv`, cutListCsv(job, cut), 'text/csv')}>
          Cut list, CSV
        </Button>
        <Button onClick={() => saveText(`${stem}-shopping-list.csv`, shoppingCsv(job, cut), 'text/csv')}>
          Shopping list, CSV
        </Button>
      </div>
      <p className={job.cut.printed && job.cut.printed !== revision ? 'field-problem' : 'hint'} data-revision>
        {!job.cut.printed
          ? `Revision ${revision}. Print at 100 % and measure the square on the first sheet.`
          : job.cut.printed === revision
            ? `The sheets made last, revision ${revision}, are as all of it stands.`
            : `The sheets made last, revision ${job.cut.printed}, are out of date: something has changed since. This is ${revision}.`}
      </p>
    </section>
  );
}

/** @param number on a sheet of plate; 0 of what is paper */
function FlatRow({ part, number, thick }: { part: FlatPart; number: number; thick: string }) {
  const { id, name, quantity, drawing } = part;
  return (
    <tr>
      <th scope="row">
        {number > 0 && <b>{number}</b>} {name} <span className="hint">{thick}</span>
      </th>
      <td>{quantity}</td>
      <td>
        <Button
          type="link"
          aria-label={`DXF of ${name}`}
          onClick={() => saveText(`${id}.dxf`, dxfOf(drawing), 'image/vnd.dxf')}
        >
          DXF
        </Button>
        <Button
          type="link"
          aria-label={`SVG of ${name}`}
          onClick={() => saveText(`${id}.svg`, svgOf(drawing), 'image/svg+xml')}
        >
          SVG
        </Button>
      </td>
    </tr>
  );
}
