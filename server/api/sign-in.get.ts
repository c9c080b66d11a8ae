import { defineEventHandler } from 'h3'
import { database } from '../db/client.ts'
import { peopleWhoSign } from '../db/people.ts'

/** The names to choose from. */
export default defineEventHandler(() => peopleWhoSign(database()))
