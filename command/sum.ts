import { text } from 'node:stream/consumers'
import { answerSum, listSums } from '../shared/sums.ts'

/** `./needler sum NAME < input.json`: the same answer as over the wire, with no database. */
const name = process.argv[2]

function fail(why: string): never {
  process.stderr.write(`\n✕ ${why}\n`)
  process.exit(1)
}

if (!name) {
  for (const one of listSums()) process.stdout.write(`${one.name.padEnd(26)}${one.title}: ${one.about}\n`)
  process.exit(0)
}
const input = await text(process.stdin)
let body: unknown
try {
  body = JSON.parse(input)
} catch (error) {
  fail(
    `What came in is not JSON (${(error as Error).message}). Send one object, or an array of objects: ./needler sum ${name} < input.json`,
  )
}
const answer = answerSum(name, body, Number.MAX_SAFE_INTEGER)
if (!answer.ok) fail(answer.why)
process.stdout.write(`${JSON.stringify(answer.value, null, 2)}\n`)
