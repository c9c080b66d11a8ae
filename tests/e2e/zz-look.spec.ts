import { test } from './test.ts'
import { jobAt, signIn } from './hands.ts'
import { librarySheet } from '../sheets.ts'
import { machineBy } from './shelf.ts'

const [sheet, tag, variants, list, who] = process.env.LOOK!.split('|') as [string, string, string, string, string?]
test('look', async ({ page }) => {
  test.setTimeout(900_000)
  await signIn(page, who || 'R. Okell')
  if (variants) await machineBy(librarySheet(sheet), tag, 'Machine of the tests', JSON.parse(variants))
  for (const step of list.split(' ')) {
    await jobAt(page, tag, step, who || 'R. Okell').catch(e => console.log('LOOK', step, String(e).slice(0, 300)))
    await page.waitForTimeout(700)
    await page.screenshot({ path: `/tmp/shots/${tag}-${step}.png` })
  }
})
