import * as cautions from './cautions.ts'
import * as children from './children.ts'
import * as causes from './causes.ts'
import * as choices from './choices.ts'
import * as corrections from './corrections.ts'
import * as evidence from './evidence.ts'
import * as facts from './facts.ts'
import * as holds from './holds.ts'
import * as items from './items.ts'
import * as job from './job.ts'
import * as joints from './joints/index.ts'
import * as late from './late.ts'
import * as looks from './looks.ts'
import * as lubricants from './lubricants.ts'
import * as marks from './marks.ts'
import * as mates from './mates.ts'
import * as notes from './notes.ts'
import * as origins from './origins.ts'
import * as parts from './parts/index.ts'
import * as photos from './photos.ts'
import * as pieces from './pieces.ts'
import * as readings from './readings.ts'
import * as remedies from './remedies.ts'
import * as reopenings from './reopenings.ts'
import * as rounds from './rounds.ts'
import * as signs from './signs.ts'
import * as steps from './steps.ts'
import * as troubles from './troubles.ts'
import * as waits from './waits.ts'

/**
 * What the bench can do, a file each; what they owe, and their tables of the record, come in this order. A new feature is its file, its name here, and a
 * pad of its own on the screen where it has one; see `ledger/feature.ts` for what it may declare.
 */
export const FEATURES = {
  looks,
  readings,
  parts,
  children,
  marks,
  mates,
  pieces,
  joints,
  holds,
  steps,
  waits,
  choices,
  causes,
  rounds,
  troubles,
  origins,
  items,
  evidence,
  facts,
  lubricants,
  cautions,
  remedies,
  reopenings,
  corrections,
  late,
  signs,
  notes,
  photos,
  job,
}
