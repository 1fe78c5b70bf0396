import { createServer } from 'node:http'
import { fileURLToPath } from 'node:url'
import { parentPort, workerData } from 'node:worker_threads'
import { pino } from 'pino'
import { makeApp } from '../app'
import { openPool } from '../database'
import type { AsideStart } from './aside'

/** Answers what is handed on to it, over a pool of its own. */
const { databaseUrl, path, strict } = workerData as AsideStart
const programs = fileURLToPath(new URL('.', import.meta.url))
const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' })
const app = makeApp({ pool: openPool(databaseUrl, 2), webRoot: programs, programs, log, strict })
createServer(app).listen(path, () => parentPort!.postMessage('ready'))
