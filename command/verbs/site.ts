import { defineCommand } from 'citty'
import { siteSchema } from '../../shared/schemas.ts'
import { hashSecret } from '../../server/db/people.ts'
import { changeSite, settingsOf, siteOf } from '../../server/db/site.ts'
import { appUrl, databaseArg, knownDatabase, withDatabase } from '../place.ts'
import { Plain, say } from '../plain.ts'

export default defineCommand({
  meta: { name: 'site', description: "say or change the site's own settings" },
  args: {
    ...databaseArg,
    'name': { type: 'string', description: 'what the site is called' },
    'pin-length': { type: 'string', description: 'figures of a new PIN, 4 to 8' },
    'code': { type: 'string', description: "asked once of every new device; '' asks for none" },
    'backups': { type: 'string', description: 'nightly backups that are kept; 0 makes none' },
  },
  async run({ args }) {
    const url = appUrl(await knownDatabase(args.database))
    const { error, value } = siteSchema.optional().validate(
      Object.fromEntries(
        Object.entries({
          name: args.name,
          pinLength: args['pin-length'],
          code: args.code === '' ? null : args.code,
          backupsKept: args.backups,
        }).filter(([, one]) => one !== undefined),
      ),
    )
    const isAsking = error?.details[0]?.type === 'object.min'
    if (error && !isAsking) throw new Plain(`That does not fit: ${error.message}.`)
    const settings = await withDatabase(url, async db => {
      if (isAsking || !value) return settingsOf(await siteOf(db))
      const { code, ...change } = value
      return changeSite(db, {
        ...change,
        ...(code === undefined ? {} : { codeHash: code === null ? null : await hashSecret(code) }),
      })
    })
    say(
      `${settings.name}: PINs of ${settings.pinLength} figures, ${settings.asksCode ? 'a code asked of new devices' : 'no code asked'}, ${settings.backupsKept ? `${settings.backupsKept} nightly backups kept` : 'no nightly backups'}.`,
    )
  },
})
