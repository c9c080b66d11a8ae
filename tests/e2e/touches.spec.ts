import { expect, test, type Page } from './test.ts'
import { jobAt, openBench, signIn, signInAtTheDoor } from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })

/** Counts presses from here on, by finger or key; a key held down or a word typed counts each letter. */
async function countTouches(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const counter = window as unknown as { touches: number }
    counter.touches = 0
    addEventListener('pointerdown', () => (counter.touches += 1), true)
    addEventListener('keydown', () => (counter.touches += 1), true)
  })
  return () => page.evaluate(() => (window as unknown as { touches: number }).touches)
}

test('a journal of six readings takes 24 touches or fewer', async ({ page }) => {
  // One that nobody has measured before: nothing is odd about what it reads.
  await machineBy(librarySheet('m14-axially-split-pump'), 'P-945', 'Pump of the touches')
  await signIn(page)
  await jobAt(page, 'P-945', 'measure-journals')
  await expect(pad(page).getByRole('heading', { level: 2 })).toHaveText(/Journal/)
  await expect(pad(page).locator('.lead')).toHaveText('60.0')
  const touches = await countTouches(page)
  for (const figure of ['12', '11', '12', '13', '11', '12']) {
    for (const key of figure) await pad(page).getByRole('button', { name: key, exact: true }).click()
    await pad(page).locator('[data-test=take]').click()
  }
  await expect(pad(page).getByRole('heading', { level: 2 })).toHaveText('Journal, non-drive end')
  const made = await touches()
  console.log(`touches: journal of 6 readings ${made}`)
  expect(made).toBeLessThanOrEqual(24)
  await page.getByRole('button', { name: 'Ledger' }).click()
  await expect(pad(page)).toContainText('60.012 (60.0 not typed)')
})

test('twelve bolts in three passes take 50 touches or fewer', async ({ page }) => {
  await signIn(page)
  await jobAt(page, 'P-324', 'case-pull')
  const next = page.locator('[data-test=bolt]')
  await pad(page).getByText('Set and clicked', { exact: true }).click()
  const touches = await countTouches(page)
  for (const setting of ['93', '186', '310']) {
    for (const key of setting) await pad(page).getByRole('button', { name: key, exact: true }).click()
    await pad(page).locator('[data-test=pull]').click()
    for (let bolt = 0; bolt < 12; bolt++) {
      const before = await next.getAttribute('data-bolt')
      await pad(page).locator('[data-test=clicked]').click()
      if (bolt < 11) await expect(next).not.toHaveAttribute('data-bolt', before!)
    }
  }
  await expect(pad(page)).toContainText('every bolt in order and as wanted')
  const made = await touches()
  console.log(`touches: 12 bolts in 3 passes ${made}`)
  expect(made).toBeLessThanOrEqual(50)
})

test('a clean part takes two touches, one with a finding on it five or fewer', async ({ page }) => {
  await machineBy(librarySheet('m14-axially-split-pump'), 'P-966', 'Pump of the touches')
  await signIn(page)
  await jobAt(page, 'P-966', 'look-seal')
  await expect(pad(page)).toContainText('Rotating face: look at it')
  const touches = await countTouches(page)
  await page.locator('[data-code=wide]').click()
  await page.locator('[data-grade="1"]').click()
  await page.locator('[data-test=all-round]').click()
  await page.locator('[data-test=keep-look]').click()
  await expect(pad(page)).toContainText('Stationary seat: look at it')
  expect(await touches()).toBeLessThanOrEqual(5)
  const before = await touches()
  await page.locator('[data-test=clean]').click()
  await expect(pad(page)).toContainText('Shaft sleeve: look at it')
  expect((await touches()) - before).toBeLessThanOrEqual(2)
})

test('controls of the kit, and those made by hand', async ({ page }) => {
  await signInAtTheDoor(page, 'O. Hallam')
  const count = () =>
    page.evaluate(() => {
      const all = [...document.querySelectorAll('button, input, select, textarea, [role=button], [role=slider]')]
      const kit = all.filter(one => /(^| )el-/.test(`${one.className} ${one.parentElement?.className ?? ''}`))
      return { kit: kit.length, own: all.length - kit.length }
    })
  const pages: Record<string, [open: () => Promise<unknown>, there: string]> = {
    'yard': [() => page.goto('/?machine=P-325'), 'h2:has-text("P-325")'],
    'bench': [() => openBench(page, 'P-310'), '[aria-label="Gauge pad"]'],
    'gate': [() => page.locator('[data-test=gate]').click(), '[data-test=gate-pad]'],
    'gauge room': [() => page.goto('/gauge-room/fits?sum=limits-and-fits'), '[data-test=drawing]'],
    'people': [() => page.goto('/people'), 'main li:has-text("R. Okell")'],
  }
  for (const [name, [open, there]] of Object.entries(pages)) {
    await open()
    await expect(page.locator(there).first()).toBeVisible()
    const { kit, own } = await count()
    console.log(`controls: ${name} ${kit} of the kit, ${own} made by hand`)
    expect(kit, name).toBeGreaterThan(own)
  }
})
