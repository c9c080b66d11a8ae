import { expect, test, type Page } from './test.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { choosePin, jobAt, onOurTablet, openBench, signAs, signIn, signInAtTheDoor } from './hands.ts'

/** Everything that lies on this device. */
const kept = (page: Page) =>
  page.evaluate(async () => {
    const all: unknown[] = [{ ...localStorage }, { ...sessionStorage }]
    for (const { name, version } of await indexedDB.databases()) {
      const db = await new Promise<IDBDatabase>(resolve => {
        const asked = indexedDB.open(name!, version)
        asked.onsuccess = () => resolve(asked.result)
      })
      for (const store of db.objectStoreNames)
        all.push(
          await new Promise(resolve => {
            const asked = db.transaction(store).objectStore(store).getAll()
            asked.onsuccess = () => resolve(asked.result)
          }),
        )
      db.close()
    }
    return JSON.stringify(all)
  })

test('a second pair of eyes signs on the fitter’s tablet, which stays the fitter’s', async ({ page, context }) => {
  await signIn(page)
  await jobAt(page, 'X-511', 'decide')
  const hold = page.locator('[data-test=hold]')
  await hold.click()
  const signer = page.locator('[data-test=signer]')
  await expect(signer).toContainText('There is nothing to sign yet')
  await signer.getByRole('button', { name: 'Leave it unsigned' }).click()
  await expect(hold).toBeVisible()

  // What somebody else noted is taken back with a lead's PIN.
  await page.getByRole('button', { name: 'Ledger' }).click()
  await page.getByLabel('Note', { exact: true }).fill('A note')
  await page.getByRole('button', { name: 'Write it' }).click()
  await expect(page.locator('[data-test=sent]')).toContainText('all sent')
  await page.locator('[data-test=gate]').click()
  const pad = page.locator('[data-test=gate-pad]')
  await pad
    .getByRole('listitem')
    .filter({ hasText: 'Hold point' })
    .first()
    .getByRole('button', { name: 'Let it pass' })
    .click()
  await pad.getByLabel(/Why may it pass/).fill('Seen on the bench')
  // Touched twice, it is asked once, and the second touch shuts nothing.
  await pad.getByRole('button', { name: 'A lead accepts it' }).dblclick()
  await expect(signer.getByRole('button', { name: /^O\. Hallam/ })).toHaveAttribute('aria-pressed', 'true')
  await signer.getByLabel('PIN of O. Hallam').fill('999991')
  await expect(signer.getByRole('alert').filter({ hasText: 'does not belong to that name' })).toBeVisible()
  await signAs(page)
  await expect(page.locator('[data-test=who]')).toContainText('R. Okell')
  const pin = PEOPLE.find(one => one.name === 'O. Hallam')!.pin
  expect(await kept(page)).not.toContain(pin)

  // Without the network no PIN can be asked for; other steps go on.
  await context.setOffline(true)
  await pad.getByRole('button', { name: 'Let it pass' }).first().click()
  await pad.getByLabel(/Why may it pass/).fill('No')
  await pad.getByRole('button', { name: 'A lead accepts it' }).click()
  await expect(pad.getByRole('alert')).toContainText('without the network none can be asked for')
  await context.setOffline(false)
})

test('a PIN that was given opens only the choosing of one’s own; a lead lets somebody in elsewhere', async ({
  page,
  browser,
}) => {
  await signInAtTheDoor(page, 'O. Hallam')
  await page.getByRole('link', { name: 'People' }).click()
  await page.getByLabel('Name of somebody new').fill('E. Newland')
  await page.getByRole('button', { name: 'Add' }).click()
  const said = page.locator('[data-test=said]')
  await expect(said).toContainText(/The PIN of E. Newland is \d{6}/)
  const pin = /is (\d{6})/.exec(await said.innerText())![1]!

  const elsewhere = await browser.newContext({ baseURL: new URL(page.url()).origin, serviceWorkers: 'block' })
  const theirs = await elsewhere.newPage()
  await theirs.goto('/sign-in')
  await theirs.getByRole('button', { name: /^E\. Newland/ }).click()
  await theirs.getByLabel('PIN', { exact: true }).fill(pin)
  await choosePin(theirs, '123456', '123456')
  await expect(theirs.getByRole('alert')).toContainText('first that anybody would try')
  // Gone before it is chosen, they are not in, and neither is whoever was before them.
  await page.locator('[data-test=who]').click()
  await page.getByRole('button', { name: /^E\. Newland/ }).click()
  await page.getByLabel('PIN', { exact: true }).fill(pin)
  await expect(page.locator('[data-test=own-pin]')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.locator('[data-test=who]')).toContainText('no PIN given')
  await signInAtTheDoor(page, 'O. Hallam')
  await page.getByRole('link', { name: 'People' }).click()
  await theirs.goto('/bench')
  await expect(theirs).toHaveURL(/sign-in/)
  await theirs.getByRole('button', { name: /^E\. Newland/ }).click()
  await theirs.getByLabel('PIN', { exact: true }).fill(pin)
  await choosePin(theirs, '739104', '739104')
  await expect(theirs.locator('[data-test=who]')).toContainText('E. Newland')

  const line = page.getByRole('listitem').filter({ hasText: 'E. Newland' })
  await line.getByRole('button', { name: 'Devices' }).click()
  await expect(line).toContainText('Linux, Chrome')
  // Wrong PINs from strangers shut the name on new devices; a code from a lead opens it.
  const third = await browser.newContext({ baseURL: new URL(page.url()).origin, serviceWorkers: 'block' })
  const stranger = await third.newPage()
  await stranger.goto('/sign-in')
  await stranger.getByRole('button', { name: /^E\. Newland/ }).click()
  const alert = stranger.getByRole('alert')
  for (let i = 0; i < 5; i++) {
    await stranger.getByLabel('PIN', { exact: true }).fill(`88888${i}`)
    await expect(alert).toContainText('does not belong')
    await stranger.getByLabel('PIN', { exact: true }).fill('')
  }
  await stranger.getByLabel('PIN', { exact: true }).fill('739104')
  await expect(alert).toContainText('A lead can give a code')
  await line.getByRole('button', { name: 'Code for a new device' }).click()
  await expect(said).toContainText('E. Newland comes in')
  const code = /code (\w{4} \w{4})/.exec(await said.innerText())![1]!
  await stranger.getByLabel(/Code from a lead/).fill(code)
  await stranger.getByLabel('PIN', { exact: true }).fill('739104')
  await stranger.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(stranger.locator('[data-test=who]')).toContainText('E. Newland')
  await elsewhere.close()
  await third.close()
})

test('after a rest a bench shows whose it is', async ({ page }) => {
  await page.clock.install()
  await onOurTablet(page.context())
  await signIn(page)
  await openBench(page, 'P-214B')
  const rest = page.locator('[data-test=rest]')
  // The clock of the rest begins anew with every press, a moment after it.
  const afterRest = () =>
    expect(async () => {
      await page.clock.fastForward('10:05')
      await expect(rest).toBeVisible({ timeout: 2000 })
    }).toPass()
  await afterRest()
  await expect(rest).toContainText('I am R. Okell')
  await page.keyboard.press('Escape')
  await expect(rest).toBeVisible()
  await rest.getByRole('button', { name: /I am R\. Okell/ }).click()
  await expect(rest).toBeHidden()
  await afterRest()
  await rest.getByRole('button', { name: /^T\. Brisco/ }).click()
  await page.getByLabel('PIN', { exact: true }).fill(PEOPLE.find(one => one.name === 'T. Brisco')!.pin)
  await expect(page.locator('[data-test=who]')).toContainText('T. Brisco')
})

test('running hours are read off the machine, and what is next follows', async ({ page }) => {
  await signIn(page)
  await page.goto('/?machine=P-531')
  const plate = page.getByLabel('Machine P-531')
  await plate.locator('[data-test=hours]').click()
  const field = plate.getByLabel('Hours on the meter')
  const hours = Number(await field.inputValue())
  await field.fill('1')
  await plate.getByRole('button', { name: 'Keep them' }).click()
  await expect(plate.getByRole('alert')).toContainText('a new meter counts on')
  await field.fill(String(hours + 500))
  await plate.getByRole('button', { name: 'Keep them' }).click()
  await expect(plate).toContainText('by R. Okell')
  await expect(plate).toContainText(`${(hours + 500).toLocaleString('en-GB').replace(',', ' ')}`.slice(-3))
})
