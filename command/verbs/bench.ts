import { spawn } from 'node:child_process'
import { defineCommand } from 'citty'
import { appUrl, dropDatabase, ownerUrl } from '../place.ts'
import { Plain } from '../plain.ts'
import { prepare } from '../prepare.ts'

const BENCH = 'needler_bench'

export default defineCommand({
  meta: { name: 'bench', description: 'measure speed and size' },
  async run() {
    await dropDatabase(BENCH)
    await prepare(BENCH)
    const env = { ...process.env, DATABASE_URL: appUrl(BENCH), NEEDLER_OWNER_URL: ownerUrl(BENCH) }
    const child = spawn('node', ['--import', 'tsx', 'tests/load/bench.ts'], { env, stdio: 'inherit' })
    const code = await new Promise(resolve => child.once('exit', resolve))
    await dropDatabase(BENCH)
    if (code !== 0) throw new Plain('The benchmark did not come to its end. Its words stand above.')
  },
})
