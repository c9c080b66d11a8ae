import sharp from 'sharp'
import { expect, test, type Page } from './test.ts'
import type { AnyEntry } from '../../core/job/index.ts'
import { jobAt, signIn } from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const pad = (page: Page) => page.getByRole('region', { name: 'Gauge pad' })
const strip = (page: Page) => page.getByRole('group', { name: 'Photographs' })
const ledger = async (page: Page): Promise<AnyEntry[]> =>
  (await page.request.get(`/api/jobs/${page.url().split('/').at(-1)}/entries`)).json()

/** A picture as a camera makes it: on its side, with its owner in it. */
const picture = (hue: string, name = 'camera.jpg') =>
  sharp({ create: { width: 1200, height: 800, channels: 3, background: hue } })
    .composite([
      { input: Buffer.from('<svg width="300" height="300"><circle cx="150" cy="150" r="120" fill="#fff"/></svg>') },
    ])
    .withMetadata({ orientation: 6 })
    .withExif({ IFD0: { Artist: 'R. Okell' } })
    .jpeg()
    .toBuffer()
    .then(buffer => ({ name, mimeType: 'image/jpeg', buffer }))

async function sealAt(page: Page, tag: string) {
  await signIn(page)
  await machineBy(librarySheet('m14-axially-split-pump'), tag, 'Pump of the tests')
  await jobAt(page, tag, 'look-seal')
  await expect(page.locator('[data-test=photograph]')).toBeVisible()
}
const take = (page: Page, ...files: { name: string; mimeType: string; buffer: Buffer }[]) =>
  page.locator('.photos input[type=file]').setInputFiles(files)

test('a photograph taken without the network is there at once, outlives the page, and goes by itself later', async ({
  page,
  context,
}) => {
  await sealAt(page, 'P-967')
  await expect(pad(page)).toContainText('Rotating face: look at it')
  // Only photographs cannot be sent: nothing else waits for them.
  await page.route('**/photos/*', route => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
  await take(page, await picture('#886622'))
  await expect(strip(page)).toContainText('Not arrived')
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent')
  await page.reload()
  await expect(strip(page)).toContainText('Not arrived')
  // It lies on this tablet, and is shown from there.
  await expect(strip(page).locator('img')).toHaveJSProperty('complete', true)
  expect(await strip(page).locator('img').getAttribute('src')).toContain('blob:')
  expect((await ledger(page)).some(one => one.kind === 'photo.arrived')).toBe(false)
  await page.goto(`${page.url()}/record`)
  await expect(page.getByRole('row', { name: /Rotating face.*Not arrived/ })).toBeVisible()
  await page.goBack()

  // Wholly without the network another is taken; then it is back.
  await expect(page.locator('[data-test=photograph]')).toBeVisible()
  await context.setOffline(true)
  // Two at once, the way a gallery gives them.
  await take(page, await picture('#225588', 'one.jpg'), await picture('#338844', 'other.jpg'))
  await expect(strip(page).getByRole('button')).toHaveCount(3)
  await page.unroute('**/photos/*')
  await context.setOffline(false)
  await expect
    .poll(async () => (await ledger(page)).filter(one => one.kind === 'photo.arrived').length, { timeout: 60_000 })
    .toBe(3)
  await expect(strip(page)).not.toContainText('Not arrived')
  await expect(strip(page).locator('img').first()).toHaveAttribute('src', /^\/api\/photos\//)
  // Upright, and without its owner.
  const sum = (await ledger(page)).flatMap(one => (one.kind === 'photo.added' ? one.payload.sha256 : []))[0]!
  const kept = await (await page.request.get(`/api/photos/${sum}`)).body()
  const { width, height, exif } = await sharp(kept).metadata()
  expect([width, height, exif]).toEqual([800, 1200, undefined])
})

test('it is drawn on with arrow, circle and word; the record and its PDF show it', async ({ page }) => {
  await sealAt(page, 'P-968')
  await take(page, await picture('#886622'))
  await strip(page).getByRole('button').click()
  const view = page.getByRole('dialog')
  const stage = view.locator('.stage')
  await expect(stage.locator('img')).toBeVisible()
  const { x, y, width, height } = (await stage.boundingBox())!
  const draw = async (from: [number, number], to: [number, number]) => {
    await page.mouse.move(x + width * from[0], y + height * from[1])
    await page.mouse.down()
    await page.mouse.move(x + width * to[0], y + height * to[1], { steps: 4 })
    await page.mouse.up()
  }
  await draw([0.2, 0.2], [0.5, 0.5])
  await view.getByText('Circle').click()
  // A touch that did not move draws nothing, and says so.
  await draw([0.5, 0.5], [0.5, 0.5])
  await expect(view.getByRole('alert')).toContainText('Draw from one place to the other')
  await draw([0.6, 0.6], [0.7, 0.6])
  await view.getByText('Word', { exact: true }).click()
  await view.getByLabel('The word').fill('blue rim')
  await stage.click({ position: { x: width * 0.3, y: height * 0.8 } })
  await view.getByLabel('What is seen').fill('Heat checks all round')
  // The window does not take what was drawn along.
  await page.keyboard.press('Escape')
  await expect(view.getByRole('alert')).toContainText('not kept yet')
  await view.locator('[data-test=keep-drawing]').click()
  await expect(view.locator('[data-test=keep-drawing]')).toHaveCount(0)
  await expect(stage.locator('g:last-child path')).toHaveCount(2)
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent')
  const drawn = (await ledger(page)).flatMap(one => (one.kind === 'photo.drawn' ? one.payload.shapes : []))
  expect(drawn.map(one => one.is)).toEqual(['arrow', 'circle', 'word'])
  expect(drawn[0]!.toX).toBeCloseTo(0.5, 1)
  // Where it was: the picture itself is untouched.
  await page.keyboard.press('Escape')
  await expect(view).toBeHidden()
  // Of one finding, before the look is kept: it says which it shows.
  await page.locator('[data-code=wide]').click()
  await page.locator('[data-grade="1"]').click()
  await page.locator('[data-test=all-round]').click()
  await page.locator('.lines input[type=file]').setInputFiles([await picture('#cc2222')])
  await expect(strip(page).getByRole('button', { name: /Track too wide/ })).toBeVisible()
  const id = page.url().split('/').at(-1)!
  await page.goto(`/bench/${id}/record`)
  await expect(page.getByRole('row', { name: /Rotating face: .*track too wide/ }).locator('img')).toBeVisible()
  const row = page.getByRole('row', { name: /Heat checks all round/ })
  await expect(row.locator('img')).toBeVisible()
  await expect(row.locator('g:last-child path')).toHaveCount(2)
  await expect
    .poll(async () => {
      const entries = (await (await page.request.get(`/api/jobs/${id}/entries`)).json()) as AnyEntry[]
      return entries.filter(one => one.kind === 'photo.arrived').length
    })
    .toBe(2)
  const pdf = await (await page.request.get(`/api/jobs/${id}/record.pdf`)).body()
  expect(pdf.toString('latin1').match(/\/Subtype \/Image/g)).toHaveLength(2)
  const { getDocumentProxy, extractText } = await import('unpdf')
  const read = await getDocumentProxy(new Uint8Array(pdf))
  const { text } = await extractText(read, { mergePages: true })
  expect(text).toContain('Heat checks all round')
  expect(text).toContain('blue rim')
})

test('what is no picture is refused in words, one that shows the wrong thing is taken out, and the finder has its line', async ({
  page,
}) => {
  await sealAt(page, 'P-969')
  await take(page, { name: 'photo.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('PK\x03\x04') })
  await expect(page.locator('.photos').getByRole('alert')).toContainText('cannot read that as a picture')
  await take(page, await picture('#886622'))
  await strip(page).getByRole('button').click()
  const view = page.getByRole('dialog')
  await view.getByLabel('What is seen').fill('The wrong face')
  await view.locator('[data-test=keep-drawing]').click()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Find/ }).click()
  await page.getByPlaceholder(/^machine, job/).fill('wrong face')
  await expect(page.locator('.hit').first()).toContainText('photograph')
  await page.keyboard.press('Enter')
  await strip(page).getByRole('button').click()
  await view.getByRole('button', { name: 'Take it out' }).click()
  await view.getByRole('button', { name: 'Take it out' }).click()
  await expect(view.getByRole('alert')).toContainText('Say why')
  await view.getByLabel(/^Why is it taken out/).fill('It is of the other pump')
  await view.getByRole('button', { name: 'Take it out' }).click()
  await expect(view).toBeHidden()
  await expect(strip(page)).toHaveCount(0)
})

test('what stands beside the keys lies over none of them', async ({ page }) => {
  await signIn(page)
  await machineBy(librarySheet('m20-dual-seal'), 'S-977', 'Seal of the tests', { faces: 'carbon', duty: 'plain' })
  await jobAt(page, 'S-977', 'line-up')
  await expect(page.locator('[data-test=photograph]')).toBeVisible()
  const boxes = async (what: string) => Promise.all((await page.locator(what).all()).map(one => one.boundingBox()))
  const beside = await boxes('.pad .notes .add, .pad .photos .add')
  const under = await boxes('.pad .keys .key, .pad .reading p')
  expect([beside.length, under.length > 12]).toEqual([2, true])
  for (const one of beside)
    for (const other of under)
      expect(
        one!.x + one!.width <= other!.x ||
          other!.x + other!.width <= one!.x ||
          one!.y + one!.height <= other!.y ||
          other!.y + other!.height <= one!.y,
      ).toBe(true)
})
