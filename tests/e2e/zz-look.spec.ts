import sharp from 'sharp'
import { writeFileSync } from 'node:fs'
import { expect, test } from './test.ts'
import { jobAt, signIn } from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'
test('look', async ({ page, browser }) => {
  await signIn(page)
  await machineBy(librarySheet('m14-axially-split-pump'), 'P-970', 'Pump of the tests')
  await jobAt(page, 'P-970', 'look-seal')
  await expect(page.locator('[data-test=photograph]')).toBeVisible()
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1600" height="1200"><defs><radialGradient id="g"><stop offset="0" stop-color="#bbb"/><stop offset="1" stop-color="#555"/></radialGradient></defs><rect width="1600" height="1200" fill="#7a6a58"/><circle cx="800" cy="600" r="480" fill="url(#g)"/><circle cx="800" cy="600" r="300" fill="#333"/><circle cx="800" cy="600" r="390" fill="none" stroke="#999" stroke-width="60"/></svg>`
  const buffer = await sharp(Buffer.from(svg)).jpeg().toBuffer()
  await page.route('**/photos/*', route => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
  await page.locator('.photos input[type=file]').setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer })
  const strip = page.getByRole('group', { name: 'Photographs' })
  await expect(strip).toContainText('Not arrived')
  await page.screenshot({ path: '/tmp/shots/strip.png' })
  await page.unroute('**/photos/*')
  await strip.getByRole('button').click()
  const view = page.getByRole('dialog')
  const stage = view.locator('.stage')
  await expect(stage.locator('img')).toBeVisible()
  await page.waitForTimeout(600)
  const { x, y, width, height } = (await stage.boundingBox())!
  const draw = async (from: [number, number], to: [number, number]) => {
    await page.mouse.move(x + width * from[0], y + height * from[1])
    await page.mouse.down()
    await page.mouse.move(x + width * to[0], y + height * to[1], { steps: 4 })
    await page.mouse.up()
  }
  await draw([0.2, 0.2], [0.4, 0.35])
  await view.getByText('Circle').click()
  await draw([0.6, 0.6], [0.7, 0.6])
  await view.getByText('Word', { exact: true }).click()
  await view.getByLabel('The word').fill('blue rim')
  await stage.click({ position: { x: width * 0.05, y: height * 0.18 } })
  await view.getByLabel('What is seen').fill('Heat checks all round')
  await page.screenshot({ path: '/tmp/shots/view.png' })
  await view.locator('[data-test=keep-drawing]').click()
  await page.keyboard.press('Escape')
  await expect(view).toBeHidden()
  await page.locator('.photos input[type=file]').setInputFiles([
    {
      name: 'b.jpg',
      mimeType: 'image/jpeg',
      buffer: await sharp(buffer).modulate({ hue: 90 }).resize(900, 1200).jpeg().toBuffer(),
    },
  ])
  await expect(strip.getByRole('button')).toHaveCount(2)
  await page.waitForTimeout(2500)
  await page.screenshot({ path: '/tmp/shots/strip2.png' })
  await strip.getByRole('button').first().click()
  await page.waitForTimeout(500)
  await view.locator('.beside').click()
  await page.getByRole('option').first().click()
  await page.waitForTimeout(500)
  await page.screenshot({ path: '/tmp/shots/two.png' })
  await page.setViewportSize({ width: 768, height: 1024 })
  await page.waitForTimeout(500)
  await page.screenshot({ path: '/tmp/shots/two768.png' })
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.keyboard.press('Escape')
  const id = page.url().split('/').at(-1)!
  await page.goto(`/bench/${id}/record`)
  await page.locator('.picture').first().scrollIntoViewIfNeeded()
  await page.waitForTimeout(800)
  await page.screenshot({ path: '/tmp/shots/record.png' })
  writeFileSync('/tmp/shots/record.pdf', await (await page.request.get(`/api/jobs/${id}/record.pdf`)).body())
})
