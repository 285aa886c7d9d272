// Copies the distributed files of third-party packages, with their licences, from node_modules into
// public/vendor, so that a server needs no Node to run the application.
import { cpSync, mkdirSync, rmSync } from 'node:fs';
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
