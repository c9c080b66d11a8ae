import { expect, test } from './test.ts'
import { doStep, jobAt, measure, signAs, signIn } from './hands.ts'
import { machineBy } from './shelf.ts'

test('what takes a day is begun, left to itself, seen from anywhere, and cut short by a lead alone', async ({
  page,
}) => {
  await machineBy('armature-oven', 'D-951', 'Fan motor')
  await signIn(page)
  await jobAt(page, 'D-951', 'dry')
  const pad = page.locator('[data-test=wait-pad]')
  const bench = page.url()
  // Other machines wait, too.
  const waiting = page.locator('[data-test=waiting]')
  const others = Number(await waiting.textContent())

  // What it begins on is read first.
  await measure(page, { 'Oven at the armature': ['95'] })
  await expect(pad).toContainText('22 h to 48 h')
  await pad.locator('[data-test=begin]').click()

  // The card goes on to what can be done beside it; the bar and the board know.
  await expect(page.locator('[data-step=bathe]')).toBeVisible()
  await expect(waiting).toHaveText(String(others + 1))
  await waiting.click()
  const board = page.locator('[data-test=waits]')
  await expect(board).toContainText('D-951')
  await expect(board).toContainText('armature in the oven')
  await expect(board).toContainText(/(21 h 5\d min|22 h) still/)
  await page.reload()
  await board.getByRole('link', { name: /D-951/ }).click()

  // Too early, and only a lead cuts it short.
  await expect(page.locator('[data-step=dry]')).toBeVisible()
  await expect(pad).toContainText('still')
  await page.locator('[data-test=confirm]').click()
  await expect(page.getByRole('alert').filter({ hasText: 'still to go of' })).toBeVisible()
  await pad.locator('[data-test=cut]').click()
  await pad.getByLabel(/^Why is it cut short/).fill('Level over four hours')
  await pad.getByRole('button', { name: 'Cut it short: a lead signs' }).click()
  await signAs(page)
  await expect(waiting).toHaveText(String(others))
  await doStep(page)
  await page.goto(`${bench.replace(/[?#].*/, '')}/record`)
  await expect(page.locator('article')).toContainText('Cut short: Level over four hours')
})
