import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import type { Noted, Refusal } from '~~/core/job'
import type { PictureSizeName } from '~~/shared/pictures'
import type { Job } from '~/bench/job'
import { deviceClock } from '~/bench/clock'
import { pauseAfter } from '~/bench/pauses'
import { dropPhoto, entryWaits, heldPhotos, keepPhoto, type HeldPhoto } from '~/device/photos'
import { takePicture } from '~/device/pictures'

const NO_PICTURE = 'This browser cannot read that as a picture. Take it with the camera, or save it as JPEG first.'
const NOT_KEPT = 'This browser keeps nothing: the photograph goes with the page. Leave it open until it is sent.'

/** The file itself is refused, whoever sends it and however often. */
const FINAL = new Set([400, 413, 422])

/** Photographs that lie on this device, from the camera until the server has them: one is sent after the other, and nothing else waits for them. */
export const usePhotosStore = defineStore('photos', () => {
  const held = shallowRef<readonly HeldPhoto[]>([])
  /** So many are being taken in, one after the other. */
  const taking = ref(0)
  /** Why the last one was not taken; null once it is read. */
  const why = ref<string | null>(null)
  const urls = new Map<string, string>()
  /** Which the server did not know though their entries wait here no longer, and how often: one may have landed just then. */
  const strangers = new Map<string, number>()
  /** Which the page before had taken, without knowing any more whether they were entered. */
  const leftBehind = new Set<string>()
  let failures = 0
  let again: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | null = null

  const find = (job: string, sum: string) => held.value.find(one => one.job === job && one.sha256 === sum)
  const isSame = (one: HeldPhoto, other: HeldPhoto) => one.job === other.job && one.sha256 === other.sha256
  function put(one: HeldPhoto): Promise<boolean> {
    held.value = [...held.value.filter(other => !isSame(one, other)), one]
    return keepPhoto(one)
  }
  async function drop(one: HeldPhoto) {
    held.value = held.value.filter(other => !isSame(one, other))
    await dropPhoto(one.job, one.sha256)
    if (held.value.some(other => other.sha256 === one.sha256)) return
    const url = urls.get(one.sha256)
    urls.delete(one.sha256)
    if (url) URL.revokeObjectURL(url)
  }

  /** Takes what was left by the page before, once, and sends it. */
  let started: Promise<void> | undefined
  const start = () =>
    (started ??= heldPhotos().then(rows => {
      held.value = [...rows, ...held.value]
      for (const one of rows) if (!one.isNamed) leftBehind.add(one.payload.photo)
      void flush()
    }))

  /** Where a photograph is shown from: this device while it lies here, else the server. */
  function urlOf(sum: string, size: PictureSizeName): string {
    const here = held.value.find(one => one.sha256 === sum)
    if (!here) return `/api/photos/${sum}?size=${size}`
    const url = urls.get(sum) ?? URL.createObjectURL(new Blob([here.bytes], { type: 'image/jpeg' }))
    urls.set(sum, url)
    return url
  }

  /** Cameras make large pictures, and two pads may ask for the same: one is taken in after the other. */
  let turn: Promise<unknown> = Promise.resolve()
  function inTurn<T>(act: () => Promise<T>): Promise<T> {
    const mine = turn.then(act)
    turn = mine.catch(() => {})
    return mine
  }

  /** Makes the entry of a photograph that lies here. Refused, it stays here until somebody saves it or lets it go; the sentence, or null. */
  async function name(job: Job, one: HeldPhoto): Promise<string | null> {
    const why = job.state.photos.some(each => each.photo === one.payload.photo)
      ? null
      : job.act({ kind: 'photo.added', payload: one.payload })
    await put({ ...one, isNamed: !why, refused: why })
    return why
  }

  /** Takes a file of the camera onto something: kept here first, then entered, then sent. */
  async function take(job: Job, file: Blob, on: Noted | null): Promise<void> {
    taking.value += 1
    try {
      why.value = (await takeIn(job, file, on)) ?? why.value
    } finally {
      taking.value -= 1
    }
  }

  /** The sentence that says why a file is not taken, or null. */
  const takeIn = (job: Job, file: Blob, on: Noted | null): Promise<string | null> =>
    inTurn(async () => {
      await start()
      const made = await takePicture(file)
      if (!made) return NO_PICTURE
      const { bytes, ...picture } = made
      const payload = { photo: uuid(), ...picture, ...(on ? { on } : {}) }
      // The same picture lies here, or is in the job already: only what it is of is new.
      if (find(job.id, made.sha256)?.isNamed || job.state.photos.some(one => one.sha256 === made.sha256)) {
        const why = job.act({ kind: 'photo.added', payload })
        void flush()
        return why
      }
      const one = {
        job: job.id,
        sha256: made.sha256,
        bytes,
        takenAt: deviceClock.now(),
        payload,
        isNamed: false,
        refused: null,
      }
      const isKept = await put(one)
      const why = await name(job, one)
      void flush()
      return why ?? (isKept ? null : NOT_KEPT)
    })

  /** Enters what was taken when the page went before its entry was made. */
  const settle = (job: Job): Promise<void> =>
    inTurn(async () => {
      await start()
      for (const one of held.value.filter(each => each.job === job.id && !each.isNamed)) await name(job, one)
      void flush()
    })

  /** Its entry may still be on its way; where it was taken back, nobody asks for the file any more. */
  async function lookAtStranger(one: HeldPhoto) {
    const times = (await entryWaits(one)) ? 0 : (strangers.get(one.sha256) ?? 0) + 1
    strangers.set(one.sha256, times)
    if (times > 1) await drop(one)
  }

  const flush = () =>
    (sending ??= sendAll().finally(() => {
      sending = null
    }))

  /** What may be sent: what was entered, and what may have been just as the page before went, which the server knows. */
  const isReady = (one: HeldPhoto) => !one.refused && (one.isNamed || leftBehind.has(one.payload.photo))

  /** The oldest that was not tried in this round; what is taken meanwhile is among them. */
  const nextOf = (tried: ReadonlySet<string>) => held.value.find(one => isReady(one) && !tried.has(one.payload.photo))

  /** Sends what lies here, and what could not be sent again after a while. */
  async function sendAll(): Promise<void> {
    clearTimeout(again)
    const tried = new Set<string>()
    for (let one = nextOf(tried); one; one = nextOf(tried)) {
      tried.add(one.payload.photo)
      if (!(await send(one))) break
    }
    if (held.value.some(isReady)) again = setTimeout(() => void flush(), pauseAfter(++failures, Math.random()))
  }

  /** Whether the next one may be tried: nobody was there, or whoever is signed in may not, and that is so for all of them. */
  async function send(one: HeldPhoto): Promise<boolean> {
    try {
      await $fetch(`/api/jobs/${one.job}/photos/${one.sha256}`, {
        method: 'PUT',
        body: new Blob([one.bytes], { type: 'image/jpeg' }),
      })
      failures = 0
      await drop(one)
      return true
    } catch (error) {
      const { statusCode = 0, data } = error as { statusCode?: number; data?: { data?: { refusal?: Refusal } } }
      if (data?.data?.refusal?.code === 'picture.unnamed') {
        if (one.isNamed) await lookAtStranger(one)
      } else if (FINAL.has(statusCode)) await put({ ...one, refused: sayWhy(error) })
      else return false
      return true
    }
  }
  useEventListener(window, 'online', () => void flush())

  return { held, taking, why, start, settle, take, urlOf, flush, find, drop }
})
