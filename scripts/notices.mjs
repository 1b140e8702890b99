// npm run notices: writes docs/third-party.md, which lists every package that Urbild runs with, and its licence. With --check it only says
// whether the document is current, and whether every licence is one that we may ship with.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const file = path.join(root, 'docs/third-party.md');

/** Licences that allow shipping a package with a program, with its notice. */
const ALLOWED =
  /^(MIT|MIT-0|ISC|0BSD|BSD|BSD-2-Clause|BSD-3-Clause|Apache-2\.0|Apache 2\.0|BlueOak-1\.0\.0|Unlicense|CC0-1\.0|CC-BY-4\.0|OFL-1\.1|Python-2\.0|WTFPL|LGPL-3\.0-or-later|Zlib)$/;
/** True where a licence, or one of those that one may choose among, is allowed. */
const allowed = (licence) =>
  licence
    .replace(/[()]/g, '')
    .split(' OR ')
    .some((choice) => choice.split(' AND ').every((part) => ALLOWED.test(part.trim())));

/** Packages that run with Urbild, from the lock file: not those for development, not our own, not those of other systems. */
function packages() {
  const lock = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'));
  const found = new Map();
  for (const [where, { dev, link, optional, version, license }] of Object.entries(lock.packages)) {
    if (!where.includes('node_modules/') || dev || link || optional) continue;
    const name = where.slice(where.lastIndexOf('node_modules/') + 'node_modules/'.length);
    const own = path.join(root, where, 'package.json');
    const about = license === undefined && existsSync(own) ? JSON.parse(readFileSync(own, 'utf8')) : {};
    // older packages have an object, or a list of them
    const said = license ?? about.license ?? about.licenses?.[0];
    const licence = typeof said === 'object' ? said.type : said;
    found.set(`${name} ${version}`, { name, version, licence: licence ?? 'unknown' });
  }
  return [...found.values()].sort((a, b) =>
    a.name < b.name ? -1 : a.name > b.name ? 1 : a.version < b.version ? -1 : 1,
  );
}

/** Model files that come with the tree have to be those that their notice tells of. */
function strangeModels() {
  const folder = path.join(root, 'apps/server/models');
  const notice = readFileSync(path.join(folder, 'NOTICE.md'), 'utf8');
  const sum = (name) =>
    createHash('sha256')
      .update(readFileSync(path.join(folder, name)))
      .digest('hex');
  return readdirSync(folder)
    .filter((name) => name !== 'NOTICE.md' && !notice.includes(`\`${name}\`: ${sum(name)}`))
    .map((name) => `apps/server/models/${name} is not the file that its notice tells of`);
}

const all = packages();
const document = `# Third-party notices

Urbild runs with these packages; the text of each licence lies in the package's folder below node_modules. This list is made by
\`npm run notices\` from the lock file and checked by \`./check\`. Parts for single systems (compiled libraries) come with the package
that names them and have its licence, but for libvips, which sharp brings as a library of its own under LGPL-3.0-or-later.

The vision models (faces, face mesh, irises, faces' features, bodies) are files of the package @vladmandic/human; where each comes from and
who made it stands in that package's folder of models. The one that tells figure from ground comes with Urbild: apps/server/models/NOTICE.md
says from where, and under which terms. The fonts are under the SIL Open Font License.

${all.map(({ name, version, licence }) => `- ${name} ${version}: ${licence}`).join('\n')}
`;
const problems = all
  .filter(({ licence }) => !allowed(licence))
  .map((p) => `${p.name} ${p.version}: licence "${p.licence}" is not one that we may ship with`);
if (!process.argv.includes('--check')) writeFileSync(file, document);
else if (!existsSync(file) || readFileSync(file, 'utf8') !== document)
  problems.push('docs/third-party.md is not current: npm run notices');
problems.push(...strangeModels());
problems.forEach((problem) => console.error(problem));
console.log(`${all.length} packages`);
process.exit(problems.length ? 1 : 0);
