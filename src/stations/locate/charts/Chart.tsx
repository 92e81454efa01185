'use client';
import { Button, Segmented } from 'antd';
import { memo } from 'react';
import { setPreferences, usePreferences, type LocatePart } from '@/store/preferences';
import type { CurvePoint } from '@/core/locate/types';
import { Keep } from '@/ui/charts/Keep';
import { useLocateResult, useTravelMap } from '@/workers/locate';
import { CURVES, type CurveName } from './curves';
import { TravelCurve } from './TravelCurve';
import { TravelMapChart } from './TravelMapChart';

/** One quantity over the travel: as a curve, both wheels together, or as a map, with one wheel against the other too. */
export function Chart({ focus, offered }: { focus: LocatePart; offered: CurveName[] }) {
  const wanted = usePreferences((s) => s.chart[focus]);
  const asMap = usePreferences((s) => s.asMap);
  const which = offered.find((name) => name === wanted) ?? offered[0]!;
  const result = useLocateResult();
  return (
    <figure className="curve">
      <Which focus={focus} offered={offered.join()} value={which} asMap={asMap} />
      {result && asMap && <TravelMapChart which={which} current={result.current} />}
      {result && !asMap && <TravelCurve which={which} curve={result.curve} current={result.current} />}
      {result && (
        <Keep
          name={`${CURVES[which].name.toLowerCase().replaceAll(' ', '-')}${asMap ? '-map' : ''}`}
          title={`${CURVES[which].name} over ${asMap ? 'heave and roll' : 'the travel'}`}
          csv={() => figuresOf(which, result.curve, asMap)}
        />
      )}
    </figure>
  );
}

/** The whole sweep that a curve is one column of; or the map that is shown. */
async function figuresOf(which: CurveName, curve: CurvePoint[], asMap: boolean): Promise<string> {
  const { curveToCsv, mapToCsv } = await import('@/core/bench/sweepCsv');
  const { map } = useTravelMap.getState();
  return asMap && map ? mapToCsv(map, CURVES[which].key) : curveToCsv(curve);
}

type WhichProps = { focus: LocatePart; offered: string; value: CurveName; asMap: boolean };

/** Kept as it is while the curve under it follows a drag; the list crosses as text so that it compares as one. */
const Which = memo(function Which({ focus, offered, value, asMap }: WhichProps) {
  const options = offered
    .split(',')
    .map((name) => ({ value: name as CurveName, label: CURVES[name as CurveName].name }));
  const pick = (name: CurveName) =>
    setPreferences({ chart: { ...usePreferences.getState().chart, [focus]: name } });
  return (
    <div className="curve-which">
      <Segmented<CurveName> value={value} onChange={pick} options={options} />
      <Button
        size="small"
        className="quiet"
        aria-pressed={asMap}
        onClick={() => setPreferences({ asMap: !asMap })}
      >
        {asMap ? 'as a curve' : 'as a map'}
      </Button>
    </div>
  );
});
