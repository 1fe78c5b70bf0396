import { test } from './page'
import { liveOneHarvest } from './story'

test('one garlic harvest, from the bed to the fifth head eaten', async ({ page }) => {
  await liveOneHarvest(page, 'Desk House')
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  test('the same harvest with one hand', async ({ page }) => {
    await liveOneHarvest(page, 'Phone House')
  })
})
