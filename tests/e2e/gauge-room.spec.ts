import { readFileSync } from 'node:fs'
import { expect, test, type Page } from './test.ts'
import { choose, select, jobAt, signIn, signInAtTheDoor } from './hands.ts'

/** Sums on their own: only what a person can see and touch. */
const give = (page: Page) => page.getByRole('region', { name: 'What you give' })
const get = (page: Page) => page.getByRole('region', { name: 'What you get' })
const field = (page: Page, key: string) => page.locator(`[data-test=field-${key}]`)
const value = (page: Page, key: string) => page.locator(`[data-test=value-${key}]`)
const verdict = (page: Page, key: string) => page.locator(`[data-test=verdict-${key}]`)

async function openSum(page: Page, craft: string, sum: string) {
  await signIn(page)
  await page.goto(`/gauge-room/${craft}?sum=${sum}`)
  await expect(give(page).getByText('Example figures')).toBeVisible()
  await expect(page.locator('[data-test=drawing]').first()).toBeVisible()
}
async function fill(page: Page, figures: Record<string, string>) {
  for (const [key, text] of Object.entries(figures)) await field(page, key).fill(text)
}

test('fits: from the place in the bar to a judged fit, its class and its working', async ({ page }) => {
  await signInAtTheDoor(page)
  await page.keyboard.press('g')
  await page.keyboard.press('r')
  await expect(page).toHaveURL(/gauge-room/)
  await page.getByRole('link', { name: 'Limits and fits' }).click()
  await page.getByRole('link', { name: 'Fit from measured sizes' }).click()
  await page.locator('[data-test=clear]').click()
  await expect(page.locator('[data-test=why-not]')).toContainText('Still wanted: nominal size')
  await fill(page, { nominalMm: '80', hole: 'H7', shaft: 'k6' })
  for (const [key, tries] of [
    ['holeMm', ['80.008', '80,019']],
    ['shaftMm', ['80.012', '80.016 80.020']],
  ] as const) {
    for (const text of tries) {
      await field(page, key).fill(text)
      await field(page, key).press('Enter')
    }
  }
  await expect(value(page, 'minClearanceUm')).toContainText('-12')
  await expect(value(page, 'holeReally')).toHaveText('H6')
  await expect(verdict(page, 'minClearanceUm')).toContainText('Holds')
  await fill(page, { minUm: '0', maxUm: '10' })
  await expect(verdict(page, 'minClearanceUm')).toContainText('Failed')
  await expect(get(page)).toContainText('typed here, from the maker’s manual')
  await page.locator('[data-test=working]').click()
  await expect(get(page).getByRole('cell', { name: '80.008 − 80.02', exact: true })).toBeVisible()
  await expect(page.getByRole('img', { name: /12.0 µm interference to 7.0 µm clearance/ })).toBeVisible()
})

test('fits: what cannot be is refused in words, is kept, and the rest of the page stays', async ({ page }) => {
  await openSum(page, 'fits', 'limits-and-fits')
  await field(page, 'hole').fill('K9')
  await expect(page.locator('[data-test=why-not]')).toContainText('K9 is not defined for 60 mm')
  await expect(field(page, 'hole')).toHaveValue('K9')
  await field(page, 'hole').fill('H7')
  await expect(value(page, 'maxClearanceUm')).toContainText('28')
  await field(page, 'nominalMm').fill('2 3/8 in')
  await expect(page.locator('[data-test=echo-nominalMm]')).toHaveText('= 60.325 mm')
  await field(page, 'nominalMm').fill('60 Nm')
  await expect(give(page).getByRole('alert')).toContainText('unit of torque')
  await field(page, 'nominalMm').fill('6000')
  await expect(give(page).getByRole('alert')).toContainText('decimal mark slip')
  await expect(field(page, 'shaft')).toHaveValue('k6')
  expect(await page.locator('main').innerText()).not.toMatch(/NaN|Infinity|undefined|null/)
})

test('sleeve bearing: pinch by wire and shims, and a wire that never touched', async ({ page }) => {
  await openSum(page, 'sleeves', 'pinch')
  const row = (column: string, at: number) => page.getByLabel(`${column}, row ${at}`)
  await row('Wire, flattened', 1).fill('0.395')
  await row('Wire, flattened', 2).fill('0.400')
  await fill(page, { minMm: '0.01', maxMm: '0.05' })
  await expect(value(page, 'meanMm')).toContainText('0.003')
  await expect(value(page, 'leastMm')).toContainText('0.000')
  await expect(verdict(page, 'leastMm')).toContainText('Failed')
  await expect(get(page)).toContainText('The shell can move in its cap')
  await row('Wire, flattened', 1).fill('0.6')
  await expect(page.locator('[data-test=why-not]')).toContainText('no flattening')
  await row('Wire, flattened', 1).fill('0.37')
  await row('Shim, right', 1).fill('0.407')
  await expect(page.locator('[data-test=why-not]')).toContainText('differ by more than 5 µm')
})

test('sleeve bearing: contact by blue is ticked on the half itself', async ({ page }) => {
  await openSum(page, 'sleeves', 'contact')
  await page.locator('[data-test=clear]').click()
  const square = (row: number, at: number) =>
    page.getByRole('button', { name: new RegExp(`^Row ${row}, square ${at}:`) })
  for (const at of [2, 3, 4, 5]) await square(1, at).click()
  await expect(value(page, 'sharePercent')).toContainText('17')
  await expect(value(page, 'says')).toHaveText(/one end only/)
  await square(1, 2).click()
  await expect(value(page, 'sharePercent')).toContainText('15')
})

test('rolling bearing: what its name says, then what is left of its clearance', async ({ page }) => {
  await openSum(page, 'rollers', 'bearing-designation')
  await field(page, 'designation').fill('NU 2212 C3')
  await expect(value(page, 'outsideMm')).toContainText('110')
  await field(page, 'designation').fill('608')
  await expect(page.locator('[data-test=why-not]')).toContainText('Measure bore, outside diameter and width')
  await page.getByRole('link', { name: 'Clearance after mounting' }).click()
  await expect(verdict(page, 'runningLeastUm')).toContainText('Failed')
  await expect(get(page)).toContainText('may run preloaded')
  await fill(page, { innerGreatestUm: '12' })
  await page.getByRole('button', { name: 'Change these' }).click()
  await fill(page, { warmerK: '2' })
  await expect(verdict(page, 'runningLeastUm')).toContainText('Holds')
})

test('joints: orders compared side by side, in a worker', async ({ page }) => {
  await openSum(page, 'joints', 'elastic-interaction')
  await fill(page, { bolts: '16' })
  await choose(give(page), 'four tools at once')
  const ways = get(page).getByRole('list', { name: 'Ways people do it' })
  await expect(ways.getByRole('listitem')).toHaveCount(4)
  await expect(ways).toContainText('four bolts a quarter turn apart rise together')
  await expect(page.getByRole('img', { name: /star: 1 9 5 13 3 11/ })).toBeVisible()
  await expect(page.getByRole('img', { name: /star: pass 1, 30 % scatter/ })).toBeVisible()
  await expect(get(page)).toContainText('no measurement of this joint')
  await fill(page, { bolts: '14' })
  await expect(get(page)).toContainText('14 bolts cannot be shared out evenly among 4 tools')
})

test('stacks: a long trial shows how far it is, is stopped, and runs again', async ({ page }) => {
  await openSum(page, 'stacks', 'stack-trial')
  await expect(value(page, 'samples')).toContainText('1 000 000')
  await page.getByRole('button', { name: 'Change these' }).click()
  for (let i = 0; i < 15; i++) await page.locator('[data-test=field-links]').click()
  const lengths = page.getByLabel(/^Length, row/)
  for (let i = 5; i < 20; i++) {
    await lengths.nth(i).fill('10')
    await page.getByLabel(`Plus, row ${i + 1}`, { exact: true }).fill('0.1')
  }
  await fill(page, { samples: '2000000' })
  const stop = page.locator('[data-test=stop]')
  await stop.click()
  await expect(page.locator('[data-test=why-not]')).toContainText('Stopped')
  await expect(stop).toBeHidden()
  // Fewer samples of the same chain come back at once: the page was never held up.
  await fill(page, { samples: '20000' })
  await expect(value(page, 'samples')).toContainText('20 000')
  await fill(page, { samples: '2000000' })
  await stop.click()
  await page.locator('[data-test=again]').click()
  await expect(get(page).getByText(/Working it out: \d+ %/)).toBeVisible()
  await expect(value(page, 'samples')).toContainText('2 000 000', { timeout: 60_000 })
})

test('stacks: the shim pack out of stock', async ({ page }) => {
  await openSum(page, 'stacks', 'shim-choice')
  await fill(page, { openMm: '1.65' })
  await expect(value(page, 'pack')).toHaveText('1 × 1 + 1 × 0.25 + 1 × 0.15')
  await fill(page, { openMm: '0.15' })
  await expect(page.locator('[data-test=why-not]')).toContainText('no shim can mend that')
})

test('marks: a chain that contradicts itself, and the dial seen from the other end', async ({ page }) => {
  await openSum(page, 'marks', 'mark-chain')
  await expect(verdict(page, 'contradictionCount')).toContainText('Failed')
  await expect(page.locator('[data-test="dial-drive plate"]')).toHaveText('3:00')
  await page.locator('[data-test=flip]').click()
  await expect(page.locator('[data-test="dial-drive plate"]')).toHaveText('9:00')
  await page.locator('[data-test=flip]').click()
  await expect(page.locator('[data-test="dial-drive plate"]')).toHaveText('3:00')
  await page.getByLabel('Stands at, row 3').fill('210')
  await expect(verdict(page, 'contradictionCount')).toContainText('Holds')
  // The example puts what was typed aside, and gives it back.
  await page.locator('[data-test=example]').click()
  await expect(verdict(page, 'contradictionCount')).toContainText('Failed')
  await expect(page.locator('[data-test=pin]')).toBeDisabled()
  await page.locator('[data-test=back]').click()
  await expect(page.getByLabel('Stands at, row 3')).toHaveValue('210')
  await expect(page.locator('[data-test=pin]')).toBeEnabled()
})

test('proving: a run that is not steady yet', async ({ page }) => {
  await openSum(page, 'proving', 'run-record')
  await expect(verdict(page, 'slopePerHour')).toContainText('Holds')
  await page.getByLabel('Reads, row 11').fill('54')
  await expect(verdict(page, 'slopePerHour')).toContainText('Open')
  await expect(get(page)).toContainText('not steady yet')
  await page.locator('[data-test=field-samples]').click()
  await expect(page.locator('[data-test=why-not]')).toContainText('Still wanted: minute')
})

test('seals: a ring that is stretched on a turning shaft, and why a seal failed', async ({ page }) => {
  await openSum(page, 'seals', 'o-ring')
  await expect(verdict(page, 'squeeze')).toContainText('Holds')
  await expect(get(page)).toContainText('Fitted wet, with what the sheet names')
  await page.getByRole('button', { name: 'Change these' }).click()
  await choose(give(page), 'rotary')
  await expect(verdict(page, 'stretch')).toContainText('Failed')
  await expect(get(page)).toContainText('A stretched ring on a turning shaft heats, grips and burns')
  await page.getByRole('link', { name: 'Why it failed' }).click()
  await expect(value(page, 'likely')).toHaveText('O-ring worn or set')
  await expect(value(page, 'advice')).toContainText('keep the faces')
  await select(page, 'Faces', 'heat checks')
  await choose(give(page), 'sound')
  await expect(value(page, 'likely')).toHaveText('Dry running, or face hung up on its sleeve')
  await expect(page.getByText('+ faces: heat checks').first()).toBeVisible()
})

test('press and shrink: a hub that lets go when it is warm', async ({ page }) => {
  await openSum(page, 'press', 'shrink-fit')
  await expect(verdict(page, 'runningTorqueNm')).toContainText('Holds')
  await page.getByRole('button', { name: 'Change these' }).click()
  await fill(page, { hubRunningC: '140' })
  await expect(verdict(page, 'runningTorqueNm')).toContainText('Failed')
  await expect(get(page)).toContainText('The hub slips on its shaft')
  await fill(page, { hubRunningC: '140 °F' })
  await expect(page.locator('[data-test=echo-hubRunningC]')).toHaveText('= 60 °C')
  await expect(verdict(page, 'runningTorqueNm')).toContainText('Holds')
  await fill(page, { rzHubUm: '60' })
  await expect(page.locator('[data-test=why-not]')).toContainText(
    'nothing is left once the surfaces are pressed smooth',
  )
})

test('readings: a shaft along its stations, and a bath that is too long', async ({ page }) => {
  await openSum(page, 'gauging', 'shaft-shape')
  await expect(value(page, 'shape')).toHaveText('bent')
  await page.getByLabel('Readings round, µm, row 2').fill('0 -25 -36 -24 0 26 35 24')
  await expect(value(page, 'shape')).toHaveText('cranked or cocked centres')
  await page.getByLabel('Readings round, µm, row 2').fill('0 -25 x')
  await expect(page.locator('[data-test=why-not]')).toContainText('middle: “x” is not a figure')
  await page.getByRole('link', { name: 'Baths and waits' }).click()
  await page.getByRole('link', { name: 'Soak, dry, cool or cure' }).click()
  await expect(verdict(page, 'doneMin')).toContainText('Open')
  await expect(value(page, 'nextMin')).toHaveText('25')
  await fill(page, { doneMin: '361' })
  await expect(verdict(page, 'doneMin')).toContainText('Failed')
  await expect(get(page)).toContainText('Soaked too long')
})

test('a sum is found by its name', async ({ page }) => {
  await signInAtTheDoor(page)
  await page.keyboard.press('/')
  await page.getByPlaceholder('machine, job, step, part, reading').fill('locknut')
  await page.locator('.hit').filter({ hasText: 'Locknut by its slots' }).click()
  await expect(page).toHaveURL(/rollers\?sum=locknut-slots/)
  await expect(value(page, 'leavesMm')).toContainText('0.110')
})

test('an address carries its input to somebody else', async ({ page, browser }) => {
  await openSum(page, 'rigging', 'lifting')
  await page.getByText('where the weight sits', { exact: true }).click()
  await fill(page, { massKg: '1250', cgFromLeftM: '0.6', cgFromRightM: '0.9', hookHeightM: '0.5' })
  await expect(verdict(page, 'rightDeg')).toContainText('Failed')
  await expect(page).toHaveURL(/massKg=1250.*hookHeightM=0\.5/)
  const other = await (await browser.newContext()).newPage()
  await signIn(other, 'T. Brisco')
  await other.goto(page.url())
  await expect(field(other, 'massKg')).toHaveValue('1250')
  await expect(value(other, 'rightKN')).toHaveText(await value(page, 'rightKN').innerText())
  // A broken address is shown as it can be, with the sentence.
  await other.goto('/gauge-room/rigging?sum=lifting&massKg=heavy&legs=2')
  await expect(other.locator('[data-test=why-not]')).toContainText('Still wanted: the mass that hangs')
  await other.goto('/gauge-room/alchemy')
  await expect(other).toHaveURL(/gauge-room\/fits$/)
  await other.goto('/gauge-room/stacks?sum=stack&links=[{%22name%22:1},3]')
  await expect(other.locator('[data-test=why-not]')).not.toBeEmpty()
})

test('inches: figures keep their size', async ({ page }) => {
  await openSum(page, 'sleeves', 'running-clearance')
  await page.locator('[data-test=lengths]').click()
  await expect(give(page).getByText('Example figures')).toBeVisible()
  await expect(give(page).getByText('80.102')).toBeHidden()
  await expect(field(page, 'minMm')).toHaveValue('0.00314961')
  await expect(value(page, 'leastMm')).toContainText('0.0037')
  await page.locator('[data-test=lengths]').click()
  await expect(give(page).getByRole('button', { name: /80.102/ })).toBeVisible()
  await field(page, 'minMm').fill('3 thou')
  await expect(get(page)).toContainText('Limit 0.076 to')
  // A half-filled page keeps its sizes, too.
  await page.locator('[data-test=clear], [data-test=example]').first().click()
  await page.locator('[data-test=clear]').click()
  await field(page, 'maxMm').fill('0.254')
  await page.locator('[data-test=lengths]').click()
  await expect(field(page, 'maxMm')).toHaveValue('0.01')
  await page.locator('[data-test=lengths]').click()
  await expect(field(page, 'maxMm')).toHaveValue('0.254')
})

test('copied as text, saved as CSV', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openSum(page, 'joints', 'preload')
  await page.locator('[data-test=copy-text]').click()
  await expect(page.getByText('The sum is copied.')).toBeVisible()
  const text = await page.evaluate(() => navigator.clipboard.readText())
  for (const words of [
    'Preload from a torque',
    'Thread: M16',
    '= Preload 37 500 N',
    'Holds',
    '/gauge-room/joints?sum=preload&thread=M16',
  ])
    expect(text).toContain(words)
  const [download] = await Promise.all([page.waitForEvent('download'), page.locator('[data-test=csv]').click()])
  expect(download.suggestedFilename()).toBe('preload.csv')
  const csv = readFileSync(await download.path(), 'utf8')
  expect(csv).toContain('given,torqueNm,Torque,120,N·m')
  expect(csv).toMatch(/got,preloadN,Preload,37500/)
})

test('pinned to a job: as the reading its sheet asks for, and as a note with its working', async ({ page }) => {
  await signIn(page)
  await jobAt(page, 'P-324', 'found-float')
  const bench = page.url()
  await page.goto('/gauge-room/gauging?sum=end-float')
  // Figures of an example never come into a job.
  await expect(page.locator('[data-test=pin]')).toBeDisabled()
  await expect(page.getByText('An example is not pinned')).toBeVisible()
  await page.getByLabel('Other way, row 1').fill('0.20')
  await page.locator('[data-test=pin]').click()
  const pad = page.getByRole('dialog')
  await pad.getByRole('button', { name: /P-324/ }).click()
  await pad.getByRole('button', { name: /End float, as found/i }).click()
  await expect(page.locator('[data-test=pinned]')).toContainText('as end float, as found')
  await pad.getByRole('button', { name: 'Done' }).click()
  await page.goto('/gauge-room/joints?sum=preload')
  await fill(page, { torqueNm: '125' })
  await page.locator('[data-test=pin]').click()
  await pad.getByRole('button', { name: /P-324/ }).click()
  await page.locator('[data-test=pin-note]').click()
  await pad.getByRole('link', { name: 'Go to the job' }).click()
  await expect(page).toHaveURL(bench)
  await page.getByRole('button', { name: 'Ledger' }).click()
  await expect(page.getByText(/Preload from a torque/).first()).toBeVisible()
  await page.goto(`${bench}/record`)
  const row = page.getByRole('row', { name: /End float/ }).first()
  await expect(row).toContainText('0.21')
})

test('a reader may work sums out, and pins none', async ({ page }) => {
  await signIn(page, 'J. Larkin')
  await page.goto('/gauge-room/seals?sum=o-ring')
  await expect(value(page, 'squeeze')).toContainText('18.5')
  await fill(page, { grooveDepthMm: '2.84' })
  await page.locator('[data-test=pin]').click()
  await expect(page.getByRole('dialog')).toContainText('Your role only looks')
})
