import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { expect, type BrowserContext, type Cookie, type Locator, type Page } from './test.ts'
import { v7 as uuid } from 'uuid'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import { planFor, type Plan } from '../../core/sheet/index.ts'
import { librarySheet, librarySheetNames } from '../sheets.ts'
import { extend, openingOf, questionsAt } from '../../core/job/index.ts'
import { SOUND } from '../../demo/figures.ts'
import { wornFindings } from '../../demo/findings.ts'
import { Technician } from '../../demo/technician.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import type { DoorAnswer, JobAnswer, OpenedJob, SheetAnswer } from '../../shared/answers.ts'

/** What follows a press is there at once, or nearly: looked for this often, ms. */
const SOON = { intervals: [20, 40, 80, 100] }

/** The hands of a technician on the screen: only what a person can see and touch. */
export async function signInAtTheDoor(page: Page, name = 'R. Okell') {
  await onOurTablet(page.context())
  await page.goto('/sign-in')
  await enterPin(page, name)
  await expect(page.locator('[data-test=who]')).toContainText(name)
  keepTablet(await page.context().cookies())
}

/** The address of this worker's server, as a page of it says where it comes from. */
const ours = () => ({ origin: process.env.E2E_ADDRESS! })

/** Signed in before any page is opened: for all that is not about the door. */
export async function signIn(page: Page, name = 'R. Okell') {
  await onOurTablet(page.context())
  const { people } = (await (await page.request.get('/api/sign-in')).json()) as DoorAnswer
  const { pin } = PEOPLE.find(one => one.name === name)!
  const data = { person: people.find(one => one.name === name)!.id, pin }
  const answer = await page.request.post('/api/sign-in', { headers: ours(), data })
  if (!answer.ok()) throw new Error(await answer.text())
  keepTablet(await page.context().cookies())
}

/** The tablet of these tests, on which everybody has signed in: every browser of theirs is this one. */
const TABLET = `test-results/tablet-${process.env.TEST_WORKER_INDEX}.json`
const DEVICE = 'needler-device'

export async function onOurTablet(context: BrowserContext) {
  if (existsSync(TABLET)) await context.addCookies(JSON.parse(readFileSync(TABLET, 'utf8')) as Cookie[])
}
export function keepTablet(cookies: Cookie[]) {
  mkdirSync('test-results', { recursive: true })
  writeFileSync(TABLET, JSON.stringify(cookies.filter(one => one.name === DEVICE)))
}

/** Gives the PIN of whoever signs, on a device that stays whose it is. */
export async function signAs(page: Page, name = 'O. Hallam') {
  const asked = page.locator('[data-test=signer]')
  await asked.getByRole('button', { name: new RegExp(`^${name.replace('.', '\\.')}`) }).click()
  await asked.getByLabel(`PIN of ${name}`).fill(PEOPLE.find(one => one.name === name)!.pin)
  await expect(asked).toHaveCount(0)
}

export async function enterPin(page: Page, name: string) {
  await page
    .getByRole('list', { name: 'Your name' })
    .getByRole('button', { name: new RegExp(`^${name.replace('.', '\\.')}`) })
    .click()
  await page.getByLabel('PIN', { exact: true }).fill(PEOPLE.find(one => one.name === name)!.pin)
}

/** Two touches and a PIN. */
export async function changePerson(page: Page, name: string) {
  await page.locator('[data-test=who]').click()
  await enterPin(page, name)
  await expect(page.locator('[data-test=who]')).toContainText(name)
}

export async function openJob(page: Page, tag: string, complaint = 'Seal weeps') {
  await page.goto(`/?machine=${tag}`)
  await page.getByRole('button', { name: 'Open a job' }).click()
  await page.getByLabel('What was reported?').fill(complaint)
  await page.getByRole('button', { name: 'Open the job' }).click()
  await expect(page.locator('[data-test=step]')).toBeVisible()
}

export async function openBench(page: Page, tag: string) {
  await page.goto('/bench')
  await page.getByRole('link', { name: new RegExp(tag) }).click()
  await expect(page.locator('[data-test=step]')).toBeVisible()
}

/** Touches one word of a choice. */
export const choose = (where: Locator, word: string) =>
  where.locator('.el-radio-button, .el-checkbox-button').filter({ hasText: word }).first().click()

/** Opens a list and takes one line of it. */
export async function select(page: Page, label: string, word: string) {
  const field = page.getByRole('combobox', { name: label, exact: true })
  await page.locator('.el-select').filter({ has: field }).click()
  const list = page.locator(`[id="${await field.getAttribute('aria-controls')}"]`)
  await list.getByRole('option', { name: word, exact: true }).click()
}

/** Looks something up by its words, and opens the first that fits. */
export async function find(page: Page, words: string) {
  await page.getByRole('button', { name: /^Find/ }).click()
  await page.getByPlaceholder('machine, job, step, part, reading').fill(words)
  // Every word stands in what is first by now: an answer to half the words may still be there.
  for (const word of words.split(' ')) await expect(page.locator('.hit').first()).toContainText(new RegExp(word, 'i'))
  await page.keyboard.press('Enter')
}

/** The open job of a machine, opened where there is none, however far it is. */
export async function jobOn(page: Page, tag: string): Promise<string> {
  const data = { equipment: tag, complaint: 'Planned' }
  const sent = await page.request.post('/api/jobs', { headers: ours(), data })
  const answer = (await sent.json()) as OpenedJob & { data?: { job: string } }
  return answer.data?.job ?? answer.id
}

/**
 * A job worked up to a step by the technician of the demo and sent as its two people would, so that a test begins where it
 * matters. Whoever is signed in on the page is the fitter.
 */
export async function jobAt(page: Page, tag: string, step: string, who = 'R. Okell') {
  const door = (await (await page.request.get('/api/sign-in')).json()) as DoorAnswer
  const [fitter, lead] = [who, 'O. Hallam'].map(name => door.people.find(one => one.name === name)!)
  const papersOf = (name: string) => PEOPLE.find(one => one.name === name)!.competences ?? []
  const { pin } = PEOPLE.find(one => one.name === lead!.name)!
  const id = await jobOn(page, tag)
  // What was done on the screen just now is in the ledger first.
  const own = page.locator('[data-test=sent]')
  if (await own.isVisible()) await expect(own).toHaveText('all sent')
  const job = (await (await page.request.get(`/api/jobs/${id}`)).json()) as JobAnswer
  const opening = openingOf(job.entries)
  const plan = planFor(await sheetAt(page, opening), opening.variants, SUMS_BY_NAME)
  // Numbers of its own: those of the screen are in the hands of whoever stands there.
  let label = 10_000 + job.entries.length
  const worker = new Technician(
    plan,
    {
      ...wornFindings({ general: 0.3 }, { fitter: fitter!.id, lead: lead!.id }, SOUND[opening.sheet]),
      held: { fitter: papersOf(who), lead: papersOf('O. Hallam') },
    },
    { id: () => uuid(), now: () => new Date().toISOString() },
    () => ++label,
  )
  worker.folded = extend(plan, worker.folded, job.entries)
  worker.workUntil(step)
  const entries = worker.folded.entries.slice(job.entries.length)
  for (let from = 0, to = 0; from < entries.length; from = to) {
    while (to < entries.length && to - from < 180 && entries[to]!.madeBy === entries[from]!.madeBy) to++
    const sent = entries
      .slice(from, to)
      .map(({ id: number, kind, payload, act, madeAt }) => ({ id: number, kind, payload, act, madeAt }))
    const data = entries[from]!.madeBy === lead!.id ? { signer: lead!.id, pin, entries: sent } : sent
    const answer = await page.request.post(`/api/jobs/${id}/entries`, { headers: ours(), data })
    if (!answer.ok()) throw new Error(await answer.text())
  }
  await page.goto(`/bench/${id}`)
  await expect(page.locator(`[data-step=${step}]`)).toBeVisible()
}

/** The step on the card; null once every step is done. */
export async function stepNow(page: Page): Promise<string | null> {
  const card = page.locator('[data-test=step]')
  return (await card.isVisible()) ? card.getAttribute('data-step') : null
}

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })

/** A pad is fetched when it is first wanted: until it stands there nobody can say what it asks. */
export async function padStands(page: Page) {
  await expect(pad(page).locator(':scope > :not(.back)').first()).toBeVisible()
}

/** Figures that hold for every check of the sheet, by its title; others are named by the test. */
export type Figures = Record<string, string[]>

export const GOOD: Figures = {
  'End float': ['0', '0.12'],
  'Lift, drive end': ['0.02', '-0.02'],
  'Lift, non-drive end': ['0.02', '-0.01'],
  'Gap between hubs': ['38.0'],
  'Seal setting distance': ['42.0'],
  'Sleeve, under the bush': ['74.98'],
  'Throttle bush bore': ['75.34'],
  'Journal, drive end': ['60.012'],
  'Journal, non-drive end': ['60.011'],
  'Wear ring bore, drive end': ['184.2'],
  'Impeller eye, drive end': ['183.68'],
  'Wear ring bore, non-drive end': ['184.2'],
  'Impeller eye, non-drive end': ['183.68'],
  'Shaft run-out, middle': ['0', '0.005', '0.01', '0.005', '0', '-0.005', '-0.01', '-0.005'],
  'Seal springs, shortest': ['25.1'],
  'Pressure held for 10 minutes': ['6.0'],
  'Bearing temperature, drive end': ['48'],
  'Bearing temperature, non-drive end': ['45'],
  'Vibration, drive end': ['1.4'],
  'Vibration, non-drive end': ['1.3'],
  'Air at the pump': ['18'],
  'Discharge pressure': ['3.6'],
  'Motor current': ['68'],
  'Bearing off the heater': ['92'],
  'Gap between the clamp halves': ['1.0'],
  'Feet of the motor': ['0.02'],
  'Coupling alignment': ['0'],
}

/** Types figures until the pad no longer asks. */
export async function measure(page: Page, figures: Figures) {
  const title = await pad(page).getByRole('heading', { level: 2 }).first().innerText()
  const wanted = figures[title] ?? GOOD[title]
  if (!wanted) throw new Error(`No figure for ${title}`)
  const field = pad(page).locator('#figure')
  for (
    let i = 0;
    i < 60 &&
    (await field.isVisible()) &&
    (await pad(page).getByRole('heading', { level: 2 }).first().innerText()) === title;
    i++
  ) {
    if (await pad(page).locator('[data-test=keep]').isVisible()) {
      await pad(page).locator('[data-test=keep]').click()
      return
    }
    await field.fill(wanted[i % wanted.length]!)
    await field.press('Enter')
    // What is odd beside an earlier overhaul is what the gauge shows all the same.
    const sure = pad(page).locator('[data-test=sure]')
    if (await sure.isVisible()) await sure.click()
  }
}

/** Types figures into the sum on the pad, one after the other. */
export async function fillSum(page: Page, title: string, figures: readonly string[]) {
  const heading = pad(page).getByRole('heading', { level: 2 }).first()
  for (const figure of figures) {
    await expect(heading).toHaveText(title)
    const place = await pad(page).locator('.reading b').first().innerText()
    await page.locator('#figure').fill(figure)
    await page.locator('[data-test=take]').click()
    await expect
      .poll(
        async () =>
          (await pad(page).innerText()).includes(`${place}: ${figure}`) || (await heading.innerText()) !== title,
        SOON,
      )
      .toBe(true)
  }
}

/** Questions of a step that nobody has answered. */
const unanswered = (page: Page) =>
  pad(page)
    .getByRole('list', { name: 'Questions' })
    .getByRole('radiogroup')
    .filter({ hasNot: page.locator('.is-disabled') })

/** Every answer of the library that holds. */
const HOLDS = librarySheetNames().flatMap(name =>
  planFor(librarySheet(name)).whole.checks.flatMap(({ choices = [] }) =>
    choices.flatMap(({ say, verdict }) => (verdict === 'Holds' ? say : [])),
  ),
)

/** The good answer of every question, wherever it stands, kept together. */
async function answerAsked(page: Page) {
  for (const group of await unanswered(page).all()) {
    const says = await group.locator('.el-radio-button').allInnerTexts()
    await group
      .locator('.el-radio-button')
      .nth(says.findIndex(say => HOLDS.includes(say.trim())))
      .click()
  }
  await pad(page).locator('[data-test=keep-asked]').click()
}

export async function pullJoint(page: Page) {
  const next = page.locator('[data-test=bolt]')
  await pad(page).getByText('Set and clicked', { exact: true }).click()
  // As far as the wrench goes: what is turned or felt afterwards is the test's to say.
  while ((await next.isVisible()) && (await page.locator('#torque, [data-test=clicked]').first().isVisible())) {
    const [bolt, target] = [await next.getAttribute('data-bolt'), await next.getAttribute('data-target')]
    if (await page.locator('#torque').isVisible()) {
      await page.locator('#torque').fill(Number(target).toFixed(1))
      // Pressed, not entered: what has just come up rests a moment, and the press waits for it.
      await page.locator('[data-test=pull]').click()
    }
    await page.locator('[data-test=clicked]').click()
    await expect
      .poll(
        async () =>
          (await next.isVisible())
            ? `${await next.getAttribute('data-bolt')} ${await next.getAttribute('data-target')}`
            : 'done',
        SOON,
      )
      .not.toBe(`${bolt} ${target}`)
  }
}

/** A mark where a careful fitter makes it: at the top, or as far along as the seal happens to sit. */
export async function makeMark(page: Page) {
  if (await pad(page).locator('#distance').isVisible()) await pad(page).locator('#distance').fill('42')
  else if (
    await pad(page)
      .getByPlaceholder(/^as in/)
      .isVisible()
  ) {
    const example = (await pad(page)
      .getByPlaceholder(/^as in/)
      .getAttribute('placeholder'))!.replace('as in ', '')
    await pad(page)
      .getByPlaceholder(/^as in/)
      .fill(example)
  } else if (await pad(page).getByRole('radiogroup', { name: 'Dots on each side' }).isVisible())
    await pad(page)
      .getByRole('radiogroup', { name: 'Dots on each side' })
      .locator('.el-radio-button:not(.is-disabled)')
      .first()
      .click()
  else await setDial(page, '12:00')
  await pad(page).locator('[data-test=mark]').click()
}

export async function setDial(page: Page, text: string) {
  await pad(page).locator('[data-test=dial-text] input, input[data-test=dial-text]').last().fill(text)
  await pad(page).locator('[data-test=dial-text] input, input[data-test=dial-text]').last().press('Enter')
}

export async function readCautions(page: Page) {
  const card = page.getByRole('region', { name: 'The step in view' })
  while (await card.getByRole('button', { name: 'Read', exact: true }).first().isVisible())
    await card.getByRole('button', { name: 'Read', exact: true }).first().click()
}

/** Reads what the card warns of and confirms its step, when nothing else is asked. */
export async function confirmStep(page: Page) {
  await padStands(page)
  const step = await stepNow(page)
  await readCautions(page)
  await page.locator('[data-test=confirm]').click()
  await expect.poll(() => stepNow(page), SOON).not.toBe(step)
}

/** The bags and tags that may be in the hand for a place. */
export const hand = (page: Page, place: string) => pad(page).getByRole('radiogroup', { name: `In hand for ${place}` })

/** Takes the one that is first named as another's, and leaves it so until it is put down again. */
export async function takeWrong(page: Page, place: string): Promise<Locator> {
  const choices = hand(page, place).locator('.el-radio-button')
  const named = pad(page).getByText(`This is the place of the ${place[0]!.toLowerCase()}${place.slice(1)}`)
  for (let i = 0; i < (await choices.count()); i++) {
    await choices.nth(i).click()
    if (await named.isVisible()) return named
  }
  throw new Error(`Nothing else could be in the hand for ${place}.`)
}

/** Of what looks alike, takes each for its own place: the one that is not named as another's. */
export async function takeInHand(page: Page) {
  await padStands(page)
  for (const hand of await pad(page)
    .getByRole('radiogroup', { name: /^In hand for/ })
    .all()) {
    const place = (await hand.getAttribute('aria-label'))!.replace('In hand for ', '')
    const choices = hand.getByRole('radio')
    for (let i = 0; i < (await choices.count()); i++) {
      await hand.locator('.el-radio-button').nth(i).click()
      const wrong = pad(page).getByText(`This is the place of the ${place[0]!.toLowerCase()}${place.slice(1)}`)
      if ((await wrong.count()) === 0) break
    }
  }
}

/** Says what the pad asks, as it is when everything is right: counts, tags in hand, how parts stand, what was found. */
export async function answer(page: Page) {
  const plan = await planOn(page)
  const now = await stepNow(page)
  const counts = pad(page).getByRole('spinbutton')
  for (let i = 0; i < (await counts.count()); i++) {
    const name = (await counts.nth(i).getAttribute('aria-label'))!.replace(/^How many (.*), (out|in)$/, '$1')
    const part = [...plan.parts.values()].find(one => one.name === name)
    const item = plan.whole.steps.flatMap(one => one.leaves ?? []).find(one => one.what === name)
    await counts.nth(i).fill(String(part?.part.quantity ?? item!.pieces))
    await counts.nth(i).press('Tab')
  }
  // What the machine says of itself: as the last job kept it, else as the sheet writes it.
  for (const fact of await pad(page).locator('.fact').all()) {
    const still = fact.locator('[data-test=still]')
    const text = fact.locator('input')
    if (await still.isVisible()) await still.click()
    else if (!(await text.inputValue()))
      await text.fill(((await text.getAttribute('placeholder')) ?? '').replace(/^as /, ''))
  }
  await takeInHand(page)
  for (const mate of await pad(page).locator('.mate').all()) {
    const title = (await mate.getAttribute('aria-label'))!
    const { rule } = plan.whole.mates.find(one => one.title === title)!
    if (rule.kind === 'seen') await mate.getByText(rule.choices.find(one => one.met)!.say, { exact: true }).click()
    else if (rule.kind === 'label') {
      if (!(await mate.getByRole('textbox').isVisible())) continue
      await mate.getByRole('textbox').fill(rule.example)
      await mate.getByRole('button', { name: 'It reads that' }).click()
    } else if (rule.kind === 'dots') {
      if (!(await mate.getByRole('button', { name: 'They meet so' }).isVisible())) continue
      const n = 1 + plan.sheet.mates.filter(one => one.rule.kind === 'dots').findIndex(one => one.title === title)
      for (const group of await mate.getByRole('radiogroup').all())
        await group.getByText('●'.repeat(n), { exact: true }).click()
      await mate.getByRole('button', { name: 'They meet so' }).click()
    } else if (await mate.getByRole('button', { name: 'It stands there' }).isVisible()) {
      if (rule.kind === 'distance') await mate.locator('input').first().fill('42')
      else {
        const deg = rule.kind === 'aligned' ? (rule.deg ?? 0) : 0
        await mate.locator('input[data-test=dial-text], [data-test=dial-text] input').fill(`${deg}°`)
        await mate.locator('input[data-test=dial-text], [data-test=dial-text] input').press('Enter')
      }
      await mate.getByRole('button', { name: 'It stands there' }).click()
    }
  }
  const step = plan.whole.steps.find(one => one.id === now)
  for (const group of await pad(page)
    .getByRole('radiogroup', { name: /^What is on it/ })
    .all()) {
    const on = (await group.getAttribute('aria-label'))!.replace('What is on it: ', '')
    const { medium } = step!.lubricants!.find(one => one.on === on)!
    await group
      .locator('.el-radio-button')
      .filter({ hasText: new RegExp(`^\\s*${medium}\\s*$`) })
      .click()
  }
  for (const { ask, choices } of questionsAt(step ?? {})) {
    const group = pad(page).getByRole('radiogroup', { name: ask })
    if (await group.isVisible()) await choose(group, choices.find(one => one.met)!.say)
  }
  const words = pad(page).locator('.found [role=checkbox]')
  if ((await words.count()) && (await words.first().getAttribute('aria-checked')) === 'false')
    await words.first().click()
}

/** A build sheet, as the server answers it. */
const sheetAt = async (page: Page, { sheet, version }: { sheet: string; version: number }) =>
  ((await (await page.request.get(`/api/sheets/${sheet}/${version}`)).json()) as SheetAnswer).sheet

/** The plan of the job on the screen, as it was opened. */
async function planOn(page: Page): Promise<Plan> {
  const id = /\/bench\/([^/?]+)/.exec(page.url())![1]!
  const known = PLANS.get(id)
  if (known) return known
  const opening = openingOf(((await (await page.request.get(`/api/jobs/${id}`)).json()) as JobAnswer).entries)
  const plan = planFor(await sheetAt(page, opening), opening.variants)
  PLANS.set(id, plan)
  return plan
}
const PLANS = new Map<string, Plan>()

/** Parts nobody has decided yet: no choice of theirs is made. */
const undecided = (page: Page) =>
  pad(page)
    .getByRole('list', { name: 'Parts to decide' })
    .getByRole('radiogroup')
    .filter({ hasNot: page.locator('.is-active') })

/** Nobody has the time here: what waits is begun, and a lead cuts it short. */
async function beginOrCut(page: Page) {
  const begin = pad(page).locator('[data-test=begin]')
  if (await begin.isVisible()) return begin.click()
  await pad(page).locator('[data-test=cut]').click()
  await pad(page)
    .getByLabel(/^Why is it cut short/)
    .fill('Nobody had the time')
  await pad(page)
    .getByRole('button', { name: /^Cut it short/ })
    .click()
  await signAs(page)
}

/** Begins what waits at the step on the card, and has it cut short; the card stays at that step. */
export async function waitOut(page: Page, step: string) {
  await beginOrCut(page)
  await find(page, step)
  await page.locator('[data-test=wait]').click()
  await beginOrCut(page)
  // Back to what the step wants of the pad now.
  await page.keyboard.press('n')
  await find(page, step)
}

/** What a hand does at each pad, as it is turned to. */
/** Looks at a part on the pad, and finds nothing. */
async function findClean(page: Page) {
  await pad(page).locator('[data-test=clean]').click()
}

const AT_PAD: Record<string, (page: Page, figures: Figures) => Promise<unknown>> = {
  reading: async (page, figures) =>
    (await pad(page).locator('#figure').isVisible()) ? measure(page, figures) : answerAsked(page),
  mark: makeMark,
  look: findClean,
  joint: pullJoint,
  wait: beginOrCut,
  decide: async page => {
    if (await pad(page).locator('[data-test=propose]').isVisible())
      await pad(page).locator('[data-test=propose]').click()
    else if (await undecided(page).first().isVisible())
      await undecided(page).first().getByText('reuse', { exact: true }).click()
    else await pad(page).locator('[data-test=fetch]').click()
  },
}

/** Whether the pad still wants something of the hand; afterwards it shows what was done there. */
const wantsHand = (page: Page) =>
  pad(page)
    .locator(
      '#figure, [data-test=mark], [data-test=clean], [data-test=bolt], [data-test=propose], [data-test=fetch], [data-test=begin], [data-test=cut]',
    )
    .or(unanswered(page))
    .or(undecided(page))
    .first()
    .isVisible()

/** Does the step on the card, whatever it asks: cautions, then what its pad is turned to, then the step itself. */
export async function doStep(page: Page, figures: Figures = {}) {
  const step = await stepNow(page)
  const confirm = page.locator('[data-test=confirm]')
  for (let i = 0; i < 80; i++) {
    if ((await stepNow(page)) !== step || !(await confirm.isVisible())) return
    await padStands(page)
    const card = page.getByRole('region', { name: 'The step in view' })
    const atPad = AT_PAD[(await pad(page).getAttribute('data-pad')) ?? '']
    const drawUp = pad(page).locator('[data-test=draw-up]')
    if (await drawUp.isVisible()) {
      await answer(page)
      await drawUp.click()
    } else if (await card.getByRole('button', { name: 'Read', exact: true }).first().isVisible())
      await card.getByRole('button', { name: 'Read', exact: true }).first().click()
    else if (atPad && (await wantsHand(page))) await atPad(page, figures)
    else if (await page.locator('[data-test=hold]').isVisible()) {
      await page.locator('[data-test=hold]').click()
      await signAs(page)
    } else {
      await answer(page)
      await confirm.click()
      await expect
        .poll(() => stepNow(page), { ...SOON, timeout: 4000 })
        .not.toBe(step)
        .catch(() => {})
    }
  }
  throw new Error(`The step ${step} could not be done.`)
}

export async function workUntil(page: Page, step: string | null, figures: Figures = {}) {
  for (let i = 0; i < 90; i++) {
    if ((await stepNow(page)) === step || !(await page.locator('[data-test=confirm]').isVisible())) return
    await doStep(page, figures)
  }
}

/** A lead hands the machine back, cured of what was said here. */
export async function handBack(page: Page, cause: string) {
  const gate = page.locator('[data-test=gate]')
  await changePerson(page, 'O. Hallam')
  await gate.click()
  await page.locator('.el-radio-button').filter({ hasText: /^yes$/ }).click()
  await page.getByLabel('What caused it?').fill(cause)
  await page.locator('[data-test=sign]').click()
  await signAs(page)
  await expect(gate).toContainText('Signed')
}

/** Chooses a PIN of one's own, typed twice. */
export async function choosePin(page: Page, next: string, again: string) {
  const form = page.locator('[data-test=own-pin]')
  await form.getByLabel('A new PIN, which only you know').fill(next)
  await form.getByRole('button', { name: 'Next' }).click()
  const twice = form.getByLabel('The same once more')
  // One that is not taken is said at once.
  if (
    await twice
      .or(form.getByRole('alert'))
      .first()
      .isVisible()
      .then(() => twice.isVisible())
  ) {
    await twice.fill(again)
    await form.getByRole('button', { name: 'Keep it' }).click()
  }
}
