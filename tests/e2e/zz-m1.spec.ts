import { test } from './test.ts'
import { jobAt, signIn } from './hands.ts'
import { machineBy } from './shelf.ts'
import { librarySheet } from '../sheets.ts'
const STEPS = ['try-start', 'found', 'mark', 'bolts-out', 'elements-out', 'plates-read', 'decide-scope', 'hub-loose', 'decide', 'blue-off', 'bush-in', 'sleeve-on', 'elements-in', 'hub-up', 'advanced', 'locked-up', 'run']
test('m1', async ({ page }) => {
  test.setTimeout(900_000)
  await signIn(page)
  await machineBy(librarySheet('m1-torsional-coupling'), 'U-971', 'Coupling of the looks', { size: 'large', duty: 'locked', grip: 'keyed', scope: 'bushes' })
  for (const step of STEPS) {
    try { await jobAt(page, 'U-971', step) } catch (e) { console.log(step, String(e).slice(0, 300)); continue }
    await page.waitForTimeout(900)
    await page.screenshot({ path: `/tmp/shots/m1-${step}.png` })
  }
})
