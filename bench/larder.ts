import { randomUUID } from 'node:crypto'
import serve from '../e2e/serve'
import { caller, longestDuring, watchedPage } from './in-browser'

/**
 * The larder with five hundred lines in a real browser: the longest task while it is scrolled, filtered and ordered anew,
 * against the same with fifty lines. Wanted: no task over 100 ms.
 */
const units = ['jar', 'bag', 'bottle', 'tin', 'box', 'portion'] as const
const crops = ['plum', 'tomato', 'cucumber', 'kale', 'raspberry', 'pear', 'courgette', 'bean-green']

async function stocked(base: string, lines: number): Promise<string> {
  const call = caller(base)
  const post = (path: string, body: object) =>
    call<Record<string, string>>('POST', path, { requestId: randomUUID(), ...body })
  const { address } = await post('/households', {
    name: `Bench ${lines}`,
    clock: 'practice',
    timeZone: 'Europe/Vienna',
    startsOn: '2026-10-02',
  })
  const places = await call<{ id: string }[]>('GET', `/households/${address}/places`)
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

/** The longest task of the page while the larder is scrolled, filtered and ordered, ms. */
const longest = (base: string, address: string): Promise<Record<string, number>> =>
  watchedPage(`${base}/${address}/larder`, async (page) => {
    await page.locator('[data-lot]').first().waitFor()
    const find = page.getByLabel('Find on the shelves')
    return {
      scroll: await longestDuring(page, async () => {
        for (let i = 0; i < 30; i++) {
          await page.mouse.wheel(0, 900)
          await page.evaluate(() => new Promise(requestAnimationFrame))
        }
      }),
      filter: await longestDuring(page, () => find.pressSequentially('line 12')),
      'filter off': await longestDuring(page, () => find.fill('')),
      order: await longestDuring(page, () => page.getByRole('radio', { name: 'Eat first' }).click()),
    }
  })

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
