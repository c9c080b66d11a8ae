import { spawn } from 'node:child_process'
import { defineCommand } from 'citty'
import { statePath } from '../place.ts'
import { Plain } from '../plain.ts'

export default defineCommand({
  meta: {
    name: 'faults',
    description: 'attack a server and a database of their own, on this machine alone, and say what was lost',
  },
  async run() {
    const env = { ...process.env, NEEDLER_FAULTS: statePath(`faults-${process.pid}`), NEEDLER_LOG: 'silent' }
    const child = spawn('node', ['--import', 'tsx', 'tests/faults/faults.ts'], { env, stdio: 'inherit' })
    const code = await new Promise(resolve => child.once('exit', resolve))
    if (code !== 0) throw new Plain('Not all was as wanted. What was not is marked above.')
  },
})
