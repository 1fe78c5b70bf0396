import type { Page } from '@playwright/test'
import type { HouseholdFile } from '@vadose/contract/household-file'
import type { LotRow } from '@vadose/contract/lots'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

test('English as in America: its words, its dates, its week', async ({ page }) => {
  await startHousehold(page, 'Zucchini House')
  await page.goto('/household')
  await page.getByRole('radio', { name: /As in America/ }).click()
  await expect(page.getByText('Every screen reads so now.')).toBeVisible()
  await expect(page.locator('.when strong')).toHaveText('Sun, July 12')
  await page.goto('/almanac/courgette')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Zucchini')
  await expect(page.getByText(/courgette|autumn|colour|mould/i)).toHaveCount(0)
  // found by either name
  for (const name of ['courgette', 'zucchini']) {
    await page.goto('/almanac')
    await page.getByPlaceholder(/zucchini/).fill(name)
    await expect(page.getByRole('link', { name: 'Zucchini', exact: true })).toBeVisible()
  }
  // the week of a calendar begins on Sunday
  await page.goto('/household')
  await page.getByRole('radio', { name: /practice clock/ }).click()
  await page.getByLabel('First day').click()
  await expect(page.locator('.el-date-table th').filter({ visible: true }).first()).toHaveText('Sun')
  await page.keyboard.press('Escape')
  await page.getByRole('radio', { name: /As in Britain/ }).click()
  await expect(page.locator('.when strong')).toHaveText('Sun 12 July')
})

/** Every text a page shows, its labels and titles too. */
const textsOf = (page: Page) =>
  page.evaluate(() => {
    const texts: string[] = []
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      // a library's own calendar, and what is the same in every language
      if (
        !node.parentElement!.closest(
          'script, style, .code, kbd, [class*=headerbtn], [class*=close-btn], .el-popper, option, code, [lang=la]',
        )
      ) {
        texts.push(node.textContent!)
      }
    }
    for (const e of document.querySelectorAll('main [aria-label], main [placeholder], main title')) {
      if (!e.closest('.el-popper, [class*=headerbtn], [class*=close-btn]'))
        texts.push(e.getAttribute('aria-label') ?? e.getAttribute('placeholder') ?? e.textContent!)
    }
    return texts
  })

/** What people called things, in a household's file: theirs in any language. */
function ownWords(file: HouseholdFile): string[] {
  const own = new Set<string>()
  const theirs =
    /^(name|variety|bed|text|why|recipe|processed|prepared|size|cause|note|address|label|timeZone|file|url|to)$/
  const walk = (value: unknown, key: string) => {
    if (typeof value === 'string') {
      if (theirs.test(key)) own.add(value)
    } else if (Array.isArray(value)) value.forEach((one) => walk(one, key))
    else if (typeof value === 'object' && value !== null) for (const [k, v] of Object.entries(value)) walk(v, k)
  }
  walk(file, '')
  // a shelf is told within its place; the longest first: “Pantry, top” before “Pantry”
  return [...own]
    .flatMap((word) => [word, ...word.split(', ')])
    .flatMap((word) => [word, word.toLowerCase()])
    .sort((a, b) => b.length - a.length)
}

/** Names, units and file kinds that are the same in every language. */
const anywhere =
  /https?:\S+|\/tmp\/\S+|curl[\s\S]*|\b(?:Vadose|CSV|PDF|SVG|JSON|kPa|min|kJ|NCHFP|USDA|FDC|FAO|IIR|UC ANR|ANR|ASHRAE|ASABE|Fundamentals|MWPS|UGA|Hyland|Wexler|psychrolib|Alt|Bearer|TOKEN)\b/g

test('a household of a made-up language finds no sentence that stands in no table', async ({ page }) => {
  test.slow()
  await page.goto('/household')
  const file = (await (await page.request.get(apiOf(page, '/file'))).json()) as HouseholdFile
  Object.assign(file.household, { name: 'Þŵéŕ', language: 'en-XA' })
  const { address } = (await (
    await page.request.post('/api/household-files', { data: file, headers: { 'Idempotency-Key': crypto.randomUUID() } })
  ).json()) as { address: string }
  const names = async () =>
    ((await (await page.request.get('/api/households')).json()) as { name: string }[]).map(({ name }) => name)
  const own = [...(await names()), ...ownWords(file)]
  const lots = (await (await page.request.get(`/api/households/${address}/lots`)).json()) as LotRow[]
  const one = (stage: LotRow['stage']) => lots.find((lot) => lot.stage === stage && lot.name === null)!.code
  const { placeId } = lots.find((lot) => lot.stage === 'stored')!
  const fresh = (crop: RegExp) => lots.find((lot) => crop.test(lot.crop) && lot.form === 'fresh')!.code
  const [dries, freezes] = [fresh(/^apple/), fresh(/^bean-runner|^kale/)]
  const escaped: string[] = []
  for (const path of [
    ...[
      '',
      '/bring-in',
      '/line',
      '/stores',
      '/larder',
      '/year',
      '/almanac',
      '/beds',
      '/kitchen',
      '/evening',
      '/freezers',
    ],
    ...[
      '/household',
      '/readings',
      '/find',
      '/count',
      '/first',
      '/shelf',
      '/power-cut',
      '/bench/air',
      '/bench/keep',
      '/bench/cure',
      '/bench/blanch',
      '/bench/glut',
      '/nowhere',
    ],
    ...['/almanac/garlic-hardneck', '/almanac/courgette', '/almanac/tomato'],
    ...['', '/finish', '/tag'].map((view) => `/lots/${one('drying')}${view}`),
    `/places/${placeId}`,
    `/lots/${dries}/dry`,
    `/lots/${freezes}/freeze`,
    ...['', '/check', '/sort', '/right', '/tag'].map((view) => `/lots/${one('stored')}${view}`),
  ]) {
    await page.goto(`${process.env['VADOSE_URL']}/${address}${path}`, { waitUntil: 'networkidle' })
    await expect(page.locator('h1').first()).toBeVisible()
    for (const text of await textsOf(page)) {
      let left = text.replace(anywhere, ' ')
      for (const word of own) left = left.replaceAll(word, ' ')
      // codes of lots, and words too short to tell from units
      if (/[A-Za-z]{4,}/.test(left)) escaped.push(`${path || '/'}: ${text.trim()}`)
    }
  }
  // households that other tests began meanwhile
  const later = (await names()).map((name) => `/household: ${name}`)
  expect([...new Set(escaped)].filter((text) => !later.includes(text))).toEqual([])
})

test.describe('in a browser that is set to American English', () => {
  test.use({ locale: 'en-US' })
  test('a new household begins in pounds and American, and says so where it is changed', async ({ page }) => {
    await page.goto('/household')
    await page.getByLabel('Its name').fill('Prairie House')
    await page.getByRole('button', { name: 'Start it' }).click()
    await expect(page).toHaveURL(/prairie-house/)
    await page.goto('/household')
    await expect(page.getByRole('radio', { name: /As in America/ })).toBeChecked()
    await expect(page.getByRole('radio', { name: /Pounds and °F/ })).toBeChecked()
    await page.goto('/bench/blanch')
    await expect(page.locator('main')).not.toContainText(/\d litres|mould/)
  })
})
