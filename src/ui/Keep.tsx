'use client';
import { useRef } from 'react';
import './curve.css';
import { pngOf, svgText } from './picture';
import { saveBlob, saveText } from './saveText';

type Props = {
  /** of the files, without their ending */
  name: string;
  /** what the chart is drawn from */
  csv: () => string;
};

/** Takes a chart along: its figures, or a picture of it. Stands inside the chart's own figure. */
export function Keep({ name, csv }: Props) {
  const here = useRef<HTMLDivElement>(null);
  const drawing = () => here.current?.closest('figure')?.querySelector('svg');
  const withDrawing = (keep: (svg: SVGSVGElement) => void) => () => {
    const svg = drawing();
    if (svg) keep(svg);
  };
  return (
    <div className="keep no-print" ref={here}>
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
        onClick={withDrawing((svg) => saveText(`${name}.svg`, svgText(svg), 'image/svg+xml'))}
      >
        SVG
      </button>
      <button
        type="button"
        className="quiet"
        aria-label="Keep the chart as PNG"
        onClick={withDrawing((svg) => void pngOf(svg).then((png) => saveBlob(`${name}.png`, png)))}
      >
        PNG
      </button>
    </div>
  );
}
