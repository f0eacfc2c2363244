// Gathers the packages and fonts that ship with the application, with their licences: into the About page's list and
// docs/third-party-notices.md. Run by ./lantern notices after a dependency has changed.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');
const read = (path) => JSON.parse(readFileSync(path, 'utf8'));

function licenceFile(folder) {
  const name = readdirSync(folder).find((f) => /^(licen[cs]e|ofl|copying)/i.test(f));
  return name === undefined ? '' : readFileSync(join(folder, name), 'utf8').trim();
}

function clientPackages() {
  const lock = read(join(root, 'client/package-lock.json'));
  return Object.entries(lock.packages)
    .filter(([path, p]) => path !== '' && p.dev !== true && p.optional !== true)
    .map(([path, p]) => {
      const folder = join(root, 'client', path);
      return {
        name: path.replace(/^.*node_modules\//, ''),
        version: p.version,
        licence: p.license ?? read(join(folder, 'package.json')).license ?? 'see text',
        for: path.includes('@fontsource') ? 'font of the interface' : 'interface',
        text: licenceFile(folder),
      };
    });
}

function serverPackages() {
  const lock = read(join(root, 'src/App/packages.lock.json'));
  const [framework] = Object.values(lock.dependencies);
  const buildOnly =
    /^(Microsoft\.Extensions\.ApiDescription|Microsoft\.EntityFrameworkCore\.(Design|Analyzers)|Microsoft\.CodeAnalysis|Mono\.TextTemplating|Microsoft\.Build)/;
  return Object.entries(framework)
    .filter(([name, p]) => p.type !== 'Project' && !buildOnly.test(name))
    .map(([name, p]) => {
      const folder = join(homedir(), '.nuget/packages', name.toLowerCase(), p.resolved);
      const nuspec = existsSync(folder)
        ? readFileSync(
            join(
              folder,
              readdirSync(folder).find((f) => f.endsWith('.nuspec')),
            ),
            'utf8',
          )
        : '';
      const expression = /<license type="expression">([^<]+)</.exec(nuspec)?.[1];
      const file = /<license type="file">([^<]+)</.exec(nuspec)?.[1];
      const address = /<licenseUrl>([^<]+)</.exec(nuspec)?.[1];
      const text = file === undefined ? '' : readFileSync(join(folder, file), 'utf8').trim();
      return {
        name,
        version: p.resolved,
        licence:
          expression ??
          (/apache/i.test(address ?? text) ? 'Apache-2.0' : /MIT License/i.test(text) ? 'MIT' : 'see text'),
        for: 'server',
        text: text || (expression === undefined && address !== undefined ? address : ''),
      };
    });
}

const printed = [
  {
    name: 'Atkinson Hyperlegible Next (TrueType, made from the packaged WOFF2)',
    version: read(join(root, 'client/package.json')).dependencies[
      '@fontsource-variable/atkinson-hyperlegible-next'
    ],
    licence: 'OFL-1.1',
    for: 'font of labels',
    text: '',
  },
  {
    name: 'DejaVu Sans',
    version: '2.37',
    licence: 'Bitstream Vera, public domain changes',
    for: 'font of labels, for letters that the first lacks',
    text: readFileSync(join(root, 'src/App/Labels/Fonts/DejaVu-LICENSE.txt'), 'utf8').trim(),
  },
];

const all = [...clientPackages(), ...serverPackages(), ...printed].sort((a, b) => (a.name < b.name ? -1 : 1));
writeFileSync(
  join(root, 'src/App/About/notices.json'),
  `${JSON.stringify(
    all.map(({ text: _, ...notice }) => notice),
    null,
    2,
  )}\n`,
);
const texts = new Map();
for (const notice of all.filter((n) => n.text !== '')) {
  texts.set(notice.text, [...(texts.get(notice.text) ?? []), notice]);
}
writeFileSync(
  join(root, 'docs/third-party-notices.md'),
  `# Third-party notices

What ships with Hushed Lantern and is the work of others. Written by \`./lantern notices\`.

| name | version | licence | for |
|---|---|---|---|
${all.map((n) => `| ${n.name} | ${n.version} | ${n.licence} | ${n.for} |`).join('\n')}

${[...texts].map(([text, named]) => `## ${named.map((n) => n.name).join(', ')}\n\n\`\`\`\n${text}\n\`\`\``).join('\n\n')}
`,
);
console.log(`${all.length} notices`);
