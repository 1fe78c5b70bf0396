import { randomUUID } from 'node:crypto'
import { chromium } from '@playwright/test'
import serve from '../e2e/serve'

/**
 * The larder with five hundred lines in a real browser: the longest task while it is scrolled, filtered and ordered anew,
 * against the same with fifty lines. Wanted: no task over 100 ms.
 */
const units = ['jar', 'bag', 'bottle', 'tin', 'box', 'portion'] as const
const crops = ['plum', 'tomato', 'cucumber', 'kale', 'raspberry', 'pear', 'courgette', 'bean-green']

async function stocked(base: string, lines: number): Promise<string> {
  const post = async (path: string, body: object) => {
    const answer = await fetch(`${base}/api${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ requestId: randomUUID(), ...body }),
    })
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`)
    return answer.json() as Promise<Record<string, string>>
  }
  const { address } = await post('/households', {
    name: `Bench ${lines}`,
    clock: 'practice',
    timeZone: 'Europe/Vienna',
    startsOn: '2026-10-02',
  })
  const places = (await (await fetch(`${base}/api/households/${address}/places`)).json()) as { id: string }[]
  const all = Array.from({ length: lines }, (_, i) => ({
    crop: crops[i % crops.length],
    name: `Line ${i + 1}`,
    form: 'jarred',
    source: 'grown',
    unit: units[i % units.length],
    pieces: 2 + (i % 11),
    placeId: places[i % places.length]!.id,
  }))
  for (let i = 0; i < all.length; i += 100) {
    await post(`/households/${address}/larder/stock`, { lines: all.slice(i, i + 100) })
  }
  return address!
}

/** The longest task of the page while something is done with it, ms; 0 where none was over 50. */
async function longest(base: string, address: string): Promise<Record<string, number>> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.addInitScript(() => {
    const tasks: number[] = []
    Object.assign(window, { tasks })
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
      buffered: true,
    })
  })
  await page.goto(`${base}/${address}/larder`, { waitUntil: 'networkidle' })
  await page.locator('[data-lot]').first().waitFor()
  const during = async (work: () => Promise<void>) => {
    await page.evaluate(() => new Promise((done) => setTimeout(done, 300)))
    await page.evaluate(() => ((window as unknown as { tasks: number[] }).tasks.length = 0))
    await work()
    await page.evaluate(() => new Promise((done) => setTimeout(done, 300)))
    return page.evaluate(() => Math.round(Math.max(0, ...(window as unknown as { tasks: number[] }).tasks)))
  }
  const found = {
    scroll: await during(async () => {
      for (let i = 0; i < 30; i++) {
        await page.mouse.wheel(0, 900)
        await page.evaluate(() => new Promise(requestAnimationFrame))
      }
    }),
    filter: await during(() => page.getByLabel('Find on the shelves').pressSequentially('line 12')),
    'filter off': await during(() => page.getByLabel('Find on the shelves').fill('')),
    order: await during(() => page.getByRole('radio', { name: 'Eat first' }).click()),
  }
  await browser.close()
  return found
}

const end = await serve()
const base = process.env['VADOSE_URL']!
try {
  const [small, large] = [await stocked(base, 50), await stocked(base, 500)]
  const few = await longest(base, small)
  const many = await longest(base, large)
  for (const what of Object.keys(many)) {
    console.log(
      `larder, ${what}: longest task ${many[what]} ms with 500 lines, ${few[what]} ms with 50; wanted ≤ 100; ratio ${(many[what]! / Math.max(50, few[what]!)).toFixed(2)}`,
    )
  }
} finally {
  await end()
}
