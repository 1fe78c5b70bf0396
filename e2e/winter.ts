import type { Page } from '@playwright/test'
import type { LarderView } from '@vadose/contract/larder'
import type { LotRow, LotView } from '@vadose/contract/lots'
import type { JobView, RoundView } from '@vadose/contract/round'
import type { StoresView } from '@vadose/contract/stores'
import { inPlainWords } from '@vadose/words'
import { parse } from 'csv-parse/sync'
import { api, pass, putBy } from './acts'
import { apiOf, expect } from './page'

/** What one job on the round asks for, done as somebody in a hurry would: by its own button. */
async function doJob(page: Page, job: JobView): Promise<boolean> {
  const row = page
    .locator(`article.job[data-kind="${job.kind}"]`)
    .filter({ has: page.getByRole('heading', { name: inPlainWords(job.title) }) })
    .filter(job.code ? { hasText: job.code } : {})
    .first()
  const tap = (name: string | RegExp) => row.getByRole('button', { name }).first().click()
  switch (job.kind) {
    case 'use':
      await tap('All used')
      break
    case 'turn':
      await tap('Turned')
      break
    case 'rotate':
      await tap('Changed round')
      break
    case 'unstall':
      await tap('Fan on')
      break
    case 'overdue':
      await tap('Still fine')
      break
    case 'weigh':
      if (job.expectedG === null) return false
      await row.getByLabel(/grams$/).fill(String(Math.round(job.expectedG)))
      await tap('Keep')
      break
    case 'test': {
      await tap('Feel them')
      const tests = row.locator('fieldset')
      for (let i = 0; i < (await tests.count()); i++) await tests.nth(i).getByRole('button').first().click()
      await tap('Keep what I felt')
      break
    }
    case 'check':
      await row.getByRole('link', { name: 'Start check' }).click()
      await page.getByRole('button', { name: 'All sound' }).click()
      await expect(page.getByText(/Look again on/)).toBeVisible()
      await page.goto('/')
      return true
    case 'take-down': {
      const lot = await api<LotView>(page, `/lots/${job.code}`)
      await row.getByRole('link', { name: 'Take down' }).click()
      await page.getByLabel(/^Weight cleaned/).fill((lot.weightG / 1050).toFixed(2))
      await putBy(page)
      await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()
      await page.goto('/')
      return true
    }
    default:
      return false
  }
  // it is off the list when it is done
  await expect(row).toHaveCount(0)
  return true
}

/** Walks the round of a day, doing at most so many of its jobs. @returns the kinds done */
export async function walkRound(page: Page, most: number, but: readonly string[] = []): Promise<string[]> {
  await page.goto('/')
  const done: string[] = []
  const left = new Set<string>()
  while (done.length < most) {
    const { places } = await api<RoundView>(page, '/round')
    const job = places.flatMap(({ jobs }) => jobs).find((j) => !left.has(j.id) && !but.includes(j.code ?? ''))
    if (!job) break
    left.add(job.id)
    if (await doJob(page, job)) done.push(job.kind)
  }
  return done
}

/** So many weeks, with a round at the end of them. */
export async function weeks(page: Page, count: number, jobs: number, but: readonly string[] = []): Promise<string[]> {
  await page.goto('/')
  for (let week = 0; week < count; week++) await pass(page, 'Next week')
  return walkRound(page, jobs, but)
}

interface Row {
  code: string
  kind: string
  weight_g: number
  struck: boolean
}

/** What came in and where it went, g, from the ledger as it is taken home; what was struck out counts nowhere. */
export async function accounts(page: Page) {
  const csv = await (await page.request.get(apiOf(page, '/exports/ledger.csv'))).text()
  const rows = (parse(csv, { columns: true }) as Record<string, string>[]).map((row): Row => ({
    code: row['code']!,
    kind: row['kind']!,
    weight_g: Number(row['weight_g']),
    struck: row['struck'] === 'true' || row['struck'] === 'yes',
  }))
  const sum = (...kinds: string[]) =>
    rows.reduce((all, row) => (kinds.includes(row.kind) ? all + row.weight_g : all), 0)
  const lots = await api<LotRow[]>(page, '/lots')
  return {
    rows,
    cameIn: sum('brought-in'),
    eaten: -sum('used'),
    given: -sum('given'),
    planted: -sum('planted'),
    fed: -sum('fed'),
    lost: -sum('lost'),
    waterAndTrimmings: -sum('weighed', 'finished', 'cleaned', 'loaded', 'jarred', 'frozen'),
    putRight: -sum('corrected', 'undone', 'restated', 'relabelled'),
    splits: sum('split-out', 'split-in'),
    left: lots.reduce((all, lot) => all + lot.weightG, 0),
  }
}

/** Every gram has gone somewhere, and no two screens say different things of one lot. */
export async function expectNoContradiction(page: Page): Promise<void> {
  const all = await accounts(page)
  expect(all.splits, 'what was split off is somewhere').toBe(0)
  const gone = all.eaten + all.given + all.planted + all.fed + all.lost + all.waterAndTrimmings + all.putRight
  expect(all.cameIn - gone, 'in = gone + left').toBe(all.left)
  const perLot = new Map<string, number>()
  for (const row of all.rows) perLot.set(row.code, (perLot.get(row.code) ?? 0) + row.weight_g)
  const larder = await api<LarderView>(page, '/larder')
  const stores = await api<StoresView>(page, '/stores')
  const round = await api<RoundView>(page, '/round')
  const overdue = round.places.flatMap(({ jobs }) => jobs).filter((job) => job.kind === 'overdue')
  for (const lot of await api<LotRow[]>(page, '/lots')) {
    expect(perLot.get(lot.code), lot.code).toBe(lot.weightG)
    const own = await api<LotView>(page, `/lots/${lot.code}`)
    const onShelf = larder.lots.find(({ code }) => code === lot.code)
    const inHouse = stores.lots.find(({ code }) => code === lot.code)
    if (own.keeping && onShelf) expect(onShelf.keepsUntil, lot.code).toBe(own.keeping.nineInTenUntil.p50)
    if (own.keeping && inHouse?.keeps) expect(inHouse.keeps.nineInTenUntil).toEqual(own.keeping.nineInTenUntil)
    expect(own.weightG).toBe(lot.weightG)
    expect(overdue.some(({ code }) => code === lot.code)).toBe(Boolean(own.keeping?.overdueSince))
    // a lot found right or sorted these days is not past its time
    const looked = own.checks.at(-1)
    if (looked && own.keeping?.overdueSince) expect(looked.on < own.keeping.overdueSince, lot.code).toBe(true)
  }
}
