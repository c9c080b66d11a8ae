import { HANDS } from '../../core/job/index.ts'
import type { LabelsAnswer } from '../../shared/answers.ts'
import { labelsSchema } from '#shared/schemas'
import { database } from '../db/client.ts'
import { takeLabels } from '../db/labels.ts'
import { bodyFitting } from '../http/answer.ts'
import { route } from '../http/route.ts'

/** Numbers for tags and bags that this device may give out, with the network or without. */
export default route(HANDS, async (event): Promise<LabelsAnswer> => {
  const { count } = await bodyFitting(event, labelsSchema)
  return { numbers: await takeLabels(database(), count) }
})
