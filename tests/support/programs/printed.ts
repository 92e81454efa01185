import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** What a program of tests/support/programs prints. */
export function printedBy<T>(program: string, args: string[], input = ''): T {
  const { status, stdout, stderr } = spawnSync('node', [`tests/support/programs/${program}`, ...args], {
    input,
    encoding: 'utf8',
    maxBuffer: 2 ** 28,
  });
  expect([status, stderr]).toEqual([0, '']);
  return JSON.parse(stdout) as T;
}

/** A page of a PDF: its size, the boxes of what is stroked on it, mm, its words, and where each of them ends, mm from its left edge. */
export type PdfPage = {
  width: number;
  height: number;
  boxes: [number, number, number, number][];
  words: string[];
  ends: number[];
};

/** The pages of a PDF, read by a library that shares nothing with what wrote it. */
export function pdfPages(bytes: Uint8Array): PdfPage[] {
  const file = join(mkdtempSync(join(tmpdir(), 'pellik-')), 'read.pdf');
  writeFileSync(file, bytes);
  return printedBy<PdfPage[]>('pdf.mjs', [file]);
}
