import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { PAPERS, plain, POINTS, wrapped, type Paper } from './text';

const MARGIN = 16;
const SIZES = { title: 20, heading: 14, text: 10, small: 8.5 } as const;
const LEADING = 1.32;
const INK = rgb(0, 0, 0);
const LIGHT = rgb(0.45, 0.45, 0.45);

/** A view of something in lines, mm as they are in it: drawn as large as its place lets it. */
export type LineView = {
  title: string;
  lines: { points: [x: number, y: number][]; dashed?: boolean; heavy?: boolean }[];
  rings: { at: [x: number, y: number]; radius: number }[];
};

/** A file that is kept in a document, and can be taken out of it again. */
export type Attached = { name: string; type: string; about: string; bytes: Uint8Array };

/**
 * A document of headings, text, tables, drawings and photographs, written from the top of the first page down: what does not fit on a
 * page goes on to the next, and every page says at its foot what it is of.
 */
export class Document {
  private page!: PDFPage;
  private y = 0;
  private readonly pages: PDFPage[] = [];

  private constructor(
    private readonly pdf: PDFDocument,
    private readonly font: PDFFont,
    private readonly bold: PDFFont,
    private readonly paper: readonly [number, number],
    private readonly foot: string,
  ) {
    this.turn();
  }

  static async begin(title: string, foot: string, paper: Paper): Promise<Document> {
    const pdf = await PDFDocument.create();
    pdf.setTitle(title);
    const font = await pdf.embedFont(StandardFonts.Helvetica);
    const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
    return new Document(pdf, font, bold, PAPERS[paper], foot);
  }

  title(text: string): void {
    this.write(text, { size: SIZES.title, face: this.bold });
    this.y += 2;
  }

  /** On a page of its own where little is left of this one. */
  heading(text: string): void {
    this.need(24);
    this.y += 5;
    this.write(text, { size: SIZES.heading, face: this.bold });
    this.y += 1;
  }

  text(text: string): void {
    this.write(text, { size: SIZES.text, face: this.font });
  }

  small(text: string): void {
    this.write(text, { size: SIZES.small, face: this.font, colour: LIGHT });
  }

  /** Rows of cells under their heads; the widths of the columns as shares of the page. */
  table(heads: string[], rows: string[][], widths: number[]): void {
    if (rows.length === 0) return;
    this.row(heads, widths, this.bold);
    rows.forEach((cells) => this.row(cells, widths, this.font));
    this.y += 2;
  }

  /** Views beside each other, all to one scale. @param height of their place, mm */
  views(views: LineView[], height: number): void {
    this.need(height + 8);
    const share = this.room / views.length;
    const boxes = views.map((view) => extents(view));
    const scale = Math.min(
      ...boxes.map(({ low, high }) =>
        Math.min((share - 6) / Math.max(1, high[0] - low[0]), height / Math.max(1, high[1] - low[1])),
      ),
    );
    const top = this.y;
    views.forEach((view, i) => {
      const { low, high } = boxes[i]!;
      const left = MARGIN + i * share;
      const at = ([x, y]: [number, number]) => ({
        x: (left + (x - low[0]) * scale) * POINTS,
        y: (this.paper[1] - top - 6 - (high[1] - y) * scale) * POINTS,
      });
      this.page.drawText(plain(view.title), {
        x: left * POINTS,
        y: (this.paper[1] - top - 3) * POINTS,
        size: SIZES.small,
        font: this.bold,
        color: INK,
      });
      for (const { points, dashed, heavy } of view.lines)
        points.slice(1).forEach((to, k) =>
          this.page.drawLine({
            start: at(points[k]!),
            end: at(to),
            thickness: heavy ? 1.4 : 0.6,
            color: dashed ? LIGHT : INK,
            ...(dashed && { dashArray: [3, 2] }),
          }),
        );
      for (const { at: centre, radius } of view.rings)
        this.page.drawEllipse({
          ...at(centre),
          xScale: radius * scale * POINTS,
          yScale: radius * scale * POINTS,
          borderColor: INK,
          borderWidth: 0.6,
        });
    });
    this.y = top + height + 10;
  }

  /** A photograph with its words under it. @param jpeg its bytes; what cannot be read as one is said in its place */
  async photo(jpeg: Uint8Array, words: string): Promise<void> {
    const image = await this.pdf.embedJpg(jpeg).catch(() => null);
    if (!image) {
      this.small(`${words}: a photograph that cannot be read.`);
      return;
    }
    const [width, tall] = [Math.min(this.room, PHOTO.width), PHOTO.height];
    const scale = Math.min(width / image.width, tall / image.height);
    const [w, h] = [image.width * scale, image.height * scale];
    this.need(h + 8);
    this.page.drawImage(image, {
      x: MARGIN * POINTS,
      y: (this.paper[1] - this.y - h) * POINTS,
      width: w * POINTS,
      height: h * POINTS,
    });
    this.y += h + 1;
    this.small(words);
    this.y += 2;
  }

  async attach({ name, type, about, bytes }: Attached): Promise<void> {
    await this.pdf.attach(bytes, name, { mimeType: type, description: plain(about) });
  }

  /** The whole document, with its pages numbered. */
  async end(): Promise<Uint8Array> {
    this.pages.forEach((page, i) =>
      page.drawText(plain(`${this.foot} · page ${i + 1} of ${this.pages.length}`), {
        x: MARGIN * POINTS,
        y: 9 * POINTS,
        size: 8,
        font: this.font,
        color: LIGHT,
      }),
    );
    return this.pdf.save();
  }

  private get room(): number {
    return this.paper[0] - 2 * MARGIN;
  }

  private turn(): void {
    const [width, height] = this.paper;
    this.page = this.pdf.addPage([width * POINTS, height * POINTS]);
    this.pages.push(this.page);
    this.y = MARGIN;
  }

  /** Turns the page where less than so much is left of it, mm. */
  private need(height: number): void {
    if (this.y + height > this.paper[1] - MARGIN - 4) this.turn();
  }

  private write(
    text: string,
    { size, face, colour = INK }: { size: number; face: PDFFont; colour?: typeof INK },
  ): void {
    const step = (size * LEADING) / POINTS;
    for (const line of wrapped(plain(text), face, size, this.room)) {
      this.need(step);
      this.line(line, MARGIN, this.y + step * 0.8, size, face, colour);
      this.y += step;
    }
  }

  private row(cells: string[], widths: number[], face: PDFFont): void {
    const step = (SIZES.small * LEADING) / POINTS;
    const columns = widths.map((share) => share * this.room);
    const lines = cells.map((cell, i) => wrapped(plain(cell), face, SIZES.small, columns[i]! - 2));
    const height = step * Math.max(1, ...lines.map((of) => of.length)) + 1.4;
    this.need(height);
    this.page.drawLine({
      start: { x: MARGIN * POINTS, y: (this.paper[1] - this.y) * POINTS },
      end: { x: (this.paper[0] - MARGIN) * POINTS, y: (this.paper[1] - this.y) * POINTS },
      thickness: 0.3,
      color: LIGHT,
    });
    let x = MARGIN;
    lines.forEach((of, i) => {
      of.forEach((line, k) => this.line(line, x, this.y + 0.6 + step * (k + 0.8), SIZES.small, face, INK));
      x += columns[i]!;
    });
    this.y += height;
  }

  private line(text: string, x: number, y: number, size: number, font: PDFFont, color: typeof INK): void {
    this.page.drawText(text, { x: x * POINTS, y: (this.paper[1] - y) * POINTS, size, font, color });
  }
}

/** How large a photograph is at most, mm: two of them and their words on a page. */
const PHOTO = { width: 150, height: 104 };

function extents({ lines, rings }: LineView): { low: [number, number]; high: [number, number] } {
  const places = [
    ...lines.flatMap(({ points }) => points),
    ...rings.flatMap(({ at: [x, y], radius }): [number, number][] => [
      [x - radius, y - radius],
      [x + radius, y + radius],
    ]),
  ];
  const of = (k: 0 | 1) => places.map((p) => p[k]);
  return places.length === 0
    ? { low: [0, 0], high: [1, 1] }
    : { low: [Math.min(...of(0)), Math.min(...of(1))], high: [Math.max(...of(0)), Math.max(...of(1))] };
}
