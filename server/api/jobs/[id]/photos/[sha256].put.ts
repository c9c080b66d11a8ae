import { readRawBody } from 'h3'
import { sumSchema } from '#shared/schemas'
import { MOST_PICTURE_BYTES } from '#shared/pictures'
import { WRITERS } from '../../../../../core/job/index.ts'
import { refusalsAbout } from '../../../../../core/refusal.ts'
import { database, ledgerDatabase } from '../../../../db/client.ts'
import { isHere, isNamed, keepPicture, sayArrived } from '../../../../db/photos.ts'
import { sumOf, type PictureFault } from '../../../../heavy/pictures.ts'
import { fitting, idOf, refusal } from '../../../../http/answer.ts'
import { workedHeavily } from '../../../../http/heavy.ts'
import { intoJob, staysOpen } from '../../../../http/queues.ts'
import { route } from '../../../../http/route.ts'

const refusals = refusalsAbout('picture', {
  unnamed: () => 'This job has no photograph with these contents. Its entry goes first; then send the file.',
  other: () => 'The file is not the one its number was made of. Send it again.',
  kind: () => 'That is no photograph. Send a picture as JPEG, PNG or WebP.',
  large: () => 'That picture has too many pixels (at most 40 million). Make it smaller, then send it.',
  broken: () => 'That picture cannot be read to its end. Take it again, or send it again.',
})
const FAULTS: Record<PictureFault, () => ReturnType<typeof refusals.kind>> = refusals

/** The file of a photograph, under the SHA-256 that its entry gave: looked through and cleaned, and kept once. */
export default route(
  WRITERS,
  async (event, by) => {
    const [id, sha256] = [idOf(event), fitting(sumSchema, event.context.params?.sha256)]
    if (!(await isNamed(database(), id, sha256))) throw refusal(404, refusals.unnamed())
    const bytes = await readRawBody(event, false)
    if (!bytes || sumOf(bytes) !== sha256) throw refusal(422, refusals.other())
    if (!(await isHere(database(), sha256))) {
      const made = await workedHeavily(event, { task: 'picture', who: by.id, given: async () => ({ bytes }) })
      if (typeof made === 'string') throw refusal(422, FAULTS[made]())
      await keepPicture(ledgerDatabase(), sha256, made)
    }
    const said = await intoJob(id, () => sayArrived(ledgerDatabase(), id, sha256, by))
    if (said && !said.kept) throw refusal(said.status, said.refusal)
    return { sha256 }
  },
  staysOpen,
  MOST_PICTURE_BYTES,
)
