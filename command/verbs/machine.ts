import { defineCommand } from 'citty'
import { sentenceOf } from '../../core/refusal.ts'
import { hoursSchema } from '../../shared/schemas.ts'
import { addMachine, readMeters } from '../../server/db/fleet.ts'
import { appUrl, databaseArg, knownDatabase, withDatabase } from '../place.ts'
import { Plain, say } from '../plain.ts'

const whole = (text: string, what: string) => {
  const value = Number(text)
  if (!Number.isInteger(value) || value < 0) throw new Plain(`${what} must be a whole number from 0, not “${text}”.`)
  return value
}

/** `faces=carbon,flush=water` as choices by axis. */
const choices = (text: string) =>
  Object.fromEntries(
    text
      .split(',')
      .filter(Boolean)
      .map(one => {
        const [axis, choice] = one.split('=').map(word => word.trim())
        if (!axis || !choice) throw new Plain(`“${one}” is no choice. Write axis=choice, with commas between.`)
        return [axis, choice]
      }),
  )

const add = defineCommand({
  meta: { name: 'add', description: 'add a machine to the yard' },
  args: {
    ...databaseArg,
    'tag': { type: 'positional', description: 'the tag on its plate', required: true },
    'name': { type: 'string', description: 'what it is called', required: true },
    'area': { type: 'string', description: 'the area it stands in; see ./needler area list', required: true },
    'sheet': { type: 'string', description: 'the build sheet of its family', required: true },
    'line': { type: 'string', description: 'where in the area', default: '' },
    'variants': { type: 'string', description: 'axis=choice, with commas between', default: '' },
    'hours': { type: 'string', description: 'hours run so far', default: '0' },
    'hours-per-week': { type: 'string', description: 'hours it runs in a week', default: '0' },
  },
  async run({ args }) {
    const refused = await withDatabase(appUrl(await knownDatabase(args.database)), db =>
      addMachine(db, {
        tag: args.tag,
        name: args.name,
        areaId: args.area,
        line: args.line,
        sheetId: args.sheet,
        variants: choices(args.variants),
        hoursRun: whole(args.hours, 'Hours run'),
        hoursPerWeek: whole(args['hours-per-week'], 'Hours a week'),
      }),
    )
    if (refused) throw new Plain(sentenceOf(refused))
    say(`${args.tag} ${args.name} stands in the yard. Open a job on it from there.`)
  },
})

const hours = defineCommand({
  meta: { name: 'hours', description: 'set the running hours of a machine, as its meter shows them' },
  args: {
    ...databaseArg,
    tag: { type: 'positional', description: 'the tag on its plate', required: true },
    hours: { type: 'positional', description: 'hours run', required: true },
  },
  async run({ args }) {
    const { error, value } = hoursSchema.validate({ hoursRun: whole(args.hours, 'Hours run') })
    if (error) throw new Plain(`That does not fit: ${error.message}.`)
    const refused = await withDatabase(appUrl(await knownDatabase(args.database)), db =>
      readMeters(db, args.tag, value, null),
    )
    if (refused) throw new Plain(sentenceOf(refused))
    say(`${args.tag} has run ${args.hours} hours. What is next follows from that.`)
  },
})

export default defineCommand({
  meta: { name: 'machine', description: 'machines of the yard: add, hours' },
  subCommands: { add, hours },
})
