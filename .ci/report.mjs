// Runs one part of the tests and keeps its counts; `sum` adds them up and closes with one line.
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'

const [, , how, where, ...rest] = process.argv

const run = (command, args, env = {}) =>
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1

const keep = (passed, failed, names = []) => {
  writeFileSync(`${where}.count`, `${passed} ${failed}`)
  writeFileSync(`${where}.failed`, names.join('\n'))
}
// a colour of the terminal's is no part of what was wrong
const colour = new RegExp(`${String.fromCharCode(27)}\\[[0-9;]*m`, 'g')
/** What went wrong, in its first lines. */
const why = (messages) =>
  messages
    .flatMap((message) => message.replace(colour, '').split('\n').slice(0, 6))
    .map((line) => `\n    ${line}`)
    .join('')
/** Names of the tests that failed and why, in what Playwright reports: suites within suites. */
const unexpected = (suite) => [
  ...(suite.specs ?? [])
    .filter(({ ok }) => !ok)
    .map(({ file, line, title, tests }) => {
      const errors = tests.flatMap(({ results }) => results.flatMap((result) => result.errors ?? []))
      return `${file}:${line} ${title}${why(errors.map(({ message }) => message ?? ''))}`
    }),
  ...(suite.suites ?? []).flatMap(unexpected),
]

if (how === 'one') {
  const status = run(rest[0], rest.slice(1))
  keep(status === 0 ? 1 : 0, status === 0 ? 0 : 1)
} else if (how === 'vitest') {
  const out = `${where}.json`
  const status = run('npx', [
    '--no-install',
    'vitest',
    'run',
    ...rest,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${out}`,
  ])
  const counts = existsSync(out) ? JSON.parse(readFileSync(out, 'utf8')) : { numPassedTests: 0, numFailedTests: 0 }
  const failed = (counts.testResults ?? []).flatMap(({ name, status, message, assertionResults }) => [
    ...assertionResults
      .filter((test) => test.status === 'failed')
      .map((test) => `${name} ${test.fullName}${why(test.failureMessages ?? [])}`),
    ...(status === 'failed' && assertionResults.length === 0 ? [`${name}${why([message ?? ''])}`] : []),
  ])
  // a suite that broke before its tests counts as one failure
  keep(counts.numPassedTests, Math.max(counts.numFailedTests, status === 0 ? 0 : 1), failed)
} else if (how === 'playwright') {
  const out = `${where}.json`
  const status = run('npx', ['--no-install', 'playwright', 'test', '--reporter=list,json', ...rest], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: out,
  })
  const report = existsSync(out) ? JSON.parse(readFileSync(out, 'utf8')) : {}
  const stats = report.stats ?? { expected: 0, unexpected: 0, flaky: 0 }
  keep(stats.expected + stats.flaky, Math.max(stats.unexpected, status === 0 ? 0 : 1), unexpected(report))
} else if (how === 'sum') {
  let passed = 0
  let failed = 0
  for (const name of readdirSync(where)
    .filter((file) => file.endsWith('.count'))
    .sort()) {
    const [good, bad] = readFileSync(`${where}/${name}`, 'utf8').split(' ').map(Number)
    console.log(
      `${name.replace('.count', '').padEnd(12)}${String(good).padStart(5)} passed${String(bad).padStart(5)} failed`,
    )
    // named at the end again, where they are looked for
    const names = readFileSync(`${where}/${name.replace('.count', '.failed')}`, 'utf8').trim()
    if (names) console.log(names.replace(/^/gm, '  '))
    passed += good
    failed += bad
  }
  console.log(`${passed} passed, ${failed} failed`)
  process.exitCode = failed > 0 || passed === 0 ? 1 : 0
}
