import { text } from 'node:stream/consumers'
import { defineCommand } from 'citty'
import { sentenceOf } from '../../core/refusal.ts'
import { answerSum, listSums } from '../../shared/sums.ts'
import { Plain } from '../plain.ts'

export default defineCommand({
  meta: { name: 'sum', description: 'work out a sum from JSON, one object or a list; without NAME: which there are' },
  args: { name: { type: 'positional', description: 'which sum; its input comes on standard input', required: false } },
  async run({ args: { name } }) {
    if (!name) {
      for (const one of listSums()) console.log(`${one.name.padEnd(26)}${one.title}: ${one.about}`)
      return
    }
    const input = await text(process.stdin)
    let body: unknown
    try {
      body = JSON.parse(input)
    } catch (error) {
      throw new Plain(
        `What came in is not JSON (${(error as Error).message}). Send one object, or an array of objects: ./needler sum ${name} < input.json`,
      )
    }
    const answer = answerSum(name, body, { most: Number.MAX_SAFE_INTEGER })
    if (!answer.ok) throw new Plain(sentenceOf(answer.refusal))
    process.stdout.write(`${JSON.stringify(answer.value, null, 2)}\n`)
  },
})
