/**
 * Runs every check: lint, types, build, an attack in short, unit tests, server tests on a real database, browser tests on the real program.
 * Installs what is missing; the last line counts every suite together. Node's own modules only.
 */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensureDebianPackages } from './database/packages.mjs';
import { ensurePackages, ROOT, run } from './prepare.mjs';

const bin = (name) => path.join(ROOT, 'node_modules/.bin', name);
const results = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-results-'));
let passed = 0,
  failed = 0;

function tell(name, isGood, seconds, output) {
  console.log(`${isGood ? 'ok  ' : 'FAIL'} ${name} (${seconds.toFixed(0)} s)`);
  if (!isGood) console.log(output.trimEnd());
}

/** A check that passes or fails as a whole. */
async function check(name, command, words) {
  const { code, output, seconds } = await run(command, words);
  if (code === 0) passed += 1;
  else failed += 1;
  tell(name, code === 0, seconds, output);
  return code === 0;
}

const readJson = (file) => (fs.existsSync(file) ? JSON.parse(fs.readFileSync(file, 'utf8')) : undefined);

async function unitTests() {
  const file = path.join(results, 'jest.json');
  const { code, output, seconds } = await run(process.execPath, [
    '--experimental-vm-modules',
    '--no-warnings',
    path.join(ROOT, 'node_modules/jest/bin/jest.js'),
    '--json',
    `--outputFile=${file}`,
    '--silent',
    // Jest leaves a core to its watcher; nothing is watched here.
    `--maxWorkers=${os.availableParallelism()}`,
  ]);
  const result = readJson(file);
  const bad = result ? result.numFailedTests + result.numRuntimeErrorTestSuites : 1;
  passed += result?.numPassedTests ?? 0;
  failed += bad || (code === 0 ? 0 : 1);
  tell(`unit and server tests, ${result?.numPassedTests ?? 0} passed`, code === 0 && bad === 0, seconds, output);
  // Told again in short: the output above is long.
  for (const { name, message, assertionResults } of result?.testResults ?? []) {
    const names = assertionResults.filter(({ status }) => status === 'failed').map(({ fullName }) => fullName);
    if (names.length > 0 || message) console.log(`FAIL ${path.relative(ROOT, name)}: ${names.join('; ') || message}`);
  }
}

const isFlaky = ({ tests }) => tests.some(({ status }) => status === 'flaky');

async function browserTests() {
  const file = path.join(results, 'playwright.json');
  const { code, output, seconds } = await run(
    bin('playwright'),
    ['test', '-c', path.join(ROOT, 'e2e/playwright.config.ts'), '--reporter=list,json'],
    { PLAYWRIGHT_JSON_OUTPUT_NAME: file },
  );
  const result = readJson(file);
  const stats = result?.stats;
  const bad = stats ? stats.unexpected : 1;
  passed += stats ? stats.expected + stats.flaky : 0;
  failed += bad || (code === 0 ? 0 : 1);
  tell(`browser tests, ${stats?.expected ?? 0} passed`, code === 0 && bad === 0, seconds, output);
  for (const { title, file: name } of (result?.suites ?? []).flatMap(({ specs }) => specs).filter(isFlaky))
    console.log(`PASSED THE SECOND TIME ${name}: ${title}`);
}

try {
  ensureDebianPackages({
    mariadbd: 'mariadb-server',
    chromium: 'chromium',
    // Readers that were not written here, for what goes out.
    ezdxf: 'python3-ezdxf',
    'rsvg-convert': 'librsvg2-bin',
    pdftocairo: 'poppler-utils',
    qpdf: 'qpdf',
  });
  ensurePackages();
  const [, , , , , isBuilt] = await Promise.all([
    check('dead exports and dependencies', bin('knip'), []),
    check('format', bin('prettier'), ['--check', '.', '--log-level', 'warn']),
    check('lint', bin('eslint'), ['.', '--max-warnings', '0']),
    check('types', bin('tsc'), ['--noEmit', '-p', 'tsconfig.json']),
    check('types of the pages', bin('vue-tsc'), ['--noEmit', '-p', 'web/tsconfig.json']),
    check('build', 'npm', ['run', 'build', '--silent']),
  ]);
  if (isBuilt) await check('attack in short', bin('tsx'), ['attack/src/main.ts', '--short']);
  await unitTests();
  if (isBuilt) await browserTests();
} catch (error) {
  failed += 1;
  console.error(error instanceof Error ? error.stack : error);
} finally {
  fs.rmSync(results, { recursive: true, force: true });
}
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
console.log(`${passed} passed, ${failed} failed`);
