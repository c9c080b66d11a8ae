import { answerReport } from '../../../http/report.ts'
import { staysOpen } from '../../../http/queues.ts'
import { route } from '../../../http/route.ts'

/** Everything that was done on a job, as a PDF. */
export default route('signed in', (event, { id }) => answerReport(event, id, 'record'), staysOpen)
