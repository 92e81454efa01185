'use client';
import type { MouseEvent } from 'react';
import { useJobPart } from '@/store/jobStore';
import './curve.css';
import { pngOf, svgText } from './svgExport';
import { saveBlob, saveText } from '@/ui/paper/saveFile';

type Props = {
  /** of the files, without their ending */
  name: string;
  /** what the chart shows, in words */
  title: string;
  /** what the chart is drawn from */
  csv: () => string;
};

/** Does something with the drawing of the figure that a button stands in. */
const withDrawing = (keep: (svg: SVGSVGElement) => void) => (e: MouseEvent) => {
  const svg = e.currentTarget.closest('figure')?.querySelector('svg');
  if (svg) keep(svg);
};

/** Takes a chart along: its figures, or a picture of it. Stands inside the chart's own figure. */
export function Keep({ name, title, csv }: Props) {
  const car = useJobPart((j) => j.name);
  const head = `${title} · ${car}`;
  return (
    <div className="keep no-print">
      Keep it as
      <button
        type="button"
        className="quiet"
        aria-label="Keep the figures as CSV"
        onClick={() => saveText(`${name}.csv`, csv(), 'text/csv')}
      >
        CSV
      </button>
      <button
        type="button"
        className="quiet"
        aria-label="Keep the chart as SVG"
        onClick={withDrawing((svg) => saveText(`${name}.svg`, svgText(svg, head), 'image/svg+xml'))}
      >
        SVG
      </button>
      <button
        type="button"
        className="quiet"
        aria-label="Keep the chart as PNG"
        onClick={withDrawing((svg) => void pngOf(svg, head).then((png) => saveBlob(`${name}.png`, png)))}
      >
        PNG
      </button>
    </div>
  );
}
