import type { DrawnShape, PictureSize } from '../../photos/index.ts'
import type { JobState, Stamp } from '../ledger/state.ts'
import { isNotedOn, type Noted } from './noted.ts'

/** A photograph of a job; its file is known by its SHA-256, and may still be on its way. */
export interface Photo extends PictureSize {
  /** Its own number. */
  photo: string
  sha256: string
  /** What it is of; the job as a whole where it is left out. */
  on?: Noted
  /** A line that says what is seen. */
  words?: string
}
export type TakenPhoto = Stamp & Photo

/** The photographs of one thing, or of the job as a whole, the oldest first. */
export const photosOn = ({ photos }: JobState, on: Noted | null): TakenPhoto[] =>
  photos.filter(one => isNotedOn(one.on, on))

/** What is drawn on a photograph as it stands. */
export const drawnFor = ({ drawn }: JobState, { photo }: Pick<Photo, 'photo'>): readonly DrawnShape[] =>
  drawn.get(photo)?.shapes ?? []

/** The line under a photograph: as it was last said, or as it was when it was taken. */
export const lineOf = ({ drawn }: JobState, { photo, words = '' }: Pick<Photo, 'photo' | 'words'>): string =>
  drawn.get(photo)?.words ?? words

export const hasArrived = ({ arrived }: JobState, { sha256 }: Pick<Photo, 'sha256'>): boolean => arrived.has(sha256)

/** Photographs whose files are still on the tablets that took them. */
export const photosMissing = (state: JobState): TakenPhoto[] => state.photos.filter(one => !hasArrived(state, one))
