import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from './test.ts'
import { librarySheet } from '../sheets.ts'
import { find, jobAt, openBench, signIn, signInAtTheDoor } from './hands.ts'
import { machineBy } from './shelf.ts'

async function gaugeRoom(page: Page, path: string) {
  await signIn(page)
  await page.goto(`/gauge-room/${path}`)
  await expect(page.locator('[data-test=drawing]').first()).toBeVisible()
}

/** The stand on which bearings are fitted in rounds, at a step. */
async function fitUp(page: Page, tag: string, step: string) {
  await machineBy('four-bearing-fit-up', tag, 'Fit-up stand')
  await signIn(page)
  await jobAt(page, tag, step)
}

/** A pump of its own, worked up to a step. */
async function pumpAt(page: Page, tag: string, step: string) {
  await machineBy(librarySheet('m14-axially-split-pump'), tag, 'Pump of the tests')
  await signIn(page)
  await jobAt(page, tag, step)
}

// Nothing one of them does another looks at.
test.describe.configure({ mode: 'parallel' })

/** Every main view, and how a person comes to it. */
const VIEWS: Record<string, (page: Page) => Promise<void>> = {
  'sign-in': async page => {
    await page.goto('/sign-in')
  },
  'yard': async page => {
    await signIn(page)
    await page.goto('/?machine=P-214B')
    await expect(page.getByText('Throttle bush bore')).toBeVisible()
  },
  'bench list': async page => {
    await signIn(page)
    await page.goto('/bench')
    await expect(page.getByRole('link', { name: /P-214B/ })).toBeVisible()
  },
  'bench in strip': async page => {
    await signIn(page)
    await openBench(page, 'P-214B')
  },
  'bench in measure': async page => {
    await signIn(page)
    await openBench(page, 'P-214B')
    await find(page, 'journal, drive end reading')
    await page.locator('#figure').fill('60.012')
  },
  'bench in decide': async page => {
    await signIn(page)
    await openBench(page, 'P-310')
  },
  'gate': async page => {
    await signIn(page)
    await openBench(page, 'P-214B')
    await page.locator('[data-test=gate]').click()
  },
  'ledger': async page => {
    await signIn(page)
    await openBench(page, 'P-214B')
    await page.getByRole('button', { name: 'Ledger' }).click()
  },
  'part': async page => {
    await signIn(page)
    await openBench(page, 'P-214B')
    await page
      .getByRole('button', { name: /Bearing cap, drive end/ })
      .first()
      .click()
  },
  'bench, a sum half filled': async page => {
    await fitUp(page, 'G-911', 'read')
    await page.locator('#figure').fill('0.56')
    await page.locator('[data-test=take]').click()
    await expect(page.locator('[aria-label="Gauge pad"]')).toContainText('drive end: 0.56')
  },
  'bench, a sum worked out': async page => {
    await fitUp(page, 'G-912', 'try-off')
    await find(page, 'clearance by strips, wheel, drive end reading')
    await expect(page.locator('[data-test=drawing]')).toBeVisible()
  },
  'bench, rounds': async page => {
    await fitUp(page, 'G-912', 'try-off')
    await page.locator('[data-test=rounds]').click()
    await expect(page.getByRole('group', { name: 'Rounds' })).toContainText('Round 1')
  },
  'bench, what will not go': async page => {
    await signIn(page)
    await jobAt(page, 'P-530', 'turn-1')
    await page.locator('[data-test=trouble]').click()
    const sign = page.getByRole('button', { name: 'Heavy all round', exact: true })
    await expect(sign.or(page.getByText('Force nothing')).first()).toBeVisible()
    if (await sign.isVisible()) await sign.click()
    await expect(page.getByText('Force nothing')).toBeVisible()
  },
  'bench, put in for now': async page => {
    await signIn(page)
    await openBench(page, 'P-214B')
    await page.locator('[data-test=items]').click()
    await expect(page.getByLabel('What is put in')).toBeVisible()
  },
  'bench, what goes on a face': async page => {
    await signIn(page)
    await jobAt(page, 'P-531', 'sleeve-on')
    await page.getByRole('radiogroup', { name: 'What is on it: O-ring' }).getByText('grease', { exact: true }).click()
    await expect(page.getByText('grease, and water is wanted')).toBeVisible()
  },
  'bench, slackened in an order': async page => {
    await machineBy('drawn-up-joints', 'G-941', 'Joint stand')
    await signIn(page)
    await jobAt(page, 'G-941', 'cover-ease')
    await page.locator('[data-test=eased]').click()
    await expect(page.locator('[data-test=ease]')).toHaveText('Bolt 2')
  },
  'bench, drawn up until it is felt': async page => {
    await machineBy('drawn-up-joints', 'G-942', 'Joint stand')
    await signIn(page)
    await jobAt(page, 'G-942', 'nut-up')
    await expect(page.getByText('Left-hand thread')).toBeVisible()
  },
  'bench, taken up again': async page => {
    await pumpAt(page, 'P-971', 'turn-1')
    await page.locator('[data-test=steps]').click()
    await page.getByRole('button', { name: /Fit the bearing cap, drive end/ }).click()
    await page.locator('[data-test=again]').click()
    await expect(page.getByText('Harmed as it came off')).toBeVisible()
  },
  'bench, out and put right': async page => {
    await pumpAt(page, 'P-972', 'set-seal')
    if (await page.locator('#figure').isVisible()) {
      for (const _ of [1, 2]) {
        await page.locator('#figure').fill('47')
        await page.locator('[data-test=take]').click()
        const sure = page.locator('[data-test=sure]')
        if (await sure.isVisible()) await sure.click()
      }
      await page.locator('[data-test=keep]').click()
    }
    await expect(page.getByText('Put right where it is?')).toBeVisible()
  },
  'bench, before a start': async page => {
    await pumpAt(page, 'P-973', 'run')
    await expect(page.getByText('Before it is started')).toBeVisible()
  },
  'gauge room, fits': async page => gaugeRoom(page, 'fits?sum=measured-fit'),
  'gauge room, pinch': async page => gaugeRoom(page, 'sleeves?sum=pinch'),
  'gauge room, orders compared': async page => {
    await gaugeRoom(page, 'joints?sum=elastic-interaction')
    await expect(page.getByRole('img', { name: /star: pass 1/ })).toBeVisible()
  },
  'gauge room, stack': async page => gaugeRoom(page, 'stacks?sum=stack'),
  'gauge room, contact': async page => gaugeRoom(page, 'sleeves?sum=contact'),
  'gauge room, marks': async page => gaugeRoom(page, 'marks?sum=mark-chain'),
  'a signature asked for': async page => {
    await signIn(page)
    await openBench(page, 'P-310')
    await page.locator('[data-test=gate]').click()
    await page.getByRole('button', { name: 'Let it pass' }).first().click()
    await page.getByLabel(/Why may it pass/).fill('One campaign')
    await page.getByRole('button', { name: 'A lead accepts it' }).click()
    await expect(page.locator('[data-test=signer]').getByLabel('PIN of O. Hallam')).toBeVisible()
  },
  'a PIN of one’s own': async page => {
    await signInAtTheDoor(page)
    await page.locator('[data-test=who]').click()
    await page.getByRole('button', { name: 'Change my PIN' }).click()
    await expect(page.locator('[data-test=own-pin]')).toBeVisible()
  },
  'devices': async page => {
    await signIn(page, 'O. Hallam')
    await page.goto('/people')
    await page.getByRole('listitem').filter({ hasText: 'R. Okell' }).getByRole('button', { name: 'Devices' }).click()
    await expect(page.getByRole('button', { name: 'Code for a new device' })).toBeVisible()
  },
  'people': async page => {
    await signIn(page, 'O. Hallam')
    await page.goto('/people')
    await page
      .getByRole('listitem')
      .filter({ hasText: 'O. Hallam' })
      .getByRole('button', { name: /^Papers/ })
      .click()
    await expect(page.getByText('for lifting gear', { exact: false })).toBeVisible()
  },
  'record': async page => {
    await signIn(page)
    await openBench(page, 'P-214B')
    await page.getByRole('link', { name: 'Record', exact: true }).click()
    await expect(page.getByRole('heading', { name: 'Readings' })).toBeVisible()
  },
}

const ALL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']
/** What a reader, or eyes that need contrast, would be stopped by: the dark is another only for the eyes. */
async function barriers(page: Page, colours: 'light' | 'dark'): Promise<string[]> {
  // Nothing here lies in a frame: looked at in the page itself, and of what is well nothing is brought back.
  const look = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] })
  const { violations } = await (colours === 'dark' ? look.withRules('color-contrast') : look.withTags(ALL)).analyze()
  const shown = (one: (typeof violations)[number]) => one.nodes.slice(0, 3).map(node => node.html.slice(0, 140))
  return violations
    .filter(one => one.impact === 'serious' || one.impact === 'critical')
    .map(one => `${one.id}: ${shown(one).join(' | ')}`)
}

/** What is cut off at the right: no better than scrolled to. */
const cutOff = () =>
  [...document.querySelectorAll<HTMLElement>('main :is(button, p, h1, h2, h3, .figures)')].flatMap(one => {
    const { right, width: w } = one.getBoundingClientRect()
    let scrolls: HTMLElement | null = one
    while (scrolls && !/auto|scroll/.test(getComputedStyle(scrolls).overflowX)) scrolls = scrolls.parentElement
    return w > 0 && !scrolls && right > innerWidth + 1
      ? [`${one.innerText.slice(0, 40)} ends at ${Math.round(right)}`]
      : []
  })

/** What a gloved finger would miss. */
const tooSmall = () =>
  [...document.querySelectorAll<HTMLElement>('button, a.btn, input, select, textarea')].flatMap(one => {
    // A field is pressed anywhere on its frame, a choice on its word; the input in it only listens.
    const frame = one.closest('.el-select__wrapper, .el-input__wrapper, .el-radio-button, .el-segmented__item')
    const box = frame ?? one.closest('.el-checkbox, .el-checkbox-button, .quantity') ?? one
    const { width: w, height: h } = box.getBoundingClientRect()
    return w > 0 && h > 0 && (h < 43.5 || w < 43.5)
      ? [`${one.innerText || one.id || one.ariaLabel} ${Math.round(w)}×${Math.round(h)}`]
      : []
  })

const scrolledSideways = () => document.documentElement.scrollWidth - document.documentElement.clientWidth

for (const [name, visit] of Object.entries(VIEWS)) {
  test(`${name}: no barrier in light or dark, no sideways scroll, targets large enough`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
    const broken: string[] = []
    page.on('pageerror', error => broken.push(error.message))
    page.on('console', message => message.type() === 'error' && broken.push(message.text()))
    await visit(page)
    for (const colours of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme: colours, reducedMotion: 'reduce' })
      await expect(page.locator('html')).toHaveClass(colours === 'dark' ? /dark/ : /^(?!.*dark)/)
      expect(await barriers(page, colours), colours).toEqual([])
    }
    for (const width of [768, 1280, 1920]) {
      await page.setViewportSize({ width, height: 800 })
      // What slides in as the room becomes another has arrived first.
      await expect.poll(() => page.evaluate(scrolledSideways), `at ${width}`).toBeLessThanOrEqual(0)
      expect(await page.evaluate(cutOff), `at ${width}`).toEqual([])
      expect(await page.evaluate(tooSmall), `at ${width}`).toEqual([])
    }
    expect(broken).toEqual([])
  })
}
