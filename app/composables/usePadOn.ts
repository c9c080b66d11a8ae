import type { ComputedRef, InjectionKey } from 'vue'
import type { Noted } from '~~/core/job'

const KEY: InjectionKey<ComputedRef<Noted | null>> = Symbol('what the pad is of')

/** Says what the pad is of, for what may be on anything; null is the job as a whole. */
export const providePadOn = (on: ComputedRef<Noted | null>) => provide(KEY, on)

/** What the pad is of; undefined where something is no part of the pad. */
export const usePadOn = () => inject(KEY, undefined)
