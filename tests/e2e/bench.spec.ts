import { expect, test } from './test.ts'
import {
  doStep,
  find,
  jobAt,
  openBench,
  openJob,
  padStands,
  setDial,
  signAs,
  signIn,
  signInAtTheDoor,
} from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const pad = (page: import('./test.ts').Page) => page.getByRole('region', { name: 'Gauge pad' })

test('an entry arrives on the other screen', async ({ browser }) => {
  const [one, two] = [await (await browser.newContext()).newPage(), await (await browser.newContext()).newPage()]
  await signIn(one, 'R. Okell')
  await signIn(two, 'T. Brisco')
  await jobAt(one, 'P-410', 'try-start')
  await two.goto(one.url())
  await expect(two.locator('[data-step=try-start]')).toBeVisible()
  await doStep(one)
  await expect(two.locator('[data-step=drain]')).toBeVisible()
  // And back, so that both ledgers stay in one order.
  await doStep(two)
  await expect(one.locator('[data-step=oil-out]')).toBeVisible()
  await expect(one.locator('[data-test=sent]')).toHaveText('all sent')
})

test('a reload in mid-job loses nothing, typed figures included', async ({ page }) => {
  await signIn(page)
  await jobAt(page, 'P-411', 'found-float')
  await page.locator('#figure').fill('0')
  await page.locator('#figure').press('Enter')
  await page.locator('#figure').fill('0.2')
  const entries = await page.getByRole('region', { name: 'Owed' }).innerText()
  await page.reload()
  await expect(page.locator('[data-step=found-float]')).toBeVisible()
  await expect(page.locator('#figure')).toHaveValue('0.2')
  await expect(pad(page).getByText('Next: the other way')).toBeVisible()
  expect(await page.getByRole('region', { name: 'Owed' }).innerText()).toBe(entries)
})

test('what a bench left unsent goes from whatever page is open, and is said until then', async ({ page, context }) => {
  await machineBy(librarySheet('m14-axially-split-pump'), 'P-442', 'Pump of the tests')
  await signIn(page)
  await jobAt(page, 'P-442', 'drain')
  const bench = page.url()
  // The list is known to this device before the network goes.
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await expect(page.getByRole('link', { name: /P-442/ })).toBeVisible()
  await page.goBack()
  await padStands(page)
  await context.setOffline(true)
  await doStep(page)
  await expect(page.locator('[data-test=sent]')).toContainText('waiting')
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await expect(page.getByRole('link', { name: /P-442/ })).toContainText('2 acts on this tablet not sent yet')
  await context.setOffline(false)
  await expect(page.locator('[data-test=unsent]')).toHaveCount(0)
  const { entries } = (await (await page.request.get(bench.replace('/bench/', '/api/jobs/'))).json()) as {
    entries: { kind: string; payload: unknown }[]
  }
  expect(entries.at(-1)).toMatchObject({ kind: 'step.done', payload: { step: 'drain' } })
})

test('what is done without the network goes when it is back', async ({ page, context }) => {
  await signIn(page)
  // The pad that is wanted next stands there already.
  await jobAt(page, 'P-440', 'drain')
  await padStands(page)
  await context.setOffline(true)
  await doStep(page)
  await expect(page.locator('[data-test=sent]')).toContainText('waiting')
  await context.setOffline(false)
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent', { timeout: 20_000 })
  await page.reload()
  await expect(page.locator('[data-step=oil-out]')).toBeVisible()
})

test('two who read the same place without the network are both heard, and the worse stands', async ({
  page,
  context,
  browser,
}) => {
  await machineBy(librarySheet('m14-axially-split-pump'), 'P-441', 'Pump of two tablets')
  await signIn(page)
  await jobAt(page, 'P-441', 'found-coupling')
  const theirs = await (await browser.newContext({ baseURL: new URL(page.url()).origin })).newPage()
  await signIn(theirs, 'T. Brisco')
  await theirs.goto(page.url())
  await expect(theirs.locator('[data-step=found-coupling]')).toBeVisible()
  await context.setOffline(true)
  await theirs.context().setOffline(true)
  for (const [at, figure] of [
    [page, '38.2'],
    [theirs, '40.6'],
  ] as const) {
    await at.locator('#figure').fill(figure)
    await at.locator('#figure').press('Enter')
  }
  await context.setOffline(false)
  await expect(page.locator('[data-test=sent]')).toHaveText('all sent', { timeout: 20_000 })
  await theirs.context().setOffline(false)
  await expect(theirs.locator('[data-test=sent]')).toHaveText('all sent', { timeout: 20_000 })
  for (const at of [page, theirs]) {
    await at.reload()
    await pad(at).getByRole('button', { name: 'Gap between hubs' }).or(pad(at).getByRole('heading')).first().waitFor()
    const note = pad(at).locator('[data-test=unseen]')
    await expect(note).toContainText('40.6 by T. Brisco')
    await expect(note).toContainText('38.2 by R. Okell')
    await expect(pad(at).locator('[data-test=big]')).toContainText('40.6')
  }
  await theirs.context().close()
})

test('wrong input is refused in words and keeps what was typed', async ({ page }) => {
  await signIn(page)
  await openBench(page, 'P-214B')
  await find(page, 'journal, drive end reading')
  await expect(pad(page).getByRole('heading', { level: 2 })).toHaveText('Journal, drive end')
  const field = page.locator('#figure')
  const says = pad(page).getByRole('alert')
  for (const [typed, words] of [
    ['0.06', /expected is 58 to 62 mm/],
    ['1.234,5', /both a point and a comma/],
    ['6000', /decimal mark slip/],
    ['59.98 Nm', /unit of torque/],
    ['abc', /not a figure/],
  ] as const) {
    await field.fill(typed)
    await field.press('Enter')
    await expect(says).toContainText(words)
    await expect(field).toHaveValue(typed)
  }
  await field.fill('60,012')
  await field.press('Enter')
  await expect(pad(page).getByRole('button', { name: /Try 1, 60.012/ })).toBeVisible()

  // A try far from the others: first refused with its number, then kept only on purpose.
  await jobAt(page, 'P-531', 'found-float')
  for (const figure of ['0', '0.12', '0', '0.12', '0', '0.24']) {
    await field.fill(figure)
    await field.press('Enter')
  }
  await page.locator('[data-test=keep]').click()
  await expect(says).toContainText('try 3 stands furthest off')
  await expect(pad(page).getByRole('button', { name: 'Keep them, they scatter' })).toBeVisible()

  // A step before its needs says why not, and its confirm does nothing.
  await find(page, 'lift out the rotor')
  await expect(page.locator('[data-step=rotor-out]')).toBeVisible()
  await expect(page.getByRole('list', { name: 'Before this step' })).toContainText('First: Take off both bearing caps')
  await page
    .getByRole('region', { name: 'The step in view' })
    .getByRole('button', { name: 'Read', exact: true })
    .click()
  // It looks shut but still answers, so that a touch says why; a moment after the card changed it rests.
  await expect(page.locator('[data-test=confirm]')).not.toHaveAttribute('disabled', '')
  await page.locator('[data-test=confirm]').click({ force: true })
  await expect(page.getByRole('region', { name: 'The step in view' }).getByRole('alert')).toContainText(
    'First: Take off both bearing caps',
  )
})

test('the last act is taken back, and an older reading corrected with a reason', async ({ page }) => {
  await signIn(page)
  await jobAt(page, 'P-215', 'found-float')
  await doStep(page)
  await expect(page.locator('[data-step=found-lift]')).toBeVisible()
  const undo = page.getByRole('button', { name: /^Undo/ })
  await undo.click()
  await expect(page.locator('[data-step=found-float]')).toBeVisible()
  await expect(pad(page).locator('[data-test=big]')).toContainText('0.12')
  await pad(page).getByRole('button', { name: 'Correct it' }).click()
  for (const figure of ['0', '0.15', '0', '0.15', '0', '0.15']) {
    await page.locator('#figure').fill(figure)
    await page.locator('#figure').press('Enter')
  }
  await pad(page).locator('[data-test=keep]').click()
  await expect(pad(page).getByRole('alert')).toContainText('Say why')
  await pad(page).getByLabel('Why is it corrected?').fill('Dial foot had moved')
  await pad(page).locator('[data-test=keep]').click()
  await expect(pad(page).locator('[data-test=big]')).toContainText('0.15')
  await page.getByRole('button', { name: 'Ledger' }).click()
  await expect(pad(page)).toContainText('Correction of: End float, as found: 0 and 0.12')
  await expect(pad(page)).toContainText('now End float, as found: 0 and 0.15')
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.getByRole('row', { name: /Dial foot had moved/ })).toBeVisible()
})

test('undo takes back a whole act: lifted, bagged and done together', async ({ page }) => {
  await signIn(page)
  // A pump of its own: how long another has run is its test's to say.
  await machineBy(librarySheet('m14-axially-split-pump'), 'P-964', 'Pump of the tests')
  await jobAt(page, 'P-964', 'spacer-off')
  await doStep(page)
  await expect(page.locator('[data-step=wash]')).toBeVisible()
  await expect(page.getByLabel('Tray and gate')).toContainText('5off')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.locator('[data-step=spacer-off]')).toBeVisible()
  await expect(page.getByLabel('Tray and gate')).toContainText('3off')
  await expect(page.getByLabel('Tray and gate')).toContainText('0bags')
})

test('a plate opened asks for its machine alone, and leaves the style of the page as it is', async ({ page }) => {
  await signIn(page)
  const asked: string[] = []
  page.on('request', request => {
    const { pathname } = new URL(request.url())
    if (/^\/api\/(yard|site|machines)/.test(pathname)) asked.push(pathname)
  })
  // Only the rows in sight are on the page: all of them are.
  await page.setViewportSize({ width: 1280, height: 3000 })
  await page.goto('/')
  await page.locator('.stand', { hasText: 'P-310' }).click()
  await expect(page.getByRole('tab', { name: 'Build' })).toBeVisible()
  expect(asked.toSorted()).toEqual(['/api/machines/P-310', '/api/site', '/api/yard'])
  await page.evaluate(() => {
    new MutationObserver(changes => {
      for (const added of changes.flatMap(change => [...change.addedNodes]))
        if (added instanceof HTMLStyleElement) document.body.dataset['restyled'] = added.textContent
    }).observe(document.head, { childList: true })
  })
  await page.locator('.stand', { hasText: 'P-221' }).click()
  await expect(page.getByRole('complementary', { name: 'Machine P-221' }).getByRole('tab').first()).toBeVisible()
  expect(await page.evaluate(() => document.body.dataset['restyled'])).toBeUndefined()
})

test('what comes after the last key was typed is found, too', async ({ page }) => {
  await signIn(page)
  let tell = () => {}
  const asked = new Promise<void>(resolve => {
    tell = resolve
  })
  await page.route('**/api/yard', async route => {
    await asked
    await route.continue()
  })
  await page.goto('/gauge-room/fits')
  await page.getByRole('button', { name: /^Find/ }).click()
  await page.getByPlaceholder('machine, job, step, part, reading').fill('P-214B machine')
  // Nothing of the yard is known yet.
  await expect(page.locator('.hit')).toHaveCount(0)
  tell()
  await expect(page.locator('.hit').first()).toContainText('P-214B')
})

test('a bench that comes while somebody types in the finder takes none of their keys', async ({ page }) => {
  await signIn(page)
  await openBench(page, 'P-214B')
  await find(page, 'journal, drive end reading')
  await expect(page.locator('#figure')).toBeFocused()
  const bench = page.url()
  let tell = () => {}
  const asked = new Promise<void>(resolve => {
    tell = resolve
  })
  await page.route('**/api/jobs/*', async route => {
    await asked
    await route.continue()
  })
  await page.goto(bench)
  await page.getByRole('button', { name: /^Find/ }).click()
  const finder = page.getByPlaceholder('machine, job, step, part, reading')
  await finder.pressSequentially('lift out')
  tell()
  await expect(page.locator('[data-test=step]')).toBeVisible()
  await page.keyboard.type(' the rotor')
  await expect(finder).toHaveValue('lift out the rotor')
})

test('millimetres and inches everywhere, by key', async ({ page }) => {
  await signIn(page)
  await openBench(page, 'P-310')
  await find(page, 'journal, drive end reading')
  await expect(pad(page).locator('[data-test=big]')).toContainText('mm')
  await pad(page).getByRole('heading').click()
  await page.keyboard.press('i')
  await expect(pad(page).locator('[data-test=big]')).toContainText(/2\.36\d\d\s*in/)
  await expect(pad(page)).toContainText('Limit 2.3623 to 2.3630 in')
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.getByRole('row', { name: /Journal, drive end/ })).toContainText('2.3623 to 2.3630 in')
  await page.keyboard.press('i')
  await expect(page.getByRole('row', { name: /Journal, drive end/ })).toContainText('60.002 to 60.021 mm')
  await page.keyboard.press('g')
  await page.keyboard.press('y')
  await expect(page.getByRole('heading', { name: 'Thornmere works' })).toBeVisible()
})

test('a lead concedes in writing, with their PIN; a fitter cannot', async ({ page }) => {
  await signIn(page)
  await openBench(page, 'P-310')
  await page.locator('[data-test=gate]').click()
  const row = pad(page).getByRole('listitem').filter({ hasText: 'failed' }).first()
  const what = (await row.innerText()).split('\n')[0]!
  await row.getByRole('button', { name: 'Let it pass' }).click()
  await pad(page).getByRole('button', { name: 'A lead accepts it' }).click()
  await expect(pad(page).getByRole('alert')).toContainText('in writing')
  await pad(page)
    .getByLabel(/Why may it pass/)
    .fill('One campaign at reduced head')
  await pad(page).getByRole('button', { name: 'A lead accepts it' }).click()
  // A lead gives it, on the fitter's tablet.
  await expect(page.locator('[data-test=signer]')).toContainText('This is done by a lead')
  await expect(page.locator('[data-test=signer]').getByRole('button', { name: /^R\. Okell/ })).toHaveCount(0)
  await signAs(page)
  await expect(pad(page).getByText(what, { exact: true })).toHaveCount(0)
  await expect(page.locator('[data-test=who]')).toContainText('R. Okell')
})

test('a match-mark is seen from either end', async ({ page }) => {
  await signIn(page)
  await openJob(page, 'P-530', 'Planned')
  await page.getByRole('region', { name: 'Owed' }).getByText('Coupling hub to shaft').click()
  const dial = pad(page).locator('[data-test=dial]')
  // It starts empty, and says so when it is pressed on.
  await expect(dial).toHaveAttribute('aria-valuetext', 'not set')
  await pad(page).locator('[data-test=mark]').click()
  await expect(pad(page).getByRole('alert')).toContainText('2:20 or 70°')
  // To the minute by typing, to the degree by keys, anywhere by a touch.
  await setDial(page, '2:20')
  await expect(dial).toHaveAttribute('aria-valuetext', '2:20, 70 degrees')
  await setDial(page, '71°')
  await dial.press('ArrowLeft')
  await expect(dial).toHaveAttribute('aria-valuetext', '2:20, 70 degrees')
  await pad(page).getByRole('button', { name: 'From the other end' }).click()
  await expect(dial).toHaveAttribute('aria-valuetext', '9:40, 290 degrees')
  await pad(page).getByRole('button', { name: 'From the other end' }).click()
  const box = (await dial.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + 12)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width - 12, box.y + box.height / 2, { steps: 4 })
  await page.mouse.up()
  await expect(dial).toHaveAttribute('aria-valuetext', '3:00, 90 degrees')
  await setDial(page, '2:20')
  await pad(page).locator('[data-test=mark]').click()
  await expect(pad(page)).toContainText('paint line at 2:20 seen from the drive end')
})

test('a press meant for what stood there before does nothing', async ({ page }) => {
  await signIn(page)
  await jobAt(page, 'P-325', 'isolate')
  const card = page.getByRole('region', { name: 'The step in view' })
  await expect(card.getByRole('button', { name: 'Read', exact: true })).toBeEnabled()
  // A tired double tap on the caution confirms nothing, and reads no other one.
  await card.getByRole('button', { name: 'Read', exact: true }).dblclick()
  await expect(page.locator('[data-step=isolate]')).toBeVisible()
  await expect(page.locator('[data-test=confirm]')).toHaveText(/Done/)
  await expect(page.locator('[data-test=confirm]')).toBeEnabled()
  await page.locator('[data-test=confirm]').dblclick()
  await expect(page.locator('[data-step=try-start]')).toBeVisible()
  // The second tap fell on another card, which rests.
  await expect(page.getByLabel('Tray and gate')).toContainText('0off')
  await page.locator('[data-test=who]').click()
  await expect(page.getByRole('dialog', { name: 'Who is here?' })).toBeVisible()
  // Behind an open dialog the keys do nothing.
  await page.keyboard.press('u')
  await page.locator('[role=dialog] .names button').first().focus()
  await page.keyboard.press('u')
  await page.keyboard.press('Escape')
  await expect(page.locator('[data-step=try-start]')).toBeVisible()
})

test('leaving a job before it has loaded leaves nothing behind', async ({ page }) => {
  await signIn(page)
  await openBench(page, 'P-310')
  const address = page.url()
  await page.goto('/bench')
  const streams: string[] = []
  page.on('request', request => request.url().includes('/stream') && streams.push(request.url()))
  let answer = () => {}
  const wait = new Promise<void>(resolve => (answer = resolve))
  await page.route('**/api/jobs/*', async route => {
    await wait
    await route.continue().catch(() => {})
  })
  await page.goto(address)
  await expect(page.getByText('Loading the job')).toBeVisible()
  await page.getByRole('link', { name: 'Yard', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Thornmere works' })).toBeVisible()
  // The job comes when nobody waits for it any more; the page goes on, and asks for no stream of it.
  answer()
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await page.getByRole('link', { name: /P-310/ }).click()
  await expect(page.locator('[data-test=step]')).toBeVisible()
  await expect.poll(() => streams.length).toBe(1)
})

test('what waited on the device and cannot be read is set aside in words', async ({ page }) => {
  await signIn(page)
  await openBench(page, 'P-310')
  const id = page.url().split('/').at(-1)!
  const rows = (store: string, add?: object) =>
    page.evaluate(
      ([name, row]) =>
        new Promise<unknown[]>(resolve => {
          indexedDB.open('needler').onsuccess = opened => {
            const all = (opened.target as IDBOpenDBRequest).result.transaction(name!, 'readwrite').objectStore(name!)
            if (row) all.put(row)
            all.getAll().onsuccess = got => resolve((got.target as IDBRequest<unknown[]>).result)
          }
        }),
      [store, add] as const,
    )
  await rows('outbox', { act: 'x', job: id, n: 1, entries: 'broken' })
  await page.reload()
  await expect(page.getByText('could not be read. It is set aside, not lost')).toBeVisible()
  expect(await rows('damaged')).toMatchObject([{ job: id, found: { entries: 'broken' } }])
  expect(await rows('outbox')).toEqual([])
})

test('a lead lets somebody sign in, and takes them out', async ({ page }) => {
  await signInAtTheDoor(page, 'O. Hallam')
  await page.getByRole('link', { name: 'People' }).click()
  await page.getByLabel('Name of somebody new').fill('N. Newcome')
  await page.getByRole('button', { name: 'Add' }).click()
  await expect(page.locator('[data-test=said]')).toContainText(/The PIN of N. Newcome is \d{6}/)
  const line = page.getByRole('listitem').filter({ hasText: 'N. Newcome' })
  await line.getByRole('button', { name: 'Remove' }).click()
  await line.getByRole('button', { name: 'Remove' }).click()
  await expect(line).toContainText('taken out')
  await line.getByRole('button', { name: 'Restore' }).click()
  await expect(line.getByRole('button', { name: 'New PIN' })).toBeVisible()
})

test('a job is cancelled by a lead, in writing', async ({ page }) => {
  await signIn(page, 'O. Hallam')
  await openJob(page, 'P-311', 'Opened on the wrong pump')
  await page.locator('[data-test=gate]').click()
  await pad(page).getByRole('button', { name: 'Cancel the job' }).click()
  await pad(page).getByRole('button', { name: 'Cancel the job' }).click()
  await expect(pad(page).getByRole('alert')).toContainText('in writing')
  await pad(page)
    .getByLabel(/Why is the job cancelled/)
    .fill('Wrong pump')
  await pad(page).getByRole('button', { name: 'Cancel the job' }).click()
  await signAs(page)
  await expect(page.locator('[data-test=gate]')).toHaveText('Cancelled')
  await openJob(page, 'P-311', 'The right one now')
})
