import { expect, test, type Page } from './test.ts'
import {
  answer,
  choose,
  confirmStep,
  doStep,
  fillSum,
  hand,
  measure,
  signAs,
  jobAt,
  openBench,
  pullJoint,
  readCautions,
  setDial,
  signIn,
  stepNow,
  takeInHand,
  takeWrong,
} from './hands.ts'
import type { AnyEntry } from '../../core/job/index.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })
const before = (page: Page) => page.getByRole('list', { name: 'Before this step' })
test.describe('gear unit', () => {
  test.beforeEach(({ page }) => signIn(page))

  test('is stripped with every half tagged, and the pinion marked to the wheel by its numbers', async ({ page }) => {
    await jobAt(page, 'G-117', 'mark-mesh')
    await expect(pad(page)).toContainText('Number on the marked pinion tooth')
    await page.locator('[data-test=mark]').click()
    await expect(pad(page).getByRole('alert')).toContainText('as in “7 31 32”')
    await pad(page).getByPlaceholder('as in 7 31 32').fill('7 31 32')
    await page.locator('[data-test=mark]').click()
    await confirmStep(page)
    await expect(page.locator('[data-step=uppers-off]')).toBeVisible()
    await page.locator('[data-test=confirm]').click()
    // A number stands ready for every half; without one nothing is lifted off.
    const tags = pad(page).getByLabel(/^Tag of Half bearing/)
    await expect(tags).toHaveCount(4)
    const numbers = await tags.evaluateAll(fields => fields.map(field => (field as HTMLInputElement).value))
    expect(new Set(numbers.filter(Boolean)).size).toBe(4)
    await doStep(page)
    await doStep(page)
    await doStep(page)
    await expect(page.locator('[data-step=lowers-off]')).toBeVisible()
    await answer(page)
    await pad(page)
      .getByLabel(/^How many Locking pins/)
      .fill('1')
    await pad(page)
      .getByLabel(/^How many Locking pins/)
      .press('Tab')
    await expect(pad(page)).toContainText('1 of 2')
    await pad(page)
      .getByLabel(/^How many Locking pins/)
      .fill('2')
    await pad(page)
      .getByLabel(/^How many Locking pins/)
      .press('Tab')
    await doStep(page)
    expect(await stepNow(page)).not.toBe('lowers-off')
  })

  test('goes through a fit-up round; a half from another bearing is named before it is fitted', async ({ page }) => {
    await jobAt(page, 'G-117', 'gears-in')
    // A tooth off its marks is told by what is read there.
    await takeInHand(page)
    await answer(page)
    const mesh = pad(page).getByRole('group', { name: 'Pinion to wheel' })
    await mesh.getByRole('button', { name: /look again/i }).click()
    await mesh.getByRole('textbox').fill('7 32 33')
    await mesh.getByRole('button', { name: 'It reads that' }).click()
    await expect(mesh).toContainText('It does not read the same')
    await expect(mesh).toContainText('pit and sing')
    await mesh.getByRole('button', { name: 'Put it right, look again' }).click()
    await mesh.getByRole('textbox').fill('7-31-32')
    await mesh.getByRole('button', { name: 'It reads that' }).click()
    await expect(mesh).toContainText('reads “7-31-32”')
    await doStep(page)

    await jobAt(page, 'G-117', 'fit-lay')
    await doStep(page)
    await expect(page.locator('[data-step=fit-halves]')).toBeVisible()
    const place = 'Half bearing, slow shaft, output side, upper half'
    const named = await takeWrong(page, place)
    await expect(named).toContainText('scraped to its own journal')
    await readCautions(page)
    await page.locator('[data-test=confirm]').click()
    await expect(page.locator('[data-step=fit-halves]')).toBeVisible()
    await pad(page).getByRole('button', { name: 'Put it down, take the other' }).click()
    await takeInHand(page)
    await confirmStep(page)
    await confirmStep(page)
    await pullJoint(page)
    await confirmStep(page)
    await confirmStep(page)
    await confirmStep(page)
    await confirmStep(page)
    await expect(page.locator('[data-step=fit-read]')).toBeVisible()
    const bearings = [
      'fast shaft, input side',
      'fast shaft, output side',
      'slow shaft, input side',
      'slow shaft, output side',
    ]
    const isFast = (one: string) => one.startsWith('fast')
    for (const one of bearings)
      await fillSum(
        page,
        `Clearance by strips, ${one}`,
        isFast(one) ? ['0.9', '0.92', '0.94'] : ['1.46', '1.48', '1.44'],
      )
    for (const one of bearings) {
      const width = isFast(one) ? '0.44' : '0.54'
      await fillSum(page, `Skew by strips, ${one}`, [width, width, width, width])
    }
    // One wire is thicker than its shims: the half could move.
    for (const one of bearings)
      await fillSum(page, `Pinch by wire, ${one}`, [
        one === bearings[2] ? '0.43' : '0.38',
        '0.4',
        '0.4',
        '0.38',
        '0.4',
        '0.4',
      ])
    await confirmStep(page)
    await doStep(page)
    await expect(page.locator('[data-step=journals-oiled]')).toBeVisible()
    await expect(before(page)).toContainText('Pinch by wire, slow shaft, input side, failed')
    await expect(pad(page)).toContainText('dress the cover, never the half')
    await pad(page).getByText('the cover was dressed', { exact: true }).click()
    await page.locator('[data-test=begin-round]').click()
    await expect(page.locator('[data-step=fit-lay]')).toBeVisible()
    // A new round counts its own strips in and out.
    await expect(pad(page).getByLabel(/^How many Gauging strips, in/)).toBeVisible()
    await jobAt(page, 'G-117', 'journals-oiled')
    await doStep(page)
    await expect(page.locator('[data-step=upper-on-fi]')).toBeVisible()
    await jobAt(page, 'G-117', 'cover-on')
    await doStep(page)
    await expect(page.locator('[data-step=dowels-in]')).toBeVisible()
  })
})

test('crystalliser: two blades exchanged and the dry ring wetted are named', async ({ page }) => {
  await signIn(page)
  await page.goto('/?machine=X-511')
  await jobAt(page, 'X-510', 'blades-on-b')
  const named = await takeWrong(page, 'Blade, row B, place 2')
  await expect(named).toContainText('rides on one corner and scores the tube')
  await pad(page).getByRole('button', { name: 'Put it down, take the other' }).click()
  await answer(page)
  const bevel = pad(page).getByRole('group', { name: 'Bevel of the blade, row B, place 2' })
  await bevel.getByText('the wall', { exact: true }).click()
  await expect(bevel).toContainText('It planes instead of scraping')
  await bevel.getByText('the shaft', { exact: true }).click()
  await doStep(page)
  await expect(page.locator('[data-step=blades-on-c]')).toBeVisible()
})

test('crystalliser: the ring that must grip goes in dry, or it is said what happens', async ({ page }) => {
  await machineBy(librarySheet('m8-scraped-surface-exchanger'), 'X-901', 'Crystalliser', {
    seal: 'double',
    body: 'one',
    size: 's80',
    material: 'metal',
  })
  await signIn(page)
  await jobAt(page, 'X-901', 'secondary-insert-on-driven')
  await answer(page)
  const grip = pad(page).getByRole('radiogroup', { name: /What is on it: grip ring/ })
  await grip.getByText('food grease', { exact: true }).click()
  await expect(pad(page).getByRole('alert')).toContainText('it slips and the insert spins')
  await readCautions(page)
  await page.locator('[data-test=confirm]').click()
  await expect(page.locator('[data-step=secondary-insert-on-driven]')).toBeVisible()
  await grip.getByText('dry', { exact: true }).click()
  await doStep(page)
  expect(await stepNow(page)).not.toBe('secondary-insert-on-driven')
})

test('reducer: a disc in line stops what would bury it, is put right, and nothing is drawn up with bolts', async ({
  page,
}) => {
  await signIn(page)
  await openBench(page, 'R-118')
  await expect(page.locator('[data-step=top-on]')).toBeVisible()
  const stop = page
    .getByRole('list', { name: 'Before this step' })
    .getByRole('listitem')
    .filter({ hasText: 'Stamp of the second disc: stands at' })
  // Not folded away either, and with what comes of it.
  await expect(page.getByRole('region', { name: 'Owed' })).toContainText('stops what comes next')
  await expect(stop).toContainText('nothing balances the cam')
  await stop.getByRole('button', { name: 'Go' }).click()
  // Blind: the dial is empty, and says nothing of where it ought to stand.
  await expect(pad(page)).not.toContainText('6:00')
  await setDial(page, '6:00')
  await pad(page).getByRole('button', { name: 'It stands there' }).click()
  await expect(stop).toHaveCount(0)
  await doStep(page)

  // Built over by now, it is not said otherwise any more: the disc is taken up again, with all that lies over it.
  await page.locator('[data-test=steps]').click()
  await pad(page)
    .getByRole('button', { name: /second disc/ })
    .click()
  await page.locator('[data-test=again]').click()
  await expect(pad(page)).toContainText('Bearing and retaining ring on the cam end')
  await pad(page).getByLabel('What is wrong with it?').fill('It binds')
  await page.locator('[data-test=reopen]').click()
  await expect(page.locator('[data-step=second-on]')).toBeVisible()
  await expect(pad(page)).toContainText('What goes back')
  await expect(page.locator('footer')).toContainText('Gate')
  await jobAt(page, 'R-118', 'join')
  await page.locator('[data-test=trouble]').click()
  await pad(page).locator('[data-test=sign]').filter({ hasText: 'It will not close by hand' }).click()
  await expect(pad(page)).toContainText('The second disc is not half a turn from the first')
  await expect(before(page)).toContainText('It will not close by hand')
  await pad(page).locator('[data-test=it-was]').first().click()
  await doStep(page, { 'Gap at the joint, closed by hand': ['0.04'] })
  await expect(page.locator('[data-step=bolts-in]')).toBeVisible()
})

test.describe('dual seal', () => {
  async function sealAt(page: Page, tag: string, step: string) {
    await signIn(page)
    await machineBy(librarySheet('m20-dual-seal'), tag, 'Seal of the tests', { faces: 'carbon', duty: 'plain' })
    await jobAt(page, tag, step)
  }
  const card = (page: Page) => page.getByRole('region', { name: 'The step in view' })

  test('is indexed before it is lifted, its ring read before it is let go, its faces looked at unwiped', async ({
    page,
  }) => {
    await sealAt(page, 'S-971', 'index-turning')
    await expect(pad(page)).toContainText('hole A of the collar')
    await doStep(page)
    await doStep(page)
    await expect(page.locator('[data-step=face-off-out]')).toBeVisible()
    await expect(card(page)).toContainText('held at 12')
    await jobAt(page, 'S-971', 'read-faces')
    await expect(pad(page)).toContainText('Turning face, outboard: look at it')
    await page.locator('[data-code=coke]').click()
    await page.locator('[data-grade="2"]').click()
    await setDial(page, '4:30')
    await page.locator('[data-test=add-finding]').click()
    await page.locator('[data-test=keep-look]').click()
    for (const part of ['Turning face, inboard', 'Sprung face, outboard', 'Sprung face, inboard', 'Sleeve']) {
      await expect(pad(page)).toContainText(`${part}: look at it`)
      await page.locator('[data-test=clean]').click()
    }
    await expect(pad(page)).toContainText('what lies there?')
    await doStep(page)
    await expect(page.locator('[data-step=clean]')).toBeVisible()
  })

  test('a face that has run in to another is named as it is taken for this one', async ({ page }) => {
    await sealAt(page, 'S-972', 'seat-on-out')
    await expect(hand(page, 'Sprung face, outboard')).toBeVisible()
    await takeWrong(page, 'Sprung face, outboard')
    await expect(pad(page)).toContainText('on the other track both leak')
    await doStep(page)
    expect(await stepNow(page)).toBe('seat-on-in')
  })

  test('a face is renewed with its partner, and a choice half made is not gone over by all proposals', async ({
    page,
  }) => {
    await sealAt(page, 'S-974', 'decide')
    const row = (name: string) => pad(page).getByRole('listitem').filter({ hasText: name })
    const turning = row('Turning face, inboard')
    await choose(turning, 'renew')
    await turning.getByRole('textbox').fill('It wept')
    await page.locator('[data-test=propose]').click()
    await expect(row('Sprung face, outboard').getByRole('radio', { name: 'reuse' })).toBeChecked()
    await expect(turning.getByRole('radio', { name: 'renew' })).toBeChecked()
    await expect(turning.getByRole('textbox')).toHaveValue('It wept')
    await turning.getByRole('button', { name: 'Decide it so' }).click()
    await expect(turning.getByRole('textbox')).toHaveCount(0)
    await expect(row('Sprung face, inboard')).toContainText('Renewed with turning face, inboard')
  })

  test('what it failed of is said from what was found; the report has it with every hour from the datum', async ({
    page,
  }) => {
    await sealAt(page, 'S-973', 'decide-purpose')
    await pad(page).getByText('To learn why it failed').click()
    await pad(page).getByRole('textbox', { name: 'Why' }).fill('It leaked twice this year')
    await page.locator('[data-test=decide-axis]').click()
    await jobAt(page, 'S-973', 'read-faces')
    await page.locator('[data-code=coke]').click()
    await page.locator('[data-grade="2"]').click()
    await setDial(page, '4:30')
    await page.locator('[data-test=add-finding]').click()
    await page.locator('[data-test=keep-look]').click()
    await jobAt(page, 'S-973', 'say-cause')
    // What nothing was found of is not taken for it without a word, and neither is nothing at all.
    const causes = pad(page).getByRole('radio')
    await expect(causes).toHaveCount(3)
    await expect(pad(page)).toContainText('coked or crusted, a hard rim behind it')
    await expect(card(page).locator('[data-test=confirm]')).toHaveClass(/unready/)
    await pad(page).getByText('Not found').click()
    await page.locator('[data-test=say-cause]').click()
    await expect(pad(page).getByRole('alert')).toContainText('ruled out')
    await pad(page).locator('.el-select').click()
    await page.getByRole('option', { name: 'The rings have set with age' }).click()
    await page.locator('[data-test=say-cause]').click()
    await expect(pad(page).getByRole('alert')).toContainText('More that was found speaks for')
    await pad(page).locator('.name', { hasText: 'Solids or crystals' }).click()
    await page.locator('[data-test=say-cause]').click()
    await expect(card(page).locator('[data-test=cause]')).toContainText('solids or crystals')
    const id = page.url().split('/').at(-1)!
    await page.getByRole('link', { name: 'Failure report' }).click()
    const dial = page.getByRole('region', { name: 'Turning group' })
    await expect(dial).toContainText('Hole A of the collar stands at 12')
    await expect(dial.getByRole('listitem').filter({ hasText: 'Coked or crusted' })).toContainText('4:30')
    await expect(page.getByRole('row', { name: /It was: solids/ })).toContainText('a hard rim behind it')
    await expect
      .poll(async () =>
        (await (await page.request.get(`/api/jobs/${id}/entries`)).json()).map((one: AnyEntry) => one.kind),
      )
      .toContain('cause.said')
    const pdf = await (await page.request.get(`/api/jobs/${id}/failure.pdf`)).body()
    const { getDocumentProxy, extractText } = await import('unpdf')
    const { text } = await extractText(await getDocumentProxy(new Uint8Array(pdf)), { mergePages: true })
    for (const words of ['Failure report', 'Hole A of the collar stands at 12', '4:30', 'It was: solids or crystals'])
      expect(text.replace(/\s+/g, ' ')).toContain(words)
  })
})

test.describe('turbo-blower', () => {
  const card = (page: Page) => page.getByRole('region', { name: 'The step in view' })
  async function blowerAt(page: Page, tag: string, step: string) {
    await signIn(page)
    await machineBy(librarySheet('m12-turbo-blower'), tag, 'Blower of the tests', { bearings: 'semi', size: 'small' })
    await jobAt(page, tag, step)
  }
  async function takeDepth(page: Page, depth: string, why: string) {
    await choose(pad(page).getByRole('radiogroup', { name: 'How far it is taken' }), depth)
    await pad(page).getByRole('textbox', { name: 'Why' }).fill(why)
    await page.locator('[data-test=decide-axis]').click()
    await signAs(page)
  }

  test('one clearance of four speaks for the overhaul; closed up in spite of it, it is stopped and decided otherwise', async ({
    page,
  }) => {
    await blowerAt(page, 'B-971', 'found-gaps')
    await measure(page, { 'Clearance of the hot wheel': ['0.62', '0.68', '0.40', '0.66'] })
    await expect(pad(page)).toContainText('bottom')
    await confirmStep(page)
    await expect(page.locator('[data-step=decide-depth]')).toBeVisible()
    await expect(pad(page)).toContainText('Readings suggest: Overhaul it')
    await takeDepth(page, 'Close it up again', 'It is wanted by tonight')
    await confirmStep(page)
    await jobAt(page, 'B-971', 'cold-casing-on')
    await page.locator('[data-test=confirm]').click()
    await before(page)
      .getByText(/Clearance of the hot wheel/)
      .first()
      .click()
    await expect(pad(page)).toContainText('touches there as soon as it is hot')
    // It is the place that is out, and what stands beside the heading lies not over the way on.
    await expect(pad(page).locator('[data-test=big]')).toContainText('0.40')
    const [sign, door] = await Promise.all(
      ['[data-test=note]', '[data-test=decide-otherwise]'].map(one => pad(page).locator(one).boundingBox()),
    )
    expect(sign!.x + sign!.width).toBeLessThanOrEqual(door!.x)
    await page.locator('[data-test=decide-otherwise]').click()
    await takeDepth(page, 'Overhaul it', 'A wheel that touches is no blower tomorrow')
    await expect(page.locator('[data-step=clamp-on]')).toBeVisible()
    await expect(card(page)).toContainText('Clamp the rotor')
  })

  test('the bath goes on while page and server are gone, and its hours are held to by whoever comes next', async ({
    page,
    context,
    served,
  }) => {
    await blowerAt(page, 'B-973', 'decide-depth')
    await takeDepth(page, 'Overhaul it', 'Its bearings are due')
    await jobAt(page, 'B-973', 'bath')
    await readCautions(page)
    await measure(page, { 'Bath, first part: strength': ['5'] })
    await measure(page, { 'Bath, second part: strength': ['10'] })
    await measure(page, { 'Bath temperature': ['55'] })
    await expect(pad(page)).toContainText('what lies in it?')
    await pad(page).getByText('casing, rotor, shield', { exact: true }).click()
    await pad(page).getByRole('button', { name: 'Keep what was found' }).click()
    await page.locator('[data-test=begin]').click()
    // What lies beside it goes on meanwhile.
    await expect(page.locator('[data-step=wash]')).toBeVisible()
    const address = page.url()
    await page.close()
    await served.again('SIGKILL')

    const later = await context.newPage()
    await later.goto('/')
    await later.locator('[data-test=waiting]').click()
    const board = later.locator('[data-test=waits]')
    await expect(board).toContainText('B-973')
    await expect(board).toContainText('hot casing, rotor and shield in the bath')
    await expect(board).toContainText(/3 h 5\d min still/)
    await jobAt(later, 'B-973', 'wash')
    await doStep(later)
    // Nothing is rinsed before its hours are over.
    await later.goto(address)
    await later.locator('[data-test=waiting]').click()
    await board.getByRole('link', { name: /B-973/ }).click()
    await expect(later.locator('[data-step=bath]')).toBeVisible()
    await later.locator('[data-test=confirm]').click()
    await expect(later.getByRole('alert').filter({ hasText: 'still to go of' })).toBeVisible()
  })

  test('the gap of a snap ring is told by the hour as it is seen from its own side', async ({ page }) => {
    await blowerAt(page, 'B-972', 'decide-depth')
    await expect(pad(page)).toContainText('Readings suggest: Close it up again')
    await takeDepth(page, 'Overhaul it', 'Its bearings are due')
    await jobAt(page, 'B-972', 'float-in-hot')
    await expect(pad(page)).toContainText('Snap ring, hot side: its gap')
    // On the right, as whoever stands at the cold side sees it; told as if it were seen from the hot side.
    await setDial(page, '3:00')
    await pad(page).locator('[data-test=stands]').click()
    await expect(pad(page)).toContainText('the ring springs out there')
    await pad(page).getByRole('button', { name: 'Put it right, look again' }).click()
    await pad(page).getByRole('button', { name: 'From the other end' }).first().click()
    await setDial(page, '3:00')
    await pad(page).locator('[data-test=stands]').click()
    await expect(pad(page)).toContainText('9:00')
    await expect(pad(page)).not.toContainText('the ring springs out there')
  })
})

test.describe('reciprocating compressor', () => {
  const variants = { 'oiling': 'slinger', 'right-head': 'unloader', 'oil': 'ester', 'start': 'part' }
  async function compressorAt(page: Page, tag: string, step: string) {
    await machineBy(librarySheet('m5-reciprocating-compressor'), tag, 'Compressor of the tests', variants)
    await jobAt(page, tag, step, 'T. Brisco')
  }

  const goTo = (page: Page, what: RegExp) =>
    before(page).getByRole('listitem').filter({ hasText: what }).first().getByRole('button', { name: 'Go' }).click()

  const readPressure = async (page: Page, discharge: string) => {
    await readCautions(page)
    await fillSum(page, 'Pressure left in it', ['0'])
    await page.locator('#figure').fill(discharge)
    await page.locator('[data-test=take]').click()
  }

  test('nothing is opened while there is pressure in it', async ({ page }) => {
    await signIn(page, 'T. Brisco')
    await compressorAt(page, 'K-971', 'recovered')
    await readPressure(page, '0.25')
    await expect(pad(page)).toContainText('what is opened now flies')
    // It tells how it is: the step is over, and what would be opened next is not.
    await confirmStep(page)
    await expect(page.locator('[data-step=oil-out]')).toBeVisible()
    await goTo(page, /Pressure left in it/)
    await expect(pad(page).locator('[data-test=big]')).toContainText('0.25')
    await pad(page).getByRole('button', { name: 'Recovered again' }).click()
    await fillSum(page, 'Pressure left in it', ['0.02'])
    await expect(page.getByRole('region', { name: 'Owed' })).not.toContainText('Pressure left in it')
  })

  test('whoever holds no paper does not recover it, and nobody signs for what they did', async ({ page }) => {
    await signIn(page)
    await compressorAt(page, 'K-974', 'recovered')
    await readPressure(page, '0.02')
    await page.locator('[data-test=confirm]').click()
    await expect(page.locator('[data-test=signer]')).toContainText(
      'all of it is done by somebody certified for refrigerant',
    )
  })

  test('a gasket that is too thin takes another round; one that was not tried is not shut in', async ({ page }) => {
    await signIn(page, 'T. Brisco')
    await compressorAt(page, 'K-972', 'round-read')
    const leads = { 1: ['0.56', '0.58'], 2: ['0.55', '0.56'], 3: ['0.22', '0.24'], 4: ['0.57', '0.58'] }
    for (const [cylinder, read] of Object.entries(leads))
      await fillSum(page, `Room over the piston, cylinder ${cylinder}`, read)
    for (const head of ['left', 'right'])
      await measure(page, { [`Gasket that lay there for it, ${head} head`]: ['0.5'] })
    await confirmStep(page)
    await expect(page.locator('[data-step=heads-on]')).toBeVisible()
    await goTo(page, /Room over the piston, cylinder 3/)
    await expect(pad(page)).toContainText('strikes the plate')
    await page.locator('[data-test=begin-round]').click()
    await pad(page).getByText('another gasket, left head', { exact: true }).click()
    await expect(pad(page)).toContainText('Void by it, and read again')
    await page.locator('[data-test=begin-round]').click()
    await expect(page.locator('[data-step=round-on]')).toBeVisible()

    await compressorAt(page, 'K-973', 'heads-on')
    // What lay there for the trial stands on the card.
    await expect(page.locator('[data-test=goes-by]').first()).toContainText(
      /Gasket that lay there for it, left head\s+0\.\d+ mm/,
    )
    await measure(page, { 'Gasket that goes in, left head': ['0.7'] })
    await expect(pad(page)).toContainText('It is another than the one of the trial')
    // The other one comes out again, and what goes in for it is measured.
    await pad(page).getByRole('button', { name: 'The right one laid in' }).click()
    await measure(page, { 'Gasket that goes in, left head': ['0.57'], 'Gasket that goes in, right head': ['0.57'] })
    await expect(page.getByRole('region', { name: 'Owed' })).not.toContainText('Gasket as it was tried')
  })
})
