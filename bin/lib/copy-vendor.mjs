// Copies the distributed files of third-party packages, with their licences, from node_modules into
// public/vendor, so that a server needs no Node to run the application.
import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../../', import.meta.url));
const font = '@fontsource-variable/atkinson-hyperlegible-next';
const files = {
  bulma: [
    ['bulma/css/versions/bulma-no-helpers.min.css', 'bulma.min.css'],
    ['bulma/LICENSE', 'LICENSE'],
  ],
  uplot: [
    ['uplot/dist/uPlot.esm.js', 'uPlot.esm.js'],
    ['uplot/dist/uPlot.min.css', 'uPlot.min.css'],
    ['uplot/LICENSE', 'LICENSE'],
  ],
  qrcode: [
    ['qrcode-generator/dist/qrcode.mjs', 'qrcode.js'],
    ['qrcode-generator/README.md', 'README.md'],
  ],
  font: [
    [`${font}/files/atkinson-hyperlegible-next-latin-wght-normal.woff2`, 'next-latin.woff2'],
    [`${font}/files/atkinson-hyperlegible-next-latin-ext-wght-normal.woff2`, 'next-latin-ext.woff2'],
    [`${font}/files/atkinson-hyperlegible-next-latin-wght-italic.woff2`, 'next-latin-italic.woff2'],
    [`${font}/LICENSE`, 'LICENSE'],
  ],
};
rmSync(`${root}public/vendor`, { recursive: true, force: true });
for (const [name, list] of Object.entries(files)) {
  mkdirSync(`${root}public/vendor/${name}`, { recursive: true });
  for (const [from, to] of list) cpSync(`${root}node_modules/${from}`, `${root}public/vendor/${name}/${to}`);
}

// Passwords that are tried first, one a line; the server reads it, so it lies beside what the server reads.
const words = '@zxcvbn-ts/language-common';
const common = JSON.parse(readFileSync(`${root}node_modules/${words}/src/passwords.json`, 'utf8'));
mkdirSync(`${root}resources/passwords`, { recursive: true });
writeFileSync(`${root}resources/passwords/common.txt.gz`, gzipSync(common.join('\n'), { level: 9, mtime: 0 }));
cpSync(`${root}node_modules/${words}/LICENSE.txt`, `${root}resources/passwords/LICENSE.txt`);
