import { expect, test, type Page } from './test.ts'
import { confirmStep, jobAt, jobOn, pullJoint, signIn } from './hands.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })

test('a cover is slackened in its order, drawn up by torque and turn, and locked', async ({ page }) => {
  await machineBy('drawn-up-joints', 'G-940', 'Joint stand')
  await signIn(page)
  await page.goto(`/bench/${await jobOn(page, 'G-940')}`)
  await confirmStep(page)
  // Slackened: the bolt whose turn it is stands there; one out of its turn is named before it is kept.
  const ease = page.locator('[data-test=ease]')
  await expect(ease).toHaveText('Bolt 4')
  await page.getByRole('button', { name: 'Bolt 1', exact: true }).click()
  await expect(pad(page).getByRole('alert')).toContainText(
    'It is the turn of bolt 4. Eased from one side the cover springs',
  )
  await pad(page).getByRole('button', { name: 'Bolt 4 instead' }).click()
  for (const [bolt, next] of [
    [4, 'Bolt 2'],
    [2, 'Bolt 3'],
    [3, 'Bolt 1'],
  ] as const) {
    await expect(ease).toHaveText(`Bolt ${bolt}`)
    await page.locator('[data-test=eased]').click()
    await expect(ease).toHaveText(next)
  }
  await page.locator('[data-test=eased]').click()
  await expect(pad(page)).toContainText('every bolt is eased')
  await confirmStep(page)

  // One left-hand nut, drawn up until it is felt to seat.
  await jobAt(page, 'G-940', 'nut-up')
  await expect(pad(page)).toContainText('Left-hand thread: tighten anticlockwise')
  await pad(page).getByRole('button', { name: 'stops short of its face' }).click()
  await expect(pad(page).getByRole('alert')).toContainText('see what holds it')
  await pad(page).getByRole('button', { name: 'stops dead, face to face' }).click()
  await expect(pad(page)).toContainText('every bolt in order and as wanted')
  await confirmStep(page)
  // Nipped: the first pass only.
  await pullJoint(page)
  await expect(pad(page)).toContainText('nipped; the rest comes later')
  await confirmStep(page)

  await jobAt(page, 'G-940', 'cover-up')
  await pad(page).getByText('round', { exact: true }).click()
  await expect(pad(page)).toContainText('Round order')
  await pullJoint(page)
  for (const bolt of [1, 2, 3, 4]) {
    await expect(page.locator('[data-test=bolt]')).toHaveAttribute('data-bolt', String(bolt))
    await page.locator('#turn').fill(bolt === 2 ? '95' : '60')
    await page.locator('[data-test=turned]').click()
    if (bolt !== 2) continue
    await expect(pad(page).getByRole('alert')).toContainText('Bolt 2: turned too far')
    await page.locator('#turn').fill('60')
    await page.locator('[data-test=turned]').click()
  }
  const locking = pad(page).getByRole('group', { name: /is locked/ })
  await locking.getByText('wired the slack way', { exact: true }).click()
  await page.locator('[data-test=lock]').click()
  await expect(locking.getByRole('alert')).toContainText('Count the new ones: lock wire')
  await locking.getByRole('spinbutton').fill('2')
  await locking.getByRole('spinbutton').press('Tab')
  await page.locator('[data-test=lock]').click()
  await expect(locking.getByRole('alert')).toContainText('A bolt works loose and goes through the machine')
  await locking.getByRole('button', { name: 'Answer again' }).click()
  await locking.getByText('wired so that each pulls the next tight').click()
  await page.locator('[data-test=lock]').click()
  await confirmStep(page)
  await page.goto(`${page.url()}/record`)
  await expect(page.locator('article')).toContainText('drawn up round, which is allowed')
  await expect(page.locator('article')).toContainText('Put right: bolt 2, pass 3: 95°, over')
  await expect(page.locator('article')).toContainText('Locked: wired so that each pulls the next tight, 2 new')
})
