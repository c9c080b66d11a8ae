import { expect, test } from './test.ts'
import { changePerson, jobAt, signAs, signIn, workUntil } from './hands.ts'
import { machineBy } from './shelf.ts'

test('a seal unit goes to its own bench, its pump waits for it, and it comes back as its job is signed', async ({
  page,
}) => {
  await machineBy('dual-seal', 'S-SPARE', 'Spare seal')
  await machineBy('cartridge-seal-pump', 'P-KID', 'Pump of the tests')
  await signIn(page)
  await jobAt(page, 'P-KID', 'decide')
  // Before parts are decided it is asked where it goes; a bare no is not taken.
  const pad = page.locator('[data-test=child-pad]')
  await expect(pad).toContainText('Seal unit: its own bench')
  if (process.env.SHOTS) await page.screenshot({ path: `${process.env.SHOTS}/child-1.png` })
  await pad.locator('[data-test=no-child]').click()
  await pad.getByRole('button', { name: 'It goes back without one' }).click()
  await expect(pad.getByRole('alert')).toContainText('Say why')
  await pad.getByRole('button', { name: 'Cancel' }).click()
  await pad.locator('[data-test=open-child]').click()

  const off = page.getByRole('link', { name: /^Off P-KID, job \d+$/ })
  await expect(off).toBeVisible()
  await expect(page.getByRole('heading', { name: /P-KID\.unit/ })).toBeVisible()
  if (process.env.SHOTS) await page.screenshot({ path: `${process.env.SHOTS}/child-2.png` })
  await off.click()
  await expect(page.locator('[data-step=decide]')).toBeVisible()

  // The pump goes on up to where the unit goes in.
  await workUntil(page, 'unit-build')
  const why = page.getByRole('button', { name: /Seal unit is on its own bench/ }).first()
  await expect(why).toBeVisible()
  await why.click()
  await expect(pad.getByRole('link', { name: /^Go to job/ })).toBeVisible()
  if (process.env.SHOTS) await page.screenshot({ path: `${process.env.SHOTS}/child-3.png` })

  await jobAt(page, 'P-KID.unit', 'clips-on')
  await workUntil(page, null)
  await changePerson(page, 'O. Hallam')
  await page.locator('[data-test=gate]').click()
  await page.locator('.el-radio-button').filter({ hasText: /^yes$/ }).click()
  await page.getByLabel('What caused it?').fill('Springs had set')
  await page.locator('[data-test=sign]').click()
  await signAs(page)
  await off.click()
  await expect(page.locator('[data-step=unit-build]')).toBeVisible()
  await expect(page.getByRole('button', { name: /Seal unit is on its own bench/ })).toHaveCount(0)
  // What it was set and proved to comes with it.
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.getByRole('row', { name: /Back, its job signed/ })).toContainText(
    'Springs lined up, inboard: 18.5 mm, holds',
  )
  if (process.env.SHOTS) await page.screenshot({ path: `${process.env.SHOTS}/child-4.png` })
})
