import { test, expect } from './test.ts'
import { jobAt, signIn } from './hands.ts'
const pad = (page: any) => page.getByRole('region', { name: 'Gauge pad' })
test('look', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await signIn(page)
  await jobAt(page, 'P-325', 'set-seal')
  for (const f of ['47', '47']) { await page.locator('#figure').fill(f); await page.locator('[data-test=take]').click(); if (await page.locator('[data-test=sure]').isVisible()) await page.locator('[data-test=sure]').click() }
  await page.waitForTimeout(300)
  if (await page.locator('[data-test=keep]').isVisible()) await page.locator('[data-test=keep]').click()
  await page.waitForTimeout(600)
  await page.screenshot({ path: '/tmp/shots/out1.png' })
  const b = page.locator('[data-test=remedy]').first()
  if (await b.isVisible()) { await b.click(); await page.waitForTimeout(500); await page.screenshot({ path: '/tmp/shots/out2.png' }) }
  await jobAt(page, 'R-121', 'pins-in')
  await page.waitForTimeout(400)
  await page.screenshot({ path: '/tmp/shots/m3.png' })
})
