import { defineStore } from 'pinia'

/** Something that can be found, and how one gets there. */
export interface Hit {
  key: string
  name: string
  kind: string
  go: () => unknown
}

/** What the page one is on has to offer the finder, beside machines, jobs and sums. */
export const useFinderStore = defineStore('finder', () => {
  const here = shallowRef<Hit[]>([])
  /** Offers hits; what it returns takes them back. */
  function offer(hits: Hit[]): () => void {
    here.value = hits
    return () => {
      if (here.value === hits) here.value = []
    }
  }
  return { here, offer }
})
