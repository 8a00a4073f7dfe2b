/** Everything that must hold. The last line says: N passed, N failed. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { buildIfStale } from './build.js';
import { serverPrograms } from './cluster.js';
import { debian, ROOT, say, Stop } from './lib.js';

const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';
const node = process.execPath;
const bin = (name: string, path: string) => join(ROOT, 'node_modules', name, path);
let passed = 0;
let failed = 0;
/** What failed, said once more at the end, where it is looked for. */
const bad: string[] = [];

function step(name: string, args: string[], env: NodeJS.ProcessEnv = {}): boolean {
	say(`\n── ${name}`);
	const began = Date.now();
	const done = spawnSync(node, args, {
		cwd: ROOT,
		env: { ...process.env, ...env },
		stdio: ['ignore', 'inherit', 'inherit']
	});
	say(`── ${name}: ${done.status === 0 ? 'good' : 'FAILED'} after ${((Date.now() - began) / 1000).toFixed(0)} s`);
	return done.status === 0;
}
/** The same beside others: what it says comes in one piece when it is done. */
function beside(name: string, args: string[]): Promise<boolean> {
	const began = Date.now();
	return new Promise((resolve) => {
		const child = spawn(node, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
		let told = '';
		for (const from of [child.stdout, child.stderr]) from.on('data', (data: Buffer) => (told += data.toString()));
		child.on('close', (code) => {
			say(
				`\n── ${name}\n${told}── ${name}: ${code === 0 ? 'good' : 'FAILED'} after ${((Date.now() - began) / 1000).toFixed(0)} s`
			);
			resolve(code === 0);
		});
	});
}
function count(name: string, good: boolean): void {
	if (good) passed++;
	else {
		failed++;
		bad.push(name);
	}
}

interface VitestReport {
	numPassedTests: number;
	numTotalTests: number;
	testResults: {
		name: string;
		status: string;
		message: string;
		assertionResults: { fullName: string; status: string; failureMessages: string[] }[];
	}[];
}
interface PlaywrightSuite {
	suites?: PlaywrightSuite[];
	specs: { title: string; file: string; ok: boolean; tests: { results: { error?: { message: string } }[] }[] }[];
}
interface PlaywrightReport {
	suites: PlaywrightSuite[];
	stats: { expected: number; unexpected: number; flaky: number; skipped: number };
}

const first = (told = '') => stripVTControlCharacters(told).split('\n').slice(0, 12).join('\n    ');
function unitFailures(report: VitestReport): string[] {
	return report.testResults.flatMap((file) => {
		const where = relative(ROOT, file.name);
		const tests = file.assertionResults.filter((t) => t.status === 'failed');
		if (tests.length) return tests.map((t) => `${where}: ${t.fullName}\n    ${first(t.failureMessages[0])}`);
		return file.status === 'failed' ? [`${where}\n    ${first(file.message)}`] : [];
	});
}
const specsOf = (suite: PlaywrightSuite): PlaywrightSuite['specs'] => [...suite.specs, ...(suite.suites ?? []).flatMap(specsOf)];
function e2eFailures(report: PlaywrightReport): string[] {
	return report.suites
		.flatMap(specsOf)
		.filter((spec) => !spec.ok)
		.map((spec) => `${spec.file}: ${spec.title}\n    ${first(spec.tests.at(-1)?.results.at(-1)?.error?.message)}`);
}

/** Counts of a runner's own report; a report that is missing or empty counts as one failure. */
function tally<T>(file: string, read: (report: T) => [good: number, bad: number], failures: (report: T) => string[]): void {
	if (!existsSync(file)) return void failed++;
	const report = JSON.parse(readFileSync(file, 'utf8')) as T;
	const [good, wrong] = read(report);
	passed += good;
	failed += good + wrong === 0 ? 1 : wrong;
	bad.push(...failures(report));
}

try {
	process.chdir(ROOT);
	serverPrograms();
	if (!existsSync(CHROMIUM)) debian(['chromium'], 'The end-to-end tests drive Debian’s Chromium, which is not installed.');
	const out = join(ROOT, '.surculus', 'reports');
	rmSync(out, { recursive: true, force: true });
	mkdirSync(out, { recursive: true });

	const read = await Promise.all([
		beside('format', [bin('prettier', 'bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']),
		beside('lint', [bin('eslint', 'bin/eslint.js'), '--max-warnings', '0', '.']),
		beside('types', [
			bin('svelte-check', 'bin/svelte-check'),
			'--tsconfig',
			'./tsconfig.json',
			'--fail-on-warnings',
			'--threshold',
			'warning'
		])
	]);
	['format', 'lint', 'types'].forEach((name, i) => count(name, read[i]!));
	const unit = join(out, 'unit.json');
	const unitGood = step('unit tests', [
		bin('vitest', 'vitest.mjs'),
		'run',
		'--reporter=default',
		'--reporter=json',
		`--outputFile.json=${unit}`
	]);
	tally<VitestReport>(unit, (r) => [r.numPassedTests, r.numTotalTests - r.numPassedTests], unitFailures);
	if (!unitGood && failed === 0) failed++;
	say('\n── build');
	buildIfStale();
	passed++;
	const e2e = join(out, 'e2e.json');
	const e2eGood = step('end-to-end tests', [bin('@playwright/test', 'cli.js'), 'test', '--reporter=list,json'], {
		PLAYWRIGHT_JSON_OUTPUT_FILE: e2e,
		CHROMIUM
	});
	tally<PlaywrightReport>(e2e, (r) => [r.stats.expected, r.stats.unexpected + r.stats.flaky + r.stats.skipped], e2eFailures);
	if (!e2eGood && failed === 0) failed++;
} catch (error) {
	process.stderr.write(`${error instanceof Stop ? error.message : (error as Error).stack}\n`);
	failed++;
}
if (bad.length) say(`\n── What failed\n${bad.map((what) => `  ${what}`).join('\n')}`);
say(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
