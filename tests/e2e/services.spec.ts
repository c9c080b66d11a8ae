import { expect, test } from './test.ts'
import { signIn } from './hands.ts'

test('what is done between overhauls is written down on the plate, and one written down wrongly is withdrawn', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/?machine=P-221')
  const services = page.getByRole('region', { name: 'Between overhauls' })
  const oil = services.getByRole('listitem').filter({ hasText: 'Oil of both bearing housings changed' })
  await expect(oil).toContainText(/at 12.100.h/)
  await oil.getByRole('button', { name: /write it down/ }).click()
  // A meter that goes backwards is refused in words, and nothing typed is lost.
  const hours = oil.getByLabel('Hours on the meter')
  await hours.fill('9000')
  await oil.getByLabel('Anything seen').fill('Grey glitter at the drive end')
  await oil.getByRole('button', { name: 'Write it down', exact: true }).click()
  await expect(oil.getByRole('alert')).toContainText('had 12100 hours already')
  await expect(oil.getByLabel('Anything seen')).toHaveValue('Grey glitter at the drive end')
  await hours.fill('13050')
  await oil.getByRole('button', { name: 'Write it down', exact: true }).click()
  await expect(oil).toContainText(/at 13.050.h/)
  await expect(page.getByText(/13.050.h run/)).toBeVisible()

  await page.getByRole('tab', { name: 'Past' }).click()
  const row = page.getByRole('listitem').filter({ hasText: 'Grey glitter at the drive end' })
  await row.getByRole('button', { name: 'Withdraw' }).click()
  await page.getByRole('tooltip').getByRole('button', { name: 'Withdraw' }).click()
  await expect(row).toContainText('withdrawn by R. Okell')
  await expect(oil).toContainText(/at 12.100.h/)
})
