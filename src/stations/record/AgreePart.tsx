'use client';
import { judgeRecord } from '@/core/bench/judge/record';
import { Button } from 'antd';
import { Choice } from '@/ui/cards/Choice';
import type { Agreement } from '@/core/survey/agreement';
import { datumName, DATUMS } from '@/core/survey/quantities/datums';
import { marksOf } from '@/core/survey/marks';
import { measured } from '@/core/survey/readings';
import { spotAt, spotName } from '@/core/survey/quantities/quantities';
import { COVERAGE } from '@/core/survey/uncertainty';
import { sayValue } from '@/core/units/values';
import { edit, useJob } from '@/store/jobStore';
import { setPreferences } from '@/store/preferences';
import { useJobAgreement } from '@/workers/choosing/search';
import { Verdicts } from '@/ui/cards/Verdicts';
import { Within } from '@/ui/figures/Within';
import { SIDES } from '@/core/geometry/side';

/** Whether the readings agree: what contradicts the rest, what nothing checks, and what the axle looks like from each datum. */
export function AgreePart() {
  const job = useJob();
  const { tape } = job;
  const agreement = useJobAgreement(job);
  if (agreement === undefined) return <p className="hint">Fitting the readings together…</p>;
  const verdicts = judgeRecord(job, agreement);
  return (
    <>
      {agreement === null ? (
        <p className="hint">
          Nothing is checked yet: read the same thing two ways, such as both diagonals, or ride height with
          axle to frame.
        </p>
      ) : (
        <p className="agree-sum" data-agrees={agreement.wrong.length === 0}>
          {agreement.wrong.length === 0
            ? `All readings agree: ${agreement.redundancy} more than are needed.`
            : `${agreement.wrong.length === 1 ? 'One reading' : `${agreement.wrong.length} readings`} cannot be right. The rest agree.`}
        </p>
      )}
      <Verdicts verdicts={verdicts} />
      {agreement && <DatumTable agreement={agreement} />}
      {agreement && (
        <section className="section">
          <h2>Read, and what all the others make it</h2>
          <table className="fits">
            <thead>
              <tr>
                <th scope="col">reading</th>
                <th scope="col">read</th>
                <th scope="col">by the rest</th>
              </tr>
            </thead>
            <tbody>
              {[...agreement.wrong.map((w) => w.residual), ...agreement.residuals]
                .filter((r) => r.others)
                .map((r, i) => (
                  <tr key={r.key} className={i < agreement.wrong.length ? 'wrong' : ''} data-fit={r.key}>
                    <th scope="row">
                      <Button
                        type="text"
                        className="link"
                        onClick={() => setPreferences({ record: 'measure', sheet: false, readingAt: r.key })}
                      >
                        {spotName(spotAt(r.key)!)}
                      </Button>
                    </th>
                    <td>{sayValue(r.value, spotAt(r.key)!.quantity.unit, tape)}</td>
                    <td>
                      <Within
                        value={r.others!.value}
                        u={r.others!.u}
                        unit={spotAt(r.key)!.quantity.unit}
                        tape={tape}
                      />
                    </td>
                  </tr>
                ))}
            </tbody>
          </table>
          {agreement.unchecked.length > 0 && (
            <p className="hint">
              Nothing checks:{' '}
              {agreement.unchecked.map((key) => spotName(spotAt(key)!).toLowerCase()).join('; ')}.
            </p>
          )}
        </section>
      )}
    </>
  );
}

/** The same axle seen from each datum, and which of them is trusted: all that is told of the car is told from there. */
function DatumTable({ agreement }: { agreement: Agreement }) {
  const job = useJob();
  const { record, readings, rig, tape } = job;
  const tube = measured(readings, 'tubeDiameter').value;
  const rows = agreement.placements.filter((p) => record.measuring.includes(p.datum));
  if (rows.length === 0) return null;
  const trusted = rows.find((r) => r.datum === record.datum) ?? rows[0]!;
  return (
    <section className="section">
      <h2>Which datum do you trust?</h2>
      <Choice
        label="Datum that is trusted"
        name="datum"
        options={rows.map(({ datum, aheadAtTire }) => ({
          value: datum,
          title: datumName(datum, rig.end),
          hint: `${DATUMS[datum].trust} By it, the axle is ${
            Math.abs(aheadAtTire.value) > COVERAGE * aheadAtTire.u
              ? `out of square by ${sayValue(Math.abs(aheadAtTire.value), 'length', tape)} at the tyre, ${aheadAtTire.value > 0 ? 'left' : 'right'} ahead.`
              : 'square, as far as it was read.'
          }`,
        }))}
        value={record.datum}
        onPick={(datum) => edit((j) => ({ ...j, record: { ...j.record, datum } }))}
      />
      <table className="fits" data-datum={trusted.datum}>
        <thead>
          <tr>
            <th scope="col">From the {DATUMS[trusted.datum].short}</th>
            <th scope="col">left</th>
            <th scope="col">right</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">middle of the axle</th>
            {SIDES.map((side) => (
              <td key={side}>
                <Within {...trusted.middle[side]} unit="length" tape={tape} />
              </td>
            ))}
          </tr>
          {(['front', 'rear'] as const).map((edge) => (
            <tr key={edge}>
              <th scope="row">{edge === 'front' ? 'front' : 'back'} of the tube</th>
              {SIDES.map((side) => (
                <td key={side}>
                  {sayValue(
                    marksOf(trusted.middle[side].value, tube, trusted.datum, rig.end)[edge],
                    'length',
                    tape,
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
