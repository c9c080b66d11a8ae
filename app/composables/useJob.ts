import type { InjectionKey } from 'vue'
import type { Job } from '~/bench/job'

const KEY: InjectionKey<Job> = Symbol('job')

export const provideJob = (job: Job) => provide(KEY, job)

/** The job of the page one is on: loaded, or one is not there. */
export function useJob(): Job {
  const job = inject(KEY)
  if (!job) throw new Error('useJob belongs under a JobRoom.')
  return job
}
