import { getQuery, setResponseHeaders } from 'h3'
import { partSchema } from '#shared/schemas'
import { recordFileName, savedAs } from '#shared/file-names'
import { refusalsAbout } from '../../../../core/refusal.ts'
import { database } from '../../../db/client.ts'
import { findJob, recordWork } from '../../../db/jobs.ts'
import { fitting, idOf, noSuchJob, refusal } from '../../../http/answer.ts'
import { answerHeavily } from '../../../http/heavy.ts'
import { staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'

const refusals = refusalsAbout('record', {
  part: ({ parts }: { parts: number }) => `This record has ${parts === 1 ? 'one part' : `${parts} parts`}.`,
})

/** The record as a PDF, a long one in parts, made in a worker thread; as the last of a stream of events it is written in base64. */
export default route(
  'signed in',
  async (event, { id: who }) => {
    const { lengths, part: asked } = getQuery(event)
    const part = fitting(partSchema, asked)
    const job = await findJob(database(), idOf(event))
    if (!job) throw noSuchJob()
    const given = () => recordWork(database(), job, { lengths: lengths === 'inch' ? 'inch' : 'mm', part })
    return answerHeavily(
      event,
      { task: 'record', who, given },
      ({ pdf, parts }) => {
        if (!pdf) throw refusal(404, refusals.part({ parts }))
        if (!event.node.res.headersSent)
          setResponseHeaders(event, {
            'content-type': 'application/pdf',
            'content-disposition': savedAs(recordFileName(job.equipmentTag, job.number, { n: part, of: parts })),
            'x-needler-parts': String(parts),
            'cache-control': 'no-store',
          })
        return { pdf: Buffer.from(pdf), parts }
      },
      ({ pdf, parts }) => ({ pdf: pdf.toString('base64'), parts }),
    ).then(answer => answer?.pdf)
  },
  staysOpen,
)
