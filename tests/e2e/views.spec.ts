import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { find, openBench, signIn } from './hands.ts'

async function gaugeRoom(page: Page, path: string) {
  await signIn(page)
  await page.goto(`/gauge-room/${path}`)
  await expect(page.locator('[data-test=drawing]').first()).toBeVisible()
}

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
  'gauge room, fits': async page => gaugeRoom(page, 'fits?sum=measured-fit'),
  'gauge room, pinch': async page => gaugeRoom(page, 'sleeves?sum=pinch'),
  'gauge room, orders compared': async page => {
    await gaugeRoom(page, 'joints?sum=elastic-interaction')
    await expect(page.getByRole('img', { name: /star: pass 1/ })).toBeVisible()
  },
  'gauge room, stack': async page => gaugeRoom(page, 'stacks?sum=stack'),
  'gauge room, contact': async page => gaugeRoom(page, 'sleeves?sum=contact'),
  'gauge room, marks': async page => gaugeRoom(page, 'marks?sum=mark-chain'),
  'people': async page => {
    await signIn(page, 'O. Hallam')
    await page.goto('/people')
    await expect(page.getByText('P. Moorcott')).toBeVisible()
  },
  'record': async page => {
    await signIn(page)
    await openBench(page, 'P-214B')
    await page.getByRole('link', { name: 'Record', exact: true }).click()
    await expect(page.getByRole('heading', { name: 'Readings' })).toBeVisible()
  },
}

for (const [name, visit] of Object.entries(VIEWS)) {
  for (const colours of ['light', 'dark'] as const) {
    test(`${name}, ${colours}: nothing serious for accessibility`, async ({ page }) => {
      await page.emulateMedia({ colorScheme: colours, reducedMotion: 'reduce' })
      const broken: string[] = []
      page.on('pageerror', error => broken.push(error.message))
      page.on('console', message => message.type() === 'error' && broken.push(message.text()))
      await visit(page)
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'])
        .analyze()
      const serious = violations.filter(one => one.impact === 'serious' || one.impact === 'critical')
      expect(
        serious.map(
          one =>
            `${one.id}: ${one.nodes
              .slice(0, 3)
              .map(node => node.html.slice(0, 140))
              .join(' | ')}`,
        ),
      ).toEqual([])
      expect(broken).toEqual([])
    })
  }
  test(`${name}: no sideways scroll from 768 to 1920, targets large enough`, async ({ page }) => {
    await visit(page)
    for (const width of [768, 1280, 1920]) {
      await page.setViewportSize({ width, height: 800 })
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      )
      expect(wide).toBeLessThanOrEqual(0)
      // Cut off at the right is no better than scrolled to.
      const cut = await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('main :is(button, p, h1, h2, h3, .figures)')].flatMap(one => {
          const { right, width: w } = one.getBoundingClientRect()
          let scrolls: HTMLElement | null = one
          while (scrolls && !/auto|scroll/.test(getComputedStyle(scrolls).overflowX)) scrolls = scrolls.parentElement
          return w > 0 && !scrolls && right > innerWidth + 1
            ? [`${one.innerText.slice(0, 40)} ends at ${Math.round(right)}`]
            : []
        }),
      )
      expect(cut, `at ${width}`).toEqual([])
      const small = await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('button, a.btn, input, select, textarea')].flatMap(one => {
          // A field is pressed anywhere on its frame, a choice on its word; the input in it only listens.
          const frame = one.closest('.el-select__wrapper, .el-input__wrapper, .el-radio-button, .el-segmented__item')
          const box = frame ?? one.closest('.el-checkbox, .el-checkbox-button, .quantity') ?? one
          const { width: w, height: h } = box.getBoundingClientRect()
          return w > 0 && h > 0 && (h < 43.5 || w < 43.5)
            ? [`${one.innerText || one.id || one.ariaLabel} ${Math.round(w)}×${Math.round(h)}`]
            : []
        }),
      )
      expect(small, `at ${width}`).toEqual([])
    }
  })
}
