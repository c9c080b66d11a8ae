import { answerReport } from '../../../http/report.ts'
import { staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'

/** What the machine of a job failed of, as a PDF. */
export default route('signed in', (event, { id }) => answerReport(event, id, 'failure'), staysOpen)
