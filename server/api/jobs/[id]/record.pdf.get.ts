import { getQuery, setResponseHeaders } from 'h3'
import { database } from '../../../db/client.ts'
import { jobWithLedger } from '../../../db/jobs.ts'
import { jobIdOf, noSuchJob } from '../../../http/answer.ts'
import { answerHeavily } from '../../../http/heavy.ts'
import { staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'

/** The record as a PDF, made in a worker thread; as the last of a stream of events it is written in base64. */
export default route(
  'signed in',
  async event => {
    const found = await jobWithLedger(database(), jobIdOf(event))
    if (!found) throw noSuchJob()
    const { job, sheet, entries, people, equipment: machine } = found
    const work = {
      ...{ sheet, variants: job.variants, entries, number: job.number, machine },
      names: people.map(({ id, name }): [string, string] => [id, name]),
      lengths: getQuery(event).lengths === 'inch' ? ('inch' as const) : ('mm' as const),
    }
    return answerHeavily(
      event,
      'record',
      work,
      bytes => {
        if (!event.node.res.headersSent)
          setResponseHeaders(event, {
            'content-type': 'application/pdf',
            'content-disposition': `attachment; filename="record-${job.equipmentTag}-${job.number}.pdf"`,
            'cache-control': 'no-store',
          })
        return Buffer.from(bytes)
      },
      bytes => bytes.toString('base64'),
    )
  },
  staysOpen,
)
