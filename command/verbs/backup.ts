import { existsSync } from 'node:fs'
import { defineCommand } from 'citty'
import { writeBackup } from '../backups.ts'
import { contentsWords, databaseArg, filledDatabase, fromHere } from '../place.ts'
import { Plain, say } from '../plain.ts'

export default defineCommand({
  meta: { name: 'backup', description: 'save a database to a file, and read it back' },
  args: { ...databaseArg, file: { type: 'positional', description: 'a new file', required: true } },
  async run({ args }) {
    const file = fromHere(args.file)
    if (existsSync(file)) throw new Plain(`${file} is there already. Name a new file.`)
    const contents = await filledDatabase(args.database)
    const bytes = await writeBackup(args.database, file)
    say(
      `Saved ${contentsWords(args.database, contents)} to ${file}, ${Math.ceil(bytes / 1024)} kB; it was read back whole.`,
    )
  },
})
