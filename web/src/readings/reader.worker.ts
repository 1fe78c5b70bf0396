import { importReadings, type KnownMapping } from '@vadose/contract/readings'
import {
  decodeText,
  guessMapping,
  readHead,
  readLoggerFile,
  type ColumnMapping,
  type FileHead,
  type LoggerFile,
} from '@vadose/core/readings'
import type { Message } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { expose } from 'comlink'
import { ApiError, beHere, call } from '../call'

export interface Refused {
  refusal: Message | string
}
const headBytes = 64_000
export const headingsOf = (head: FileHead): string => head.headings.join('|').slice(0, 2000)

/** What a file holds, without its columns. */
export type FileSummary = Pick<
  LoggerFile,
  'lines' | 'unreadable' | 'why' | 'repeated' | 'gaps' | 'stepS' | 'doubts'
> & {
  readings: number
  from: number
  to: number
  coldestC: number
  warmestC: number
  driestPct: number
  dampestPct: number
  /** of these, not yet in the book */
  fresh: number
}

let read: { name: string; head: FileHead; mapping: ColumnMapping; file: LoggerFile } | undefined

async function told<T>(work: () => Promise<T>): Promise<T | Refused> {
  try {
    return await work()
  } catch (error) {
    if (error instanceof Refusal) return { refusal: error.says }
    if (error instanceof ApiError) return { refusal: error.says ?? error.message }
    throw error
  }
}
const textOf = async (file: Blob) => decodeText(new Uint8Array(await file.arrayBuffer()))
const least = (values: number[]) => values.reduce((a, b) => Math.min(a, b))
const most = (values: number[]) => values.reduce((a, b) => Math.max(a, b))

const importOf = (placeId: string, requestId: string) => {
  const { name, head, mapping, file } = read!
  const { at, temperatureC, relativeHumidityPct, rainMm } = file
  return {
    requestId,
    placeId,
    fileName: name.slice(-200),
    at,
    temperatureC,
    relativeHumidityPct,
    ...(rainMm ? { rainMm } : {}),
    headings: headingsOf(head),
    mapping,
  }
}

/** Reads logger files and sends them, away from the page. */
const reader = {
  beHere,
  /** The top of a file, and how it is likely meant: as it was read the last time, if it looks the same. */
  head: (file: File, zone: string, known: KnownMapping[]) =>
    told(async () => {
      const head = readHead(await textOf(file.slice(0, headBytes)))
      const before = known.find((k) => k.headings === headingsOf(head))
      return {
        head,
        mapping: (before?.mapping as ColumnMapping | undefined) ?? guessMapping(head, zone),
        known: !!before,
      }
    }),
  look: (
    file: File,
    mapping: ColumnMapping,
    placeId: string,
    requestId: string,
    nowMs: number,
    progress: (share: number) => void,
  ) =>
    told(async (): Promise<FileSummary> => {
      const text = await textOf(file)
      const whole = readLoggerFile(text, mapping, (share) => progress(share * 0.8), nowMs)
      read = { name: file.name, head: readHead(text.slice(0, headBytes)), mapping, file: whole }
      const answer = await call(importReadings, { body: { ...importOf(placeId, requestId), lookOnly: true } })
      progress(1)
      const {
        at,
        temperatureC: t,
        relativeHumidityPct: rh,
        lines,
        unreadable,
        why,
        repeated,
        gaps,
        stepS,
        doubts,
      } = whole
      return {
        ...{ lines, unreadable, why, repeated, gaps: gaps.slice(0, 200), stepS, doubts },
        readings: at.length,
        from: at[0]!,
        to: at.at(-1)!,
        coldestC: least(t),
        warmestC: most(t),
        driestPct: least(rh),
        dampestPct: most(rh),
        fresh: answer.added,
      }
    }),
  write: (placeId: string, requestId: string) =>
    told(() => call(importReadings, { body: importOf(placeId, requestId) })),
}
export type Reader = typeof reader
expose(reader)
