import { defineEventHandler } from 'h3'
import { database } from '../db/client.ts'
import { yard } from '../db/fleet.ts'

export default defineEventHandler(() => yard(database(), new Date().toISOString()))
