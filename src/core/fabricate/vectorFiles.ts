import makerjs from 'makerjs';
import { LAYERS, modelOf, type Drawing } from './drawing';

/** Colours of the layers by their AutoCAD numbers, of which each program makes its own: white, red, green, yellow, cyan. */
const COLOURS = { CUT: 7, BEND: 1, SCRIBE: 3, DRILL: 2, TEXT: 4 } as const;
const WORDS = 5;

/** The header that says that a file is of Release 12: the exporter leaves it out, and readers then guess. */
const RELEASE_12 = '9\n$ACADVER\n1\nAC1009\n';
const HEADER = '2\nHEADER\n';

/** A drawing as DXF, Release 12 in ASCII, mm at its own size, in the layers CUT, BEND, SCRIBE, DRILL and TEXT. */
export function dxfOf(drawing: Drawing): string {
  const text = makerjs.exporter.toDXF(modelOf(drawing), {
    units: makerjs.unitType.Millimeter,
    fontSize: WORDS,
    layerOptions: Object.fromEntries(
      LAYERS.map((layer) => [layer, { color: COLOURS[layer], fontSize: WORDS }]),
    ),
  });
  return `${text.replace(HEADER, `${HEADER}${RELEASE_12}`)}\n`;
}

const STROKES = { CUT: '#000', BEND: '#b4472a', SCRIBE: '#5a7', DRILL: '#14264a', TEXT: '#000' } as const;

/** A drawing as SVG, mm at its own size; each layer is a group of its name. */
export const svgOf = (drawing: Drawing): string =>
  makerjs.exporter.toSVG(modelOf(drawing), {
    units: makerjs.unitType.Millimeter,
    strokeWidth: '0.25mm',
    // Lines keep their width however large the picture is shown; words are of its own units, which are millimetres.
    fontSize: String(WORDS),
    layerOptions: {
      ...Object.fromEntries(LAYERS.map((layer) => [layer, { stroke: STROKES[layer] }])),
      TEXT: { stroke: 'none', fill: STROKES.TEXT },
    },
  });

/** What a drawing takes on a sheet, mm. */
export function extentsOf(drawing: Drawing): { low: [number, number]; high: [number, number] } {
  const { low, high } = makerjs.measure.modelExtents({ paths: modelOf(drawing).paths })!;
  return { low: [low[0]!, low[1]!], high: [high[0]!, high[1]!] };
}

/** The paths of a drawing by layer, as SVG path data with y downwards, mm from a corner. */
export function pathDataOf(drawing: Drawing): Record<string, string> {
  const data = makerjs.exporter.toSVGPathData(
    { paths: modelOf(drawing).paths },
    { byLayers: true, origin: [0, 0] },
  ) as Record<string, string>;
  return data;
}
