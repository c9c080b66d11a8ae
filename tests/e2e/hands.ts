import { expect, type Page } from '@playwright/test'
import { PEOPLE } from '../../demo/thornmere.ts'

/** The hands of a technician on the screen: only what a person can see and touch. */
export async function signIn(page: Page, name = 'R. Okell') {
  await page.goto('/sign-in')
  await enterPin(page, name)
  await expect(page.locator('[data-test=who]')).toContainText(name)
}

export async function enterPin(page: Page, name: string) {
  await page
    .getByRole('button', { name: new RegExp(`^${name.replace('.', '\\.')}`) })
    .last()
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

/** The step on the card; null once every step is done. */
export async function stepNow(page: Page): Promise<string | null> {
  const card = page.locator('[data-test=step]')
  return (await card.isVisible()) ? card.getAttribute('data-step') : null
}

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })

/** Figures that hold for every check of the sheet, by its title; others are named by the test. */
export type Figures = Record<string, string[]>

export const GOOD: Figures = {
  'End float': ['0', '0.12'],
  'Lift, drive end': ['0.02', '-0.02'],
  'Lift, outer end': ['0.02', '-0.01'],
  'Gap between hubs': ['38.0'],
  'Seal setting distance': ['42.0'],
  'Sleeve, under the bush': ['74.98'],
  'Throttle bush bore': ['75.34'],
  'Journal, drive end': ['60.012'],
  'Journal, outer end': ['60.011'],
  'Wear ring bore, drive end': ['184.2'],
  'Impeller eye, drive end': ['183.68'],
  'Shaft run-out, middle': ['0', '0.005', '0.01', '0.005', '0', '-0.005', '-0.01', '-0.005'],
  'Seal springs, shortest': ['25.1'],
  'Pressure held for 10 minutes': ['6.0'],
  'Bearing temperature, drive end': ['48'],
}

/** Types figures until the pad no longer asks. */
async function measure(page: Page, figures: Figures) {
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
  }
}

export async function pullJoint(page: Page) {
  const next = page.locator('[data-test=bolt]')
  while (await next.isVisible()) {
    const [bolt, target] = [await next.getAttribute('data-bolt'), await next.getAttribute('data-target')]
    await page.locator('#torque').fill(Number(target).toFixed(1))
    await page.locator('#torque').press('Enter')
    await expect
      .poll(async () =>
        (await next.isVisible())
          ? `${await next.getAttribute('data-bolt')} ${await next.getAttribute('data-target')}`
          : 'done',
      )
      .not.toBe(`${bolt} ${target}`)
  }
}

/** Does the step on the card, whatever it asks: cautions, readings, marks, questions, bolts, decisions. */
export async function doStep(page: Page, figures: Figures = {}) {
  const step = await stepNow(page)
  const confirm = page.locator('[data-test=confirm]')
  for (let i = 0; i < 80; i++) {
    if ((await stepNow(page)) !== step || !(await confirm.isVisible())) return
    const card = page.getByRole('region', { name: 'The step in view' })
    if (await card.getByRole('button', { name: 'Read', exact: true }).first().isVisible())
      await card.getByRole('button', { name: 'Read', exact: true }).first().click()
    else if (await pad(page).locator('#figure').isVisible()) await measure(page, figures)
    else if (await pad(page).locator('[data-test=mark]').isVisible())
      await pad(page).locator('[data-test=mark]').click()
    else if (await page.locator('[data-test=bolt]').isVisible()) await pullJoint(page)
    else if (await pad(page).locator('[data-test=propose]').isVisible())
      await pad(page).locator('[data-test=propose]').click()
    else if (await pad(page).locator('[data-test=fetch]').isVisible())
      await pad(page).locator('[data-test=fetch]').click()
    else if (await page.locator('[data-test=hold]').isVisible()) {
      await changePerson(page, 'O. Hallam')
      await page.locator('[data-test=hold]').click()
      await changePerson(page, 'R. Okell')
    } else {
      const unanswered = pad(page).locator('[data-test=yes][aria-pressed=false]').first()
      while (await unanswered.isVisible()) await unanswered.click()
      await confirm.click()
      await expect
        .poll(() => stepNow(page), { timeout: 4000 })
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
