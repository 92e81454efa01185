import {
  decodePDFRawStream,
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFHexString,
  PDFName,
  PDFRawStream,
  PDFString,
  type PDFObject,
} from 'pdf-lib';

/** A file that was found in a document. */
export type Found = { name: string; bytes: Uint8Array };

/** Files that a document may hold before it is given up: a book holds one. */
const MOST = 20;

/**
 * Files that are kept in a PDF (ISO 32000, name tree of embedded files, from memory: only a tree without branches, as Pellik writes it).
 * Empty where it holds none.
 *
 * @throws Error where the bytes are no PDF that can be read
 */
export async function attachmentsIn(bytes: Uint8Array): Promise<Found[]> {
  const pdf = await PDFDocument.load(bytes, { ignoreEncryption: false, updateMetadata: false });
  const names = pdf.catalog.lookupMaybe(PDFName.of('Names'), PDFDict);
  const tree = names?.lookupMaybe(PDFName.of('EmbeddedFiles'), PDFDict);
  const list = tree?.lookupMaybe(PDFName.of('Names'), PDFArray);
  if (!list) return [];
  const found: Found[] = [];
  for (let i = 0; i + 1 < Math.min(list.size(), 2 * MOST); i += 2) {
    const name = saidIn(list.lookup(i));
    const spec = list.lookupMaybe(i + 1, PDFDict);
    const stream = spec?.lookupMaybe(PDFName.of('EF'), PDFDict)?.lookup(PDFName.of('F'));
    if (name !== null && stream instanceof PDFRawStream)
      found.push({ name, bytes: decodePDFRawStream(stream).decode() });
  }
  return found;
}

const saidIn = (object: PDFObject | undefined): string | null =>
  object instanceof PDFString || object instanceof PDFHexString ? object.decodeText() : null;
