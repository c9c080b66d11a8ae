import type { Read } from '../sheets.ts'
import { M7 } from '../walks/m7.ts'
import {
  early,
  goesBack,
  hurried,
  inHand,
  leftIn,
  on,
  outAt,
  short,
  slip,
  smeared,
  stands,
  startsLocked,
  type Mistakes,
  leftSo,
} from './bench.ts'

const RESET = { impellers: 'collet', stages: 'three', column: 'short', scope: 'reset' }
const PULLED = { impellers: 'collet', stages: 'three', column: 'short', scope: 'pulled' }
const DEEP = { impellers: 'key', stages: 'five', column: 'long', scope: 'pulled' }

/** What was read of the lift, otherwise. */
const lifted = (frontMm: number): Read => ({ 'lift build Stands clear of touching now, cold': frontMm })

export const M7_MISTAKES: Mistakes = {
  family: 'Vertical bowl pump',
  sheet: 'm7-vertical-bowl-pump',
  figures: M7,
  mistakes: [
    ...on(RESET, [
      leftSo(
        'The canopy lies beside the pump',
        { 'as-given': 'its lock screws by the wrench, canopy beside it' },
        /shaft turns open/,
      ),
      startsLocked(),
      hurried('It is touched while the column runs back', 'run-back', /column running back/),
      early('The nut comes off before its lift is read', 'found', 'nut-off', /what lift it ran with/, {
        lifts: ['nut'],
      }),
      short('A ring of the packing stays in', 'box-open', { 'packing out': 4 }, 'packed', 'motor'),
      smeared('Grease on the packing', 'packed', 'rings of the packing', 'grease', /burns on/),
      stands(
        'The cuts of the packing are in line',
        'packed',
        'joints-packed',
        'in line, at 12',
        'clutch-in',
        /shaft is scored/,
      ),
      stands('The lantern is beside its port', 'packed', 'port', 'a ring of packing', 'clutch-in', /packing burns/),
      stands(
        'A ratchet pin hangs',
        'clutch-in',
        'pins-fall',
        'one hangs, the others fall',
        'lift-set',
        /line unscrews/,
      ),
      outAt(
        {
          what: 'The lift is forgotten',
          at: 'lift-set',
          stopped: 'nut-locked',
          means: /impellers grind|touches in front/,
        },
        lifted(0.4),
      ),
      outAt(
        {
          what: 'The lift is turned the wrong way on',
          at: 'lift-set',
          stopped: 'nut-locked',
          means: /too far back|no room/,
        },
        lifted(6),
      ),
      short('A lock screw is left out', 'nut-locked', { 'lock-screws in': 2 }, 'canopy-on', 'motor'),
      outAt(
        { what: 'It grates, and gets its canopy', at: 'nut-locked', stopped: 'canopy-on', means: /lift is lost/ },
        { free: 'it grates, or stands' },
      ),
      hurried('The lift is read while the column runs back', 'stopped', /after the run/),
      slip('The play is read in hundredths', 'found', ['motor-play asFound', 11, 0.11], /over the limit|span/),
    ]),
    ...on(PULLED, [
      early('The line is lifted with the motor on', 'motor-off', 'line-clamped', /Its weight hangs/, {
        lifts: ['foot-bolts'],
      }),
      early('The head is let go without clamps', 'line-clamped', 'head-off', /falls down the well/, {
        lifts: ['head'],
      }),
      leftIn(
        'A clamp is left at the well',
        'bowls-up',
        { 'clamps out': 1 },
        /Clamps under the column: 2 went in, 1 came out/,
      ),
      early('The bowls come apart before they are marked', 'bowls-marked', 'top-off', /how they stood/, {
        lifts: ['top-bowl'],
      }),
      goesBack(
        { what: 'An impeller that is worn away goes back', at: 'look-bowls', stopped: 'stage-s2', means: /upthrust/ },
        ['impellers', 'impeller@s2', 'rub 3'],
      ),
      outAt(
        {
          what: 'A bush that is too thin is pressed',
          at: 'bushes-measured',
          stopped: 'bushes-in',
          means: /another bush/,
        },
        { 'outside-s2': 60.02 },
      ),
      outAt(
        {
          what: 'A bush is pressed that closes on the shaft',
          at: 'bushes-measured',
          stopped: 'bushes-in',
          means: /seizes/,
        },
        { 'press-s1 Bush bore now': 40.04 },
      ),
      outAt(
        { what: 'A worn seat gets a bush', at: 'bushes-measured', stopped: 'bushes-in', means: /no bush holds/ },
        { 'seat-s3': 60.06 },
      ),
      hurried('They are pressed cold into warm bowls', 'even', /one warmth/),
      smeared('Bushes pressed dry', 'bushes-in', 'outsides of the bushes', 'dry', /tear their seat/),
      stands('Bushes go in square end first', 'bushes-in', 'lead', 'the square end', 'shaft-in', /scrapes its seat/),
      hurried('The bores are read at once', 'settled', /settling in their seats/),
      outAt(
        { what: 'A bush has closed', at: 'bores-read', stopped: 'shaft-in', means: /bored by the sum/ },
        { 'bore-s2': 40.03 },
      ),
      outAt(
        { what: 'A bore is waisted', at: 'bores-read', stopped: 'shaft-in', means: /waisted/ },
        { 'bore-s1 middle': 40.102, 'bore-s1 lower end': 40.138 },
      ),
      outAt(
        { what: 'A shaving is left in a bush', at: 'bowls-washed', stopped: 'shaft-in', means: /scored/ },
        { white: 'something that glints' },
      ),
      smeared('The tail bush goes in wet', 'shaft-in', 'tail bush', 'water', /No water gets there/),
      smeared('The collet is oiled', 'stage-s1', 'collet and cone of stage 1', 'oil', /climbs/),
      stands('A collet is upside down', 'stage-s1', 'collets-way', 'the thin end', 'closed-s1', /impeller climbs/),
      stands('The skirts look up', 'stage-s1', 'skirts', 'up, to the motor', 'closed-s1', /its own well/),
      outAt(
        { what: 'A collet is not driven home', at: 'stage-s1', stopped: 'stage-s1', means: /not driven home/ },
        { 'collet-s1': 8 },
      ),
      inHand(
        'Impellers of two stages are exchanged',
        'stage-s2',
        { 'impeller@s2': 'impeller@s3' },
        /Impeller, stage 3/,
      ),
      stands('A bowl is turned to the one below', 'closed-s2', 'line-s2', 60, 'stage-s3', /out of line/),
      outAt(
        { what: 'The lateral has jumped by a step', at: 'closed-s2', stopped: 'stage-s3', means: /not home/ },
        { 'lateral-s2': 11 },
      ),
      inHand('Long bolts go into a bowl', 'closed-s3', { 'bowl-bolts@s3': 'top-bolts' }, /M12×60/),
      leftIn(
        'The fixture stays on the shaft',
        'fixture-out',
        { 'fixture out': 0 },
        /Fixture on the bowl shaft: 1 went in/,
      ),
      stands(
        'The ends of a shaft do not meet',
        'length-on-p2',
        'butt-p2',
        'a line of light between two ends',
        'length-pull-p2',
        /kinked/,
      ),
      outAt(
        { what: 'A shaft stands too high', at: 'length-on-p1', stopped: 'length-pull-p1', means: /another shaft/ },
        { 'stick-p1 build': 216 },
      ),
      smeared('Oil on the rubber', 'length-on-p3', 'rubber, length 3', 'thin oil', /swells it/),
      short('A bolt of the column is missing', 'length-on-p3', { 'column-bolts@p3 in': 5 }, 'length-pull-p3', 'motor'),
      outAt(
        { what: 'The head stands aslant', at: 'head-level', stopped: 'motor-on', means: /out of plumb/ },
        { 'level along': 0.3 },
      ),
      {
        ...early('The sense is tried coupled', 'sense-tried', 'clutch-in', /unscrews the whole line/),
        does: bench => {
          bench.readsCautions('clutch-in').decides('clutch', 'reuse')
          bench.tries('part.refitted', { part: 'clutch', step: 'clutch-in' })
        },
      },
      outAt(
        { what: 'It turns the wrong way, and is coupled', at: 'sense-tried', stopped: 'clutch-in', means: /unscrews/ },
        { sense: 'clockwise' },
      ),
      leftIn(
        'A clamp stays under the head',
        'foot-pull',
        { 'clamps-on out': 1 },
        /Clamps under the column: 2 went in, 1 came out/,
      ),
      outAt(
        { what: 'The head shaft runs out', at: 'lift-set', stopped: 'nut-locked', means: /a kink/ },
        { 'head-run asLeft': 0.3 },
      ),
    ]),
    ...on(DEEP, [
      {
        what: 'Two bowls are exchanged',
        at: 'closed-s4',
        does: bench => bench.does('closed-s4', { hands: { 'bowl@s4': 'bowl@s5' } }),
        says: /is in the hand for/,
        means: /Bowl, stage 5/,
        stopped: 'closed-s4',
        noticed: 'at once',
      },
      inHand('Two line shafts are exchanged', 'length-on-p5', { 'line-shaft@p5': 'line-shaft@p4' }, /length 4/),
      stands('A split ring looks the wrong way', 'stage-s1', 'collets-way', 'the bevelled side', 'closed-s1', /climbs/),
      outAt(
        {
          what: 'The lift is set as for a short line',
          at: 'lift-set',
          stopped: 'nut-locked',
          means: /touches in front|grind/,
        },
        lifted(2.4),
      ),
    ]),
  ],
}
