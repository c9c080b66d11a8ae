import { M3 } from '../walks/m3.ts'
import { AT_ONCE, type Mistakes } from './bench.ts'

const LARGE = { size: 'large' }
const GREASED = { size: 'large', lubrication: 'grease' }

export const M3_MISTAKES: Mistakes = {
  family: 'Cycloidal reducer',
  sheet: 'm3-cycloidal-reducer',
  figures: M3,
  mistakes: [
    {
      what: 'The two discs go in in line',
      at: 'second-on',
      variants: LARGE,
      does: bench => bench.does('second-on', { mates: { 'second-opposite': { deg: 0 } } }),
      says: /Stamp of the second disc: stands at 12:00. Not met/,
      means: /the casing will not draw up/,
      stopped: 'top-on',
      noticed: AT_ONCE,
    },
    {
      what: 'A disc goes in stamp down',
      at: 'second-on',
      variants: LARGE,
      does: bench => bench.does('second-on', { mates: { 'face-second': { say: 'nothing stamped' } } }),
      says: /Stamp up, second disc: nothing stamped\. Not met/,
      means: /binds once a turn/,
      stopped: 'top-on',
      noticed: AT_ONCE,
    },
    {
      what: 'The two discs are exchanged',
      at: 'first-on',
      variants: LARGE,
      does: bench => bench.does('first-on', { hands: { 'disc@first': 'disc@second' } }),
      says: /Cycloidal disc, second in is in the hand for Cycloidal disc, first in/,
      means: /no longer share the load/,
      stopped: 'first-on',
      noticed: AT_ONCE,
    },
    {
      what: 'The first disc goes in a third of a turn from the top',
      at: 'first-on',
      does: bench => bench.does('first-on', { mates: { 'first-top': { deg: 120 } } }),
      says: /Stamp of the first disc: stands at 4:00\. Not met/,
      means: /fast side will not close/,
      stopped: 'cam-on',
      noticed: AT_ONCE,
    },
    {
      what: 'The number of the ring housing stands aside',
      at: 'ring-on',
      does: bench => bench.does('ring-on', { mates: { 'ring-top': { deg: 90 } } }),
      says: /Number of the ring housing: stands at 3:00\. Not met/,
      means: /no disc goes in without force/,
      stopped: 'pins-in',
      noticed: AT_ONCE,
    },
    {
      what: 'The counterweight goes on the side of the throw',
      at: 'weight-on',
      does: bench => bench.does('weight-on', { mates: { 'weight-opposite': { deg: 0 } } }),
      says: /Notch of the counterweight: stands at 12:00\. Not met/,
      means: /whole drive shakes/,
      stopped: 'top-on',
      noticed: AT_ONCE,
    },
    {
      what: 'The counterweight stays on the bench',
      at: 'top-on',
      does: bench => {
        bench.by.act('entry.corrected', { target: doneAt(bench, 'weight-on'), why: 'It still lies here' })
        bench.tries('part.refitted', { part: 'top-bearing', step: 'top-on' })
      },
      says: /First: Counterweight onto the cam end/,
      means: /shakes itself loose/,
      stopped: 'top-on',
      noticed: AT_ONCE,
    },
    {
      what: 'A roller drags in the ring',
      at: 'pins-in',
      does: bench => bench.reads({ 'ring-turn build': 'one drags' }).does('pins-in'),
      says: /Ring pins and rollers turned by hand: Out/,
      means: /cuts the lobes/,
      stopped: 'first-on',
      noticed: AT_ONCE,
    },
    {
      what: 'One roller too few goes back into the ring',
      at: 'pins-in',
      does: bench => bench.does('pins-in', { counts: { 'ring-rollers in': 11 } }),
      says: /11 of 12 went back: Ring rollers/,
      means: /left over on the bench/,
      stopped: 'first-on',
      noticed: 'before: cover',
    },
    {
      what: 'The lip of the end cap is folded',
      at: 'cap-on',
      does: bench => bench.does('cap-on', { mates: { 'lip-over': { say: 'a fold in one place' } } }),
      says: /Lip of the end cap seal: a fold in one place\. Not met/,
      means: /pours the oil out/,
      stopped: 'cap-pull',
      noticed: AT_ONCE,
    },
    {
      what: 'Neighbouring bolts of the end cap are drawn up first',
      at: 'cap-pull',
      does: bench =>
        bench
          .tries('bolt.pulled', { joint: 'cap-joint', pass: 1, bolt: 1, torqueNm: 11, text: '11' })
          .tries('bolt.pulled', { joint: 'cap-joint', pass: 1, bolt: 2, torqueNm: 11, text: '11' }),
      says: /End cap, 6 × M8/,
      means: /it was the turn of 4.*fold the lip/,
      stopped: 'cap-pull',
      noticed: 'before: cover',
    },
    {
      what: 'Sealant goes beside a gasket',
      at: 'join',
      does: bench => bench.does('join', { mates: { 'gasket-bare': { say: 'sealant in a line' } } }),
      says: /Gasket faces of the ring housing: sealant in a line\. Not met/,
      means: /shreds block the rollers/,
      stopped: 'bolts-in',
      noticed: AT_ONCE,
    },
    {
      what: 'A greased unit is closed with dry lobes',
      at: 'grease-in',
      variants: GREASED,
      does: bench => bench.reads({ greased: 'bare metal between some' }).does('grease-in'),
      says: /Grease in the ring housing: Out/,
      means: /run dry/,
      stopped: 'join',
      noticed: AT_ONCE,
    },
    {
      what: 'Oil is put where grease belongs',
      at: 'pins-in',
      variants: GREASED,
      does: bench => bench.does('pins-in', { lubricants: { 'ring pins': 'oil' } }),
      says: /Ring pins: oil, and grease is wanted/,
      means: /seize/,
      stopped: 'pins-in',
      noticed: AT_ONCE,
    },
    {
      what: 'It does not close by hand, and is to be drawn up with the bolts',
      at: 'join',
      does: bench => {
        bench.reads({ 'closes left': 3.5 }).does('join')
        bench.tries('part.refitted', { part: 'through-bolts', step: 'bolts-in' })
      },
      says: /Gap at the joint, closed by hand: Out/,
      means: /Do not draw it up with the bolts: a disc is out of phase/,
      stopped: 'bolts-in',
      noticed: AT_ONCE,
    },
    {
      what: 'A retaining ring does not sit in its groove',
      at: 'top-on',
      does: bench =>
        bench.does('top-on', { mates: { 'clip-seated': { say: 'it does not turn, one end stands out' } } }),
      says: /Retaining ring of the cam end: it does not turn, one end stands out\. Not met/,
      means: /walks into the drive pins/,
      stopped: 'join',
      noticed: AT_ONCE,
    },
    {
      what: 'The casing goes past its seat',
      at: 'casing-on',
      does: bench => bench.reads({ 'stand-out': 3.4 }).does('casing-on'),
      says: /Bearing stands out of the casing: Out/,
      means: /pinches the inner bearing/,
      stopped: 'collar-on',
      noticed: AT_ONCE,
    },
  ],
}

/** The act with which a step was confirmed. */
const doneAt = (
  bench: { by: { folded: { state: { steps: ReadonlyMap<string, { entry: string }> } } } },
  step: string,
) => bench.by.folded.state.steps.get(step)!.entry
