import { defineEventHandler } from 'h3'
import { listSums } from '#shared/sums'

export default defineEventHandler(() => listSums())
