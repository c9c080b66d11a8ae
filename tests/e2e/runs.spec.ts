import type { Page } from '@playwright/test'
import { expect, test } from './test.ts'
import { find, jobAt, signIn } from './hands.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.locator('[data-pad=reading]')

/** Pastes a text into the field at hand, as from a sheet of figures. */
const paste = (page: Page, text: string) =>
  page.locator('#figure').evaluate((field, copied) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text', copied)
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  }, text)

test('a run is read row by row or pasted, goes on until it is steady, and stops on what is out', async ({ page }) => {
  await machineBy('dc-motor', 'D-971', 'Drum motor')
  await signIn(page)
  await jobAt(page, 'D-971', 'run')
  await find(page, 'run')
  await expect(pad(page)).toContainText('forwards, 0 min, bearing at the commutator')

  // The first row, figure by figure.
  for (const figure of ['20', '20', '21', '88', '0']) {
    await page.locator('#figure').fill(figure)
    await page.locator('#figure').press('Enter')
  }
  await expect(pad(page)).toContainText('forwards, 15 min, bearing at the commutator')
  await expect(page.locator('[data-test=due]')).toContainText('due')
  await expect(page.locator('[data-test=rate]')).toContainText('too early')
  // Read a little late: the row is where it was read.
  await page.getByRole('spinbutton', { name: 'Minute of this row' }).fill('17')
  await page.getByRole('spinbutton', { name: 'Minute of this row' }).press('Enter')
  await expect(pad(page)).toContainText('forwards, 17 min, bearing at the commutator')

  // A table that lacks a figure is not kept, one that is whole is.
  await paste(page, 'min\tbrg\tair\tframe\tamps\tspark\n15\t37\t20\t40\t90\t0\n30\t44\t20\t\t90\t0')
  await expect(pad(page).getByRole('alert')).toContainText(
    'Nothing of the table is kept. Row 2 has no figure for frame.',
  )
  const warm = [37, 44, 47, 49, 49, 50, 50, 50]
  await paste(page, warm.map((degrees, i) => `${(i + 1) * 15}\t${degrees}\t20\t45\t90\t0`).join('\n'))
  await expect(pad(page)).toContainText('backwards, 0 min')

  // Backwards something is out at once: nothing more is asked, and there is a way on.
  await paste(page, '0\t50\t20\t45\t90\t0\n15\t86\t20\t45\t90\t0')
  await expect(pad(page)).toContainText('Too much grease or too little play')
  await expect(pad(page).getByRole('button', { name: 'Neutral set again' })).toBeVisible()
  await expect(pad(page).locator('#figure')).toHaveCount(0)
})
