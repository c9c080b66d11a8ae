import { defineEventHandler } from 'h3'
import { database } from '../../db/client.ts'
import { openJobs } from '../../db/jobs.ts'

export default defineEventHandler(() => openJobs(database()))
