import { expect, test, type Page } from './test.ts'
import { CRAFT_TITLES, CRAFTS, sumsOf } from '../../core/sums/index.ts'
import { choose, select, signIn } from './hands.ts'

const give = (page: Page) => page.getByRole('region', { name: 'What you give' })
const get = (page: Page) => page.getByRole('region', { name: 'What you get' })
const field = (page: Page, key: string) => page.locator(`[data-test=field-${key}]`)
const value = (page: Page, key: string) => page.locator(`[data-test=value-${key}]`)
const verdict = (page: Page, key: string) => page.locator(`[data-test=verdict-${key}]`)

/** What the page complains of in its console; nothing, when all is well. */
function complaints(page: Page): string[] {
  const heard: string[] = []
  page.on('console', message => message.type() === 'error' && heard.push(message.text()))
  page.on('pageerror', error => heard.push(error.message))
  return heard
}

test('every sum of every craft opens on its example, is reached by touch, and is emptied without a fault', async ({
  page,
}) => {
  test.setTimeout(900_000)
  const heard = complaints(page)
  await signIn(page)
  await page.goto('/gauge-room/fits')
  for (const craft of CRAFTS) {
    await page
      .getByRole('navigation', { name: 'Crafts' })
      .getByRole('link', { name: CRAFT_TITLES[craft], exact: true })
      .click()
    for (const sum of sumsOf(craft)) {
      await page.getByRole('navigation', { name: /^Sums/ }).getByRole('link', { name: sum.title, exact: true }).click()
      await expect(give(page).getByRole('heading', { name: sum.title, exact: true })).toBeVisible()
      await expect(give(page).getByText('Example figures')).toBeVisible()
      await expect(get(page).locator('[data-test=copy-text]'), sum.name).toBeVisible({ timeout: 30_000 })
      expect(await page.locator('main').innerText(), sum.name).not.toMatch(/NaN|Infinity|undefined|\bnull\b/)
      await page.locator('[data-test=clear]').click()
      const left = get(page).locator('[data-test=why-not]').or(get(page).locator('[data-test=copy-text]'))
      await expect(left, sum.name).toBeVisible({ timeout: 30_000 })
      expect(await page.locator('main').innerText(), sum.name).not.toMatch(/NaN|Infinity|undefined|\bnull\b/)
    }
  }
  expect(heard).toEqual([])
})

test('lifting: the hook carries all, a choked sling keeps less, and the plan is another’s', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/rigging?sum=lift-plan')
  await expect(value(page, 'item2Percent')).toContainText('93')
  await expect(verdict(page, 'item2Percent')).toContainText('Thin')
  await select(page, 'Carries, row 2', 'a choked leg')
  await expect(value(page, 'item2Percent')).toContainText('116')
  await expect(get(page)).toContainText('Overloaded: it may part without warning')
  await select(page, 'Carries, row 2', 'the whole load')
  await expect(value(page, 'item2Percent')).toContainText('153')
  await field(page, 'fromVerticalDeg').fill('61')
  await expect(verdict(page, 'fromVerticalDeg')).toContainText('Failed')
  await expect(get(page)).toContainText('competent person')
})

test('proving: a gauge reading is no absolute one, and says so', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/proving?sum=leak-test')
  await expect(value(page, 'leakMPa')).toContainText('0.00073')
  await field(page, 'startMPaAbs').fill('6 barg')
  await expect(give(page).getByRole('alert')).toContainText('gauge pressure; this field takes absolute')
  await field(page, 'startMPaAbs').fill('6 bar')
  await expect(give(page).getByRole('alert')).toContainText('Gauge or absolute?')
  await expect(field(page, 'startMPaAbs')).toHaveValue('6 bar')
  await field(page, 'startMPaAbs').fill('7.013 bara')
  await expect(page.locator('[data-test=echo-startMPaAbs]')).toHaveText('= 0.7013 MPa')
  await expect(value(page, 'leakMPa')).toContainText('0.00073')
})

test('proving: a run is logged in its own unit, and what does not apply is not asked', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/proving?sum=run-record')
  await expect(value(page, 'last')).toContainText('°C')
  await page.getByRole('button', { name: 'Change these' }).click()
  await choose(give(page), 'vibration, mm/s')
  await expect(value(page, 'last')).toContainText('mm/s')
  await expect(field(page, 'ambient')).toBeHidden()
  await expect(value(page, 'rise')).toBeHidden()
  await field(page, 'max').fill('4.5')
  await expect(verdict(page, 'greatest')).toContainText('Failed')
})

test('joints: both ways of the sum from one torque, and the lubricant said loudly', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/joints?sum=preload')
  await expect(value(page, 'preloadFrictionN')).toContainText('30 866')
  await expect(get(page)).toContainText('half as much load again')
  await choose(give(page), 'moly or copper paste')
  await field(page, 'torqueNm').fill('125 ft-lb')
  await expect(page.locator('[data-test=echo-torqueNm]')).toContainText('= 169.477')
  await expect(verdict(page, 'proofMostPercent')).toContainText('Failed')
  await expect(verdict(page, 'proofPercent')).toContainText('Holds')
  await field(page, 'headFriction').fill('')
  await expect(value(page, 'preloadFrictionN')).toBeHidden()
  await field(page, 'thread').fill('M42')
  await expect(page.locator('[data-test=why-not]')).toContainText('8.8 is not defined for 42 mm')
})

test('joints: a split line crosses from side to side', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/joints?sum=bolt-order')
  await choose(give(page), 'along a split line')
  await expect(page.locator('[data-test=why-not]')).toContainText('Say how many bolts a side has')
  await field(page, 'along').fill('5')
  await choose(give(page), 'middle outwards')
  await expect(page.getByRole('img', { name: 'middle outwards: 3 8 2 9 4 7 5 6 10 1' })).toBeVisible()
})

test('marks: which way round, silence is not a yes', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/marks?sum=facing')
  await expect(verdict(page, 'wrongCount')).toContainText('Failed')
  await expect(get(page)).toContainText('Lip seal: pressure lifts the lip')
  await select(page, 'It stands so, row 1', 'yes')
  await expect(verdict(page, 'wrongCount')).toContainText('Open')
  await select(page, 'It stands so, row 3', 'yes')
  await expect(verdict(page, 'wrongCount')).toContainText('Holds')
})

test('seals: wear on one side of a slot tells which way it turned', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/seals?sum=drive-wear')
  await expect(value(page, 'turned')).toHaveText('clockwise')
  await choose(give(page), 'part that drives')
  await expect(value(page, 'turned')).toHaveText('anticlockwise')
  await expect(
    page.getByRole('img', { name: 'Slot worn on its clockwise side: it turned anticlockwise' }),
  ).toBeVisible()
})

test('readings: what was written, in every unit it is met in', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/gauging?sum=quantities')
  await field(page, 'text').fill('225 ft-lb')
  await expect(page.locator('[data-test=why-not]')).toContainText('unit of torque')
  await select(page, 'It is a', 'torque')
  await expect(value(page, 'value')).toContainText('305.059')
  await expect(page.locator('[data-test="value-kgf·m"]')).toContainText('31.107')
  await field(page, 'text').fill('1.234,5 Nm')
  await expect(page.locator('[data-test=why-not]')).toContainText('one decimal mark')
  await expect(field(page, 'text')).toHaveValue('1.234,5 Nm')
})

test('marks: a place is written as on a clock', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/marks?sum=clock')
  await field(page, 'hour').fill('10:15')
  await expect(page.locator('[data-test=echo-hour]')).toHaveText('= 10.25')
  await expect(value(page, 'clock')).toHaveText('1:45')
  await field(page, 'hour').fill('13:00')
  await expect(give(page).getByRole('alert')).toContainText('not a clock place')
  await page.goto('/gauge-room/marks?sum=mark-chain')
  await page.getByLabel('Stands at, row 3').fill('7:00')
  await expect(verdict(page, 'contradictionCount')).toContainText('Holds')
})

test('alignment: moves at the feet, and readings that do not close decide nothing', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/alignment?sum=rim-and-face')
  await expect(value(page, 'shimFront')).toHaveText('take out 0.2 mm')
  await expect(page.getByRole('img', { name: /from the side: front feet − 0.20 mm/ })).toBeVisible()
  await field(page, 'maxOffsetMm').fill('0.15')
  await expect(verdict(page, 'offsetUpMm')).toContainText('Holds')
  await expect(get(page)).toContainText('typed here, from the maker’s manual')
  await field(page, 'rimLeftMm').fill('-0.2')
  await expect(verdict(page, 'offsetUpMm')).toContainText('Open')
  await expect(get(page)).toContainText('do not close')
})

test('a limit typed without what it limits leaves the sum open, by name', async ({ page }) => {
  await signIn(page)
  await page.goto('/gauge-room/rigging?sum=lift-plan')
  await field(page, 'layDownM2').fill('')
  await expect(value(page, 'notGiven')).toContainText('“Lay-down area, m²”, which “Floor bears, kPa” asks for')
  await expect(verdict(page, 'notGiven')).toContainText('Open')
})
