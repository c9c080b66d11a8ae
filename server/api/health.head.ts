/** The same without its words: whether the database answers. */
export { default } from './health.get.ts'
