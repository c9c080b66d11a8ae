import { expect, test } from './test.ts'
import { jobAt, signIn } from './hands.ts'
import { machineBy } from './shelf.ts'

test('a machine that stands is drawn standing where there is room, and a part of it is found by touch either way', async ({
  page,
}) => {
  await machineBy('agitator-seal', 'V-130', 'Agitator of the tests')
  await page.setViewportSize({ width: 1920, height: 1080 })
  await signIn(page)
  await jobAt(page, 'V-130', 'isolate')
  const drawing = page.getByRole('img', { name: /^Section of/ })
  const shaft = page
    .locator('.part')
    .filter({ has: page.locator('title', { hasText: /shaft/i }) })
    .first()
  for (const size of [
    { width: 1920, height: 1080 },
    { width: 1280, height: 800 },
  ]) {
    await page.setViewportSize(size)
    const stands = size.width > 1500
    await expect
      .poll(async () => {
        const { width, height } = (await drawing.boundingBox())!
        return height > width
      })
      .toBe(stands)
    const { x, y, width, height } = (await shaft.boundingBox())!
    // Near its first end, where nothing else sits on it.
    await page.mouse.click(
      ...((stands ? [x + width / 2, y + height * 0.1] : [x + width * 0.1, y + height / 2]) as [number, number]),
    )
    await expect(page.locator('[data-test=part-pad], .pad').first()).toContainText(/shaft/i)
    await page.keyboard.press('n')
  }
})
