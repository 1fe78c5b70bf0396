import type { LotView } from '@vadose/contract/lots'
import type { RoundView } from '@vadose/contract/round'
import { inPlainWords } from '@vadose/words'
import { api, bringIn, pass, takeDown } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

/** Whether the round asks for a look at the lot by now. */
const due = async (page: Parameters<typeof api>[0], code: string) => {
  const { places } = await api<RoundView>(page, '/round')
  return places.some((p) => p.jobs.some((job) => job.kind === 'check' && job.code === code))
}

test.describe('in one hand, in the cellar', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('nothing wrong is two taps, and the lot is believed to keep at least as long', async ({ page }) => {
    await startHousehold(page, 'Sound House')
    const code = await bringIn(page, 'Carrot', '12', 150)
    const before = await api<LotView>(page, `/lots/${code}`)
    // in a cellar, where the almanac puts them, and looked over before a tenth of them is gone
    expect(before.place).toBe('Cellar')
    for (let weeks = 0; weeks < 10 && !(await due(page, code)); weeks++) await pass(page, 'Next week')
    await page.goto('/')
    const job = page.locator('.job[data-kind="check"]').filter({ hasText: code })
    await job.getByRole('link', { name: 'Start check' }).tap()
    await page.getByRole('button', { name: 'All sound' }).tap()
    await expect(page.getByText(/Look again on/)).toBeVisible()
    const after = await api<LotView>(page, `/lots/${code}`)
    expect(after.pieces).toBe(150)
    expect(after.checks).toHaveLength(1)
    expect(after.keeping!.nineInTenUntil.p50 >= before.keeping!.nineInTenUntil.p50).toBe(true)
    await page.goto('/')
    await expect(page.locator('.job[data-kind="check"]').filter({ hasText: code })).toHaveCount(0)
  })

  test('each fault has its own way out, and what leaves the lot is in its story', async ({ page }) => {
    await startHousehold(page, 'Fault House')
    const code = await bringIn(page, 'Onion, storing', '12')
    await takeDown(page, code, '10', 100, /North room/)
    await page.goto(`/lots/${code}/check`)
    await page.getByRole('button', { name: 'all 100' }).tap()
    const faults = page.locator('.fault')
    const first = (await faults.nth(0).locator('strong').textContent())!
    const second = (await faults.nth(1).locator('strong').textContent())!
    for (let i = 0; i < 3; i++) await faults.nth(0).locator('.hit').tap()
    await page.getByRole('button', { name: `${first}: one fewer` }).tap()
    await faults.nth(1).locator('.hit').tap()
    await page.getByRole('button', { name: 'What to do with the 3' }).tap()
    // every fault found is asked about, each with its usual way chosen
    for (const name of [first, second]) {
      const ways = page.getByRole('radiogroup', { name: `What to do with ${name}` })
      await expect(ways.getByRole('radio', { checked: true })).toHaveCount(1)
      await ways.getByRole('radio').last().tap()
      await expect(ways.getByRole('radio').last()).toBeChecked()
    }
    await page.getByRole('button', { name: 'Done with them' }).tap()
    await expect(page.getByText(/Look again on/)).toBeVisible()
    const lot = await api<LotView>(page, `/lots/${code}`)
    expect(lot.checks).toEqual([expect.objectContaining({ lookedAt: 100, bad: 3 })])
    expect(lot.events.reduce((sum, e) => sum + e.pieces, 0)).toBe(lot.pieces)
    expect(lot.events.reduce((sum, e) => sum + e.weightG, 0)).toBe(lot.weightG)
    const said = lot.events.map((e) => inPlainWords(e.says)).join('; ')
    expect(said).toContain('looked at 100 of 100, 3 not right')
  })

  test('going back to counting keeps what was tapped', async ({ page }) => {
    await startHousehold(page, 'Back House')
    const code = await bringIn(page, 'Carrot', '12', 150)
    await page.goto(`/lots/${code}/check`)
    await page.locator('.fault .hit').first().tap()
    await page.getByRole('button', { name: 'What to do with it' }).tap()
    await page.getByRole('button', { name: 'Back to counting' }).tap()
    await expect(page.locator('.fault b').first()).toHaveText('1')
    await expect(page.getByRole('button', { name: 'What to do with it' })).toBeVisible()
  })

  test('targets are as large as a thumb', async ({ page }) => {
    await startHousehold(page, 'Thumb House')
    const code = await bringIn(page, 'Carrot', '12', 150)
    await page.goto(`/lots/${code}/check`)
    await expect(page.getByRole('button', { name: 'All sound' })).toBeVisible()
    const heights = await page
      .locator('main button, .thumb-bar a')
      .evaluateAll((all) => all.map((b) => b.getBoundingClientRect().height).filter((h) => h > 0))
    expect(heights.length).toBeGreaterThan(8)
    // WCAG 2.2 wants 24 px at least (2.5.8); a cold thumb wants twice that
    expect(Math.min(...heights)).toBeGreaterThanOrEqual(44)
  })
})

test('a jar of dried fruit is looked over for what ends jars, not for what ends apples', async ({ page }) => {
  await startHousehold(page, 'Jar House')
  const code = await bringIn(page, 'Apple, late', '3')
  await page.goto(`/lots/${code}`)
  await page.getByRole('link', { name: 'Dry it' }).click()
  await page.getByLabel('Weight on the trays, kg').fill('2.6')
  await page.getByRole('button', { name: 'Start the dryer' }).click()
  await pass(page, 'Next morning')
  const dryer = page.getByRole('region', { name: 'In the dryer' })
  await dryer.getByRole('button', { name: 'Out, into jars' }).click()
  await dryer.getByLabel(/Dried weight/).fill('470')
  await dryer.getByRole('button', { name: 'Keep', exact: true }).click()
  const jars = page.getByRole('region', { name: 'In jars, conditioning' })
  for (let day = 0; day < 7; day++) {
    await jars.getByRole('button', { name: 'Shaken, no beads' }).click()
    await expect(jars.getByText('shaken today').or(page.getByText('The rope is empty')).first()).toBeVisible()
    if (day < 6) await pass(page, 'Next morning')
  }
  await expect(jars).toHaveCount(0)
  await page.goto(`/lots/${code}/check`)
  await expect(page.getByRole('button', { name: /Beads/ }).first()).toBeVisible()
  await expect(page.getByText(/bitter pit|scald|codling/i)).toHaveCount(0)
  await page.locator('.fault .hit').first().click()
  await page.getByRole('button', { name: 'What to do with it' }).click()
  await page.getByRole('button', { name: 'Done with it' }).click()
  await expect(page.getByRole('heading', { name: `Looked over ${code}` })).toBeVisible()
})

test('what has outlived its time asks what became of it: a tap each', async ({ page }) => {
  await startHousehold(page, 'Late House')
  const code = await bringIn(page, 'Carrot', '8', 80)
  await page.goto('/')
  const past = page.getByRole('region', { name: 'Past their time' })
  for (let week = 0; week < 30 && (await past.count()) === 0; week++) await pass(page, 'Next week')
  await expect(past.getByText('What became of the carrots?')).toBeVisible()
  const { overdueSince } = (await api<{ keeping: { overdueSince: string } }>(page, `/lots/${code}`)).keeping
  await page.goto('/larder')
  await expect(page.getByText(/its time was over on/)).toBeVisible()
  await expect(page.getByText('past their time: not counted on')).toBeVisible()
  await page.goto('/')
  await pass(page, 'Next morning')
  // the day it was stays the day it was
  expect((await api<{ keeping: { overdueSince: string } }>(page, `/lots/${code}`)).keeping.overdueSince).toBe(
    overdueSince,
  )
  await past.getByRole('button', { name: 'Still fine' }).click()
  await expect(past).toHaveCount(0)
  expect(
    (await api<{ keeping: { overdueSince: string | null } }>(page, `/lots/${code}`)).keeping.overdueSince,
  ).toBeNull()
  for (let week = 0; week < 30 && (await past.count()) === 0; week++) await pass(page, 'Next week')
  await past.getByRole('button', { name: 'All gone' }).click()
  await expect(past).toHaveCount(0)
  expect((await api<{ stage: string }>(page, `/lots/${code}`)).stage).toBe('gone')
})
