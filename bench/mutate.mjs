// How many breaks of the judgement go unseen: `npm run mutate [room …] [--each N] [--seed S]`. One small change at a time
// in a copy of the tree, the room's own tests and those that lean on it run against it; a change no test notices is named.
import { spawn } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

const args = process.argv.slice(2)
const option = (name, usual) => (args.includes(name) ? Number(args[args.indexOf(name) + 1]) : usual)
const each = option('--each', 12)
let seed = option('--seed', 1)
const named = args.filter((arg, i) => /^[a-z]/.test(arg) && !args[i - 1]?.startsWith('--'))
const rooms = named.length > 0 ? named : ['stores', 'line', 'checks', 'larder', 'lots']

const random = () => {
  seed = (seed * 1664525 + 1013904223) % 2 ** 32
  return seed / 2 ** 32
}
/** Small changes of the kinds people make: an operator, a bound, a figure, a condition. */
const changes = [
  [/(?<=\w\)? )\+(?= \w)/g, '-'],
  [/(?<=\w\)? )-(?= \w)/g, '+'],
  [/(?<=\w\)? )\*(?= \w)/g, '/'],
  [/(?<=\w\)? )\/(?= \w)/g, '*'],
  [/ <= /g, ' < '],
  [/ >= /g, ' > '],
  [/ < (?!\/)/g, ' >= '],
  [/ > (?!=)/g, ' <= '],
  [/ && /g, ' || '],
  [/ \|\| /g, ' && '],
  [/ === /g, ' !== '],
  [/Math\.min\(/g, 'Math.max('],
  [/Math\.max\(/g, 'Math.min('],
  [/(?<![\w.'-])\d+\.\d+(?![\w'])/g, (n) => String(Number(n) * 1.5)],
  [/(?<![\w.'-])[2-9]\d*(?![\w.'])/g, (n) => String(Number(n) + 1)],
]
const isCode = (line) =>
  !/^\s*(\*|\/\/|\/\*|import |export \{|export \*)/.test(line) && !line.includes('throw new Refusal')

function mutants(room) {
  const found = []
  for (const file of readdirSync(join(copy, 'core/src', room))) {
    if (!file.endsWith('.ts') || /\.test\.ts$|^index\.|^made-up-/.test(file)) continue
    readFileSync(join(copy, 'core/src', room, file), 'utf8')
      .split('\n')
      .forEach((line, at) => {
        if (!isCode(line)) return
        for (const [pattern, by] of changes) {
          for (const match of line.matchAll(pattern)) {
            const text = typeof by === 'function' ? by(match[0]) : by
            const changed = line.slice(0, match.index) + text + line.slice(match.index + match[0].length)
            // types and words are not judgement
            const quoted = (line.slice(0, match.index).match(/'/g) ?? []).length % 2 === 1
            if (changed !== line && !quoted && !/^\s*(interface|type) /.test(line))
              found.push({ room, file, at, line, changed })
          }
        }
      })
  }
  const picked = []
  while (picked.length < each && found.length > 0) picked.push(...found.splice(Math.floor(random() * found.length), 1))
  return picked
}

const copy = mkdtempSync(join(tmpdir(), 'vadose-mutate-'))
for (const part of [
  'core',
  'contract',
  'words',
  'package.json',
  'vitest.config.ts',
  'tsconfig.json',
  'tsconfig.base.json',
]) {
  cpSync(part, join(copy, part), { recursive: true, filter: (from) => !from.includes('node_modules') })
}
// every package but ours, which is the copy's own: what is broken is broken for whoever leans on it
mkdirSync(join(copy, 'node_modules/@vadose'), { recursive: true })
for (const name of readdirSync('node_modules').filter((one) => one !== '@vadose'))
  symlinkSync(resolve('node_modules', name), join(copy, 'node_modules', name))
for (const name of ['core', 'contract', 'words'])
  symlinkSync(join(copy, name), join(copy, 'node_modules/@vadose', name))
const leaning = ['core/src/assumptions/', 'core/src/forecast']
/** What is running now, with its workers: a break may loop for ever, and nothing is left behind. */
let end = () => undefined
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    end()
    process.exit(1)
  })
}
const run = (tests) =>
  new Promise((resolve) => {
    const asked = ['vitest', 'run', '--project', 'core', '--bail', '1', ...tests]
    const child = spawn('npx', ['--no-install', ...asked], { cwd: copy, stdio: 'ignore', detached: true })
    end = () => {
      try {
        process.kill(-child.pid, 'SIGKILL')
      } catch {
        // all of them are gone
      }
    }
    const late = setTimeout(end, 400_000)
    child.on('exit', (code) => {
      clearTimeout(late)
      end()
      resolve(code === 0)
    })
  })
/** Whether nothing is noticed: the room's own tests are asked first, then those that lean on it. */
const passes = async (room) => (await run([`core/src/${room}/`])) && (await run(leaning))
let seen = 0
let all = 0
for (const room of rooms) {
  if (!(await passes(room))) throw new Error(`the tests of ${room} fail before anything is broken`)
  let noticed = 0
  const picked = mutants(room)
  for (const { file, at, line, changed } of picked) {
    const path = join(copy, 'core/src', room, file)
    const whole = readFileSync(path, 'utf8')
    const lines = whole.split('\n')
    lines[at] = changed
    writeFileSync(path, lines.join('\n'))
    const unseen = await passes(room)
    writeFileSync(path, whole)
    if (unseen) console.log(`unseen: core/src/${room}/${file}:${at + 1}\n  ${line.trim()}\n  ${changed.trim()}`)
    else noticed++
  }
  console.log(`${room}: ${noticed} of ${picked.length} breaks noticed`)
  seen += noticed
  all += picked.length
}
console.log(`${seen} of ${all} breaks noticed, ${Math.round((100 * seen) / all)} %`)
rmSync(copy, { recursive: true })
