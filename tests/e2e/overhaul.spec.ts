import { readFileSync } from 'node:fs'
import { expect, test } from './test.ts'
import { extractText } from 'unpdf'
import { handBack, jobAt, openJob, signIn, workUntil } from './hands.ts'

test('a pump goes from make safe to a signed record', async ({ page }) => {
  await signIn(page)
  await openJob(page, 'P-214A', 'Seal weeps since the last washing')
  const gate = page.locator('[data-test=gate]')
  const reasons = page.locator('[data-test=gate-pad]')

  // First look at the gate: nothing is done, nothing is found.
  await expect(gate).toContainText(/Gate shut: \d+ reasons/)
  await gate.click()
  for (const words of [
    'Isolate and prove dead',
    'End float',
    'Seal line, lower joint face',
    'Throttle bush bore, 6 readings',
  ])
    await expect(reasons).toContainText(words)

  await page.keyboard.press('n')
  const worn = { 'Throttle bush bore': ['75.57'] }
  await workUntil(page, 'decide', worn)

  // Second: all is off; the bush is out, and everything waits for a decision.
  await gate.click()
  for (const words of [
    'Throttle bush bore failed',
    'Decide: Shaft sleeve',
    'New: Tab washer',
    'Hold point: Decide every part that is off',
  ])
    await expect(reasons).toContainText(words)
  await expect(page.getByLabel('Tray and gate')).toContainText('0not accounted for')
  await page.keyboard.press('n')
  await workUntil(page, 'sleeve-on')
  // What goes on in places and is drawn up has tests of its own.
  await jobAt(page, 'P-214A', 'set-seal')

  // Third: the case is nearly shut; only what is inside still counts.
  await gate.click()
  await expect(reasons).toContainText('before the cover')
  for (const words of ['Seal setting distance', 'Clamp screws loose until the seal is set', 'Turn the rotor by hand'])
    await expect(reasons).toContainText(words)
  await expect(reasons).not.toContainText('Decide')
  await page.keyboard.press('n')
  await workUntil(page, 'top-on')
  await expect(gate).toContainText('Gate open: close the cover')

  await jobAt(page, 'P-214A', 'turn-2')
  await workUntil(page, null)
  await expect(gate).toContainText('Gate open: sign')
  await handBack(page, 'Throttle bush worn past its limit')
  await expect(page.locator('[data-test=sent]')).toContainText('all sent')

  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.getByText('Signed by O. Hallam')).toBeVisible()
  await expect(page.getByRole('row', { name: /End float/ }).first()).toContainText('0.12')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download PDF' }).click()
  const { text } = await extractText(new Uint8Array(readFileSync(await (await download).path())), { mergePages: true })
  for (const words of [
    'P-214A',
    'Seal weeps since the last washing',
    'Signed by O. Hallam',
    'Throttle bush worn past its limit',
    'Throttle bush bore at inspection',
    '75.570',
    'Failed',
    'always new',
    'new, from',
    'Cap to housing, drive end',
    '1 dot on each side',
    'Case joint, 12 × M20',
    'star, 3 passes',
    'R. Okell',
    'not at all',
    'does not certify',
  ])
    expect(text.replace(/\s+/g, ' ')).toContain(words)
})
