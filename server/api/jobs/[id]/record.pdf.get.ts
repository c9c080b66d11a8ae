import { getQuery, setResponseHeaders } from 'h3'
import { database } from '../../../db/client.ts'
import { jobWithLedger } from '../../../db/jobs.ts'
import { planOf } from '../../../db/sheets.ts'
import { jobIdOf, noSuchJob } from '../../../http/answer.ts'
import { recordPdf } from '../../../reports/record-pdf.ts'
import { recordOf } from '../../../../core/job/index.ts'
import { route } from '../../../http/route.ts'

export default route('signed in', async event => {
  const found = await jobWithLedger(database(), jobIdOf(event))
  if (!found) throw noSuchJob()
  const record = recordOf(
    await planOf(database(), found.job),
    found.entries,
    new Map(found.people.map(person => [person.id, person.name])),
    getQuery(event).lengths === 'inch' ? 'inch' : 'mm',
  )
  const pdf = await recordPdf({ record, number: found.job.number, machine: found.equipment })
  setResponseHeaders(event, {
    'content-type': 'application/pdf',
    'content-disposition': `attachment; filename="record-${found.job.equipmentTag}-${found.job.number}.pdf"`,
    'cache-control': 'no-store',
  })
  return pdf
})
