import { setResponseHeader } from 'h3'
import { sheetNameSchema } from '#shared/schemas'
import type { SheetAnswer } from '../../../../shared/answers.ts'
import { refusalsAbout } from '../../../../core/refusal.ts'
import { database } from '../../../db/client.ts'
import { sheetOnShelf } from '../../../db/sheets.ts'
import { fitting, refusal } from '../../../http/answer.ts'
import { route } from '../../../http/route.ts'

const refusals = refusalsAbout('shelf', {
  unknown: () => 'There is no such build sheet, or not in that version. Reload the page.',
})

/** A version of a sheet never changes: a browser keeps it for good. */
export default route('signed in', async (event): Promise<SheetAnswer> => {
  const { id, version } = fitting(sheetNameSchema, event.context.params)
  const sheet = await sheetOnShelf(database(), id, version)
  if (!sheet) throw refusal(404, refusals.unknown())
  setResponseHeader(event, 'cache-control', 'private, max-age=31536000, immutable')
  return { sheet }
})
