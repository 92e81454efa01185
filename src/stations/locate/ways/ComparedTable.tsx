import { ROWS, valueOf } from '@/core/choose/candidates/givesUp';
import type { CandidateNumbers, Compared } from '@/core/choose/candidates/compare';
import { sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { isRowGuessed, ofWhat, rowsOf, rowWord, sayRow } from '@/ui/choose/candidateWords';

/** Every candidate in a column, every figure in a row; what hangs on a guess is dashed. */
export function ComparedTable({ all }: { all: Compared[] }) {
  const { tape, end } = useJobPart((j) => ({ tape: j.tape, end: j.rig.end }));
  const worked = all.flatMap(({ numbers }) => numbers ?? []);
  return (
    <div className="ways-scroll" tabIndex={0} role="region" aria-label="The ways side by side">
      <table className="ways-table">
        <thead>
          <tr>
            <td />
            {all.map(({ id, name }, i) => (
              <th key={id} scope="col">
                <span className="way-number">{i + 1}</span> {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rowsOf(ROWS, worked, end).map((row) => (
            <tr key={row} data-row={row}>
              <th scope="row">{rowWord(row, end)}</th>
              {all.map(({ id, numbers }) => {
                const value = numbers ? valueOf(row, numbers) : null;
                return (
                  <td key={id} data-of={id}>
                    {numbers && value !== null ? (
                      <>
                        <span className={isRowGuessed(row, numbers) ? 'guessed-figure' : undefined}>
                          {sayRow(row, value, tape)}
                        </span>
                        <small>{ofWhat(row, numbers, end)}</small>
                      </>
                    ) : (
                      '–'
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
          <tr data-row="unjudged">
            <th scope="row">Not judged: guessed</th>
            {all.map(({ id, numbers }) => (
              <td key={id}>{numbers ? numbers.says.unknown || 'none' : '–'}</td>
            ))}
          </tr>
          {worked.some(({ loaded }) => loaded) && (
            <tr data-row="loaded">
              <th scope="row">Loaded</th>
              {all.map(({ id, numbers }) => (
                <td key={id}>{numbers?.loaded ? <Loaded of={numbers.loaded} /> : '–'}</td>
              ))}
            </tr>
          )}
          {all.some(({ refusal }) => refusal) && (
            <tr>
              <th scope="row">Cannot be so</th>
              {all.map(({ id, refusal }) => (
                <td key={id}>{refusal ?? ''}</td>
              ))}
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );

  function Loaded({ of: { lower, values } }: { of: NonNullable<CandidateNumbers['loaded']> }) {
    return (
      <>
        {sayLength(lower, tape)} lower
        <small>
          {values.rollCentre !== null && `roll centre ${sayLength(values.rollCentre, tape)}`}
          {end === 'rear' && values.antiSquat !== null && `, anti-squat ${values.antiSquat.toFixed(0)} %`}
        </small>
      </>
    );
  }
}
