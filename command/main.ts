import { defineCommand, renderUsage, runCommand, type CommandDef } from 'citty'
import { Plain } from './plain.ts'

const lazy = (load: () => Promise<{ default: unknown }>) => () => load().then(file => file.default as CommandDef)

const main = defineCommand({
  meta: { name: './needler', description: 'Needler, the bench companion of an overhaul.' },
  subCommands: {
    'demo': lazy(() => import('./verbs/demo.ts')),
    'serve': lazy(() => import('./verbs/serve.ts')),
    'test': defineCommand({ meta: { description: 'every test there is; ends by itself' } }),
    'site': lazy(() => import('./verbs/site.ts')),
    'area': lazy(() => import('./verbs/area.ts')),
    'sheet': lazy(() => import('./verbs/sheet.ts')),
    'machine': lazy(() => import('./verbs/machine.ts')),
    'person': lazy(() => import('./verbs/person.ts')),
    'key': lazy(() => import('./verbs/key.ts')),
    'sum': lazy(() => import('./verbs/sum.ts')),
    'backup': lazy(() => import('./verbs/backup.ts')),
    'restore': lazy(() => import('./verbs/restore.ts')),
    'rebuild': lazy(() => import('./verbs/rebuild.ts')),
    'bench': lazy(() => import('./verbs/bench.ts')),
    'faults': lazy(() => import('./verbs/faults.ts')),
    'load-demo': lazy(() => import('./verbs/load-demo.ts')),
  },
})

/** The command that words ask for, as deep as they name one. */
async function commandOf(
  words: string[],
  command: CommandDef = main,
  parent?: CommandDef,
): Promise<[CommandDef, CommandDef?]> {
  const found = command.subCommands as Record<string, CommandDef | (() => Promise<CommandDef>)> | undefined
  const next = words[0] === undefined ? undefined : found?.[words[0]]
  if (!next) return [command, parent]
  return commandOf(words.slice(1), typeof next === 'function' ? await next() : next, command)
}

const words = process.argv.slice(2)
const isHelp = !words.length || words[0] === 'help' || words.some(one => one === '--help' || one === '-h')
try {
  if (isHelp) console.log(await renderUsage(...(await commandOf(words.filter(one => !one.startsWith('-'))))))
  else if (!Object.keys(main.subCommands as object).includes(words[0]!))
    throw new Plain(`There is no ./needler ${words[0]}. ./needler --help lists what there is.`)
  else await runCommand(main, { rawArgs: words })
} catch (error) {
  const { name, message, stack } = error as Error
  const isPlain = error instanceof Plain || name === 'CLIError'
  process.stderr.write(`\n✕ ${isPlain ? message : (stack ?? message)}\n`)
  process.exitCode = 1
}
