// What Embrel is made of that others wrote, with licences: writes docs/dependencies.md. With --check: that each licence is one that may be
// shipped, and that nobody has told of a weakness in any, where the registries answer. usage: node bin/dependencies.mjs [--check]
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

/** Those that may be shipped with a program of any licence; the fonts' own among them. */
const MAY = /^\(?(?:MIT|MIT-0|ISC|0BSD|BSD-2-Clause|BSD-3-Clause|Apache-2\.0|OFL-1\.1|CC0-1\.0|Unlicense|Python-2\.0|BlueOak-1\.0\.0|Zlib)\)?(?: (?:OR|AND) .+)?$/;
/** Ours: stand-ins for packages that not every registry has (compat/). */
const OURS = new Set(['symfony/clock', 'symfony/polyfill-php85', 'league/config']);

const php = JSON.parse(execFileSync('composer', ['licenses', '--no-dev', '--format=json'], { stdio: ['ignore', 'pipe', 'ignore'], encoding: 'utf8' }));
const composer = Object.entries(php.dependencies)
    .filter(([name]) => !OURS.has(name))
    .map(([name, { license }]) => ({ name, licence: license.join(' OR ') }));

/** The packages of npm that go into what browsers get, and what these need. */
function npm() {
    const found = new Map();
    const visit = (/** @type {string} */ name) => {
        const path = `node_modules/${name}/package.json`;
        if (found.has(name) || !existsSync(path)) {
            return;
        }
        const { license, dependencies = {} } = JSON.parse(readFileSync(path, 'utf8'));
        found.set(name, typeof license === 'string' ? license : (license?.type ?? 'none'));
        Object.keys(dependencies).forEach(visit);
    };
    Object.keys(JSON.parse(readFileSync('package.json', 'utf8')).dependencies).forEach(visit);
    return [...found].map(([name, licence]) => ({ name, licence }));
}

const all = { 'In PHP, by Composer': composer, 'In the browser, by npm': npm() };

if (process.argv.includes('--check')) {
    const problems = Object.values(all)
        .flat()
        .filter(({ licence }) => !MAY.test(licence))
        .map(({ name, licence }) => `${name} has a licence that may not be shipped: ${licence}`);
    const audits = [
        ['composer', ['audit', '--no-dev', '--format=json']],
        ['npm', ['audit', '--omit=dev', '--json']],
    ];
    for (const [program, args] of audits) {
        const { stdout } = spawnSync(program, args, { encoding: 'utf8', timeout: 30_000, stdio: ['ignore', 'pipe', 'ignore'] });
        let told = null;
        try {
            told = JSON.parse(stdout);
        } catch {
            // No answer.
        }
        const weak = program === 'composer' ? Object.keys(told?.advisories ?? {}) : Object.keys(told?.vulnerabilities ?? {});
        if (!told || told.error || (program === 'npm' && !told.metadata)) {
            console.log(`${program}: the registry does not answer what is known of weaknesses.`);
        }
        problems.push(...weak.map((name) => `${name} is told to have a weakness (${program} audit)`));
    }
    problems.forEach((problem) => console.error(problem));
    console.log(`${Object.values(all).flat().length} packages, ${problems.length} problems.`);
    process.exit(problems.length ? 1 : 0);
}

const tables = Object.entries(all).map(
    ([where, packages]) =>
        `## ${where}\n\n| package | licence |\n|---|---|\n${packages
            .sort((a, b) => (a.name < b.name ? -1 : 1))
            .map(({ name, licence }) => `| ${name} | ${licence} |`)
            .join('\n')}\n`,
);
writeFileSync(
    'docs/dependencies.md',
    `# What others wrote\n\nWhat Embrel ships with or runs on, and its licences; written by \`node bin/dependencies.mjs\`. \`bin/test\` checks that each licence may be shipped, and asks
the registries what is known of weaknesses. What only tests and building need is in \`composer.json\` and \`package.json\`.\n\n${tables.join('\n')}`,
);
