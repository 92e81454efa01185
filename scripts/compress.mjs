/** Lays each text of a build beside it as it is sent, by Brotli and by gzip, so that none is compressed while somebody waits: after each build. */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { root } from './setup.mjs';

const sent = {
  '.br': promisify(brotliCompress),
  '.gz': (text) => promisify(gzip)(text, { level: constants.Z_BEST_COMPRESSION }),
};

const folder = join(root, '.next', 'static');
const files = readdirSync(folder, { recursive: true }).filter((file) => /\.(js|css|svg)$/.test(file));
await Promise.all(
  files.map(async (file) => {
    const path = join(folder, file);
    const text = readFileSync(path);
    for (const [ending, compress] of Object.entries(sent)) writeFileSync(path + ending, await compress(text));
  }),
);
