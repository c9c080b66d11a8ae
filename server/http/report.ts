import { getQuery, setResponseHeaders, type H3Event } from 'h3'
import { partSchema } from '../../shared/schemas.ts'
import { reportFileName, savedAs, type Report } from '../../shared/file-names.ts'
import { refusalsAbout } from '../../core/refusal.ts'
import { database } from '../db/client.ts'
import { findJob, recordWork } from '../db/jobs.ts'
import { fitting, idOf, noSuchJob, refusal } from './answer.ts'
import { answerHeavily } from './heavy.ts'

const refusals = refusalsAbout('record', {
  part: ({ parts }: { parts: number }) => `This record has ${parts === 1 ? 'one part' : `${parts} parts`}.`,
  noFailure: () => 'Nobody asks on this job what it failed of, so there is no failure report. Its record is there.',
})

/** Answers with a report of a job as a PDF, a long one in parts, made in a worker thread; as the last of a stream of events it is written in base64. */
export async function answerReport(event: H3Event, who: string, report: Report) {
  const { lengths, part: asked } = getQuery(event)
  const part = fitting(partSchema, asked)
  const job = await findJob(database(), idOf(event))
  if (!job) throw noSuchJob()
  const given = () => recordWork(database(), job, { report, lengths: lengths === 'inch' ? 'inch' : 'mm', part })
  const answer = await answerHeavily(
    event,
    { task: 'record', who, given },
    ({ pdf, parts }) => {
      if (!pdf) throw refusal(404, parts ? refusals.part({ parts }) : refusals.noFailure())
      if (!event.node.res.headersSent)
        setResponseHeaders(event, {
          'content-type': 'application/pdf',
          'content-disposition': savedAs(reportFileName(report, job.equipmentTag, job.number, { n: part, of: parts })),
          'x-needler-parts': String(parts),
          'cache-control': 'no-store',
        })
      return { pdf: Buffer.from(pdf), parts }
    },
    ({ pdf, parts }) => ({ pdf: pdf.toString('base64'), parts }),
  )
  return answer?.pdf
}
