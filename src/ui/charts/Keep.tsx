'use client';
import { Button } from 'antd';
import { memo, type MouseEvent } from 'react';
import { useJobPart } from '@/store/jobStore';
import './curve.css';
import { pngOf, svgText } from './svgExport';
import { useStable } from '@/ui/useStable';
import { saveBlob, saveText } from '@/ui/paper/saveFile';

type Props = {
  /** of the files, without their ending */
  name: string;
  /** what the chart shows, in words */
  title: string;
  /** what the chart is drawn from; its maker is loaded when it is first wanted */
  csv: () => Promise<string>;
};

/** Does something with the drawing of the figure that a button stands in. */
const withDrawing = (keep: (svg: SVGSVGElement) => void) => (e: MouseEvent) => {
  const svg = e.currentTarget.closest('figure')?.querySelector('svg');
  if (svg) keep(svg);
};

/** Takes a chart along: its figures, or a picture of it. Stands inside the chart's own figure. */
export function Keep({ csv, ...named }: Props) {
  const figures = useStable(csv);
  return <Ways {...named} csv={figures} />;
}

/** Kept as it is while the chart over it follows a drag. */
const Ways = memo(function Ways({ name, title, csv }: Props) {
  const car = useJobPart((j) => j.name);
  const head = `${title} · ${car}`;
  return (
    <div className="keep no-print">
      Keep it as
      <Button
        size="small"
        className="quiet"
        aria-label="Keep the figures as CSV"
        onClick={() => void csv().then((text) => saveText(`${name}.csv`, text, 'text/csv'))}
      >
        CSV
      </Button>
      <Button
        size="small"
        className="quiet"
        aria-label="Keep the chart as SVG"
        onClick={withDrawing((svg) => saveText(`${name}.svg`, svgText(svg, head), 'image/svg+xml'))}
      >
        SVG
      </Button>
      <Button
        size="small"
        className="quiet"
        aria-label="Keep the chart as PNG"
        onClick={withDrawing((svg) => void pngOf(svg, head).then((png) => saveBlob(`${name}.png`, png)))}
      >
        PNG
      </Button>
    </div>
  );
});
