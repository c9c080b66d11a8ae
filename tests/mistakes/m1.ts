import { M1 } from '../walks/m1.ts'
import {
  against,
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

const SMALL = { size: 'small', duty: 'locked', grip: 'keyed', scope: 'bushes' }
const ON_SHAFT = { ...SMALL, scope: 'elements' }
const SOFT = { ...SMALL, duty: 'soft' }

export const M1_MISTAKES: Mistakes = {
  family: 'Torsional coupling',
  sheet: 'm1-torsional-coupling',
  figures: M1,
  mistakes: [
    ...on(ON_SHAFT, [
      startsLocked(),
      outAt(
        {
          what: 'The drum is held by its brake alone',
          at: 'try-start',
          stopped: 'guard-off',
          means: /drum turns, with hands/,
        },
        { held: 'its brake, and nothing else beside it' },
      ),
      early('The adapter comes off before anything is read', 'found', 'adapter-off', /how it ran/, {
        lifts: ['adapter'],
      }),
      early('It is taken apart unmarked', 'mark', 'adapter-off', /which hole was whose/, {
        lifts: ['adapter'],
      }),
      stands('The sleeve goes on a vane round', 'sleeve-on', 'hub-line', 45, 'elements-in', /never wore with/),
      stands(
        'The sleeve goes on thick to thick',
        'sleeve-on',
        'thick-thin',
        'the thick end of a sleeve vane',
        'elements-in',
        /elements crumble/,
      ),
      outAt(
        {
          what: 'The pockets are wider in front than behind',
          at: 'pockets',
          stopped: 'elements-in',
          means: /elements crumble/,
        },
        { 'pocket-front': 34.2 },
      ),
      short('One element is short', 'elements-in', { 'elements in': 15 }, 'drive-on', 'coupling'),
      smeared('The elements go in dry', 'elements-in', 'every element', 'dry', /gone in weeks/),
      outAt(
        { what: 'The hard grade is taken', at: 'look-new', stopped: 'elements-in', means: /every shock/ },
        { shore: 88 },
      ),
      outAt(
        { what: 'The elements of another size are taken', at: 'look-new', stopped: 'elements-in', means: /it is cut/ },
        { across: 36.8 },
      ),
      outAt(
        { what: 'The drive plate drops on by itself', at: 'drive-on', stopped: 'bolts-in', means: /plate is worn/ },
        { 'drive-felt': 'drops on by itself' },
      ),
      stands('The drive plate is a hole round', 'bolts-in', 'drive-line', 45, 'bolts-in', /out of balance/),
      stands('The bolts go in from the gear side', 'bolts-in', 'heads', 'on the gear side', 'bolts-in', /out of reach/),
      smeared(
        'The through bolts are oiled',
        'bolts-in',
        'threads of the through bolts',
        'oil',
        /torque stretches them/,
      ),
      inHand(
        'A lock-up bolt goes in for a through bolt',
        'bolts-in',
        { 'through-bolts': 'lockup-bolts' },
        /Lock-up bolts/,
      ),
      outAt(
        { what: 'It knocks before it takes up', at: 'twisted', stopped: 'rod-out', means: /neighbours tear/ },
        { twist: 'knocks before it takes up' },
      ),
      stands(
        'Soft washers under the lock-up bolts',
        'locked-up',
        'under-heads',
        'the file bites',
        'lockup-pull',
        /go slack and shear/,
      ),
      short('Lock-up bolts are forgotten', 'locked-up', { 'lockup-bolts in': 6 }, 'lockup-pull', 'hand-back'),
      outAt(
        { what: 'The motor stands out of line', at: 'proved', stopped: 'guard-on', means: /eats them/ },
        { 'align asLeft rim': 0.34 },
      ),
      outAt(
        { what: 'A fitting gets three strokes', at: 'greased', stopped: 'guard-on', means: /starts dry/ },
        { 'strokes fitting of the end plate': 3 },
      ),
      slip('The play is read in hundredths', 'found', ['play asFound', 290, 2.9], /lies .* over the limit|span/),
      goesBack(
        {
          what: 'A sleeve with half a millimetre worn into it goes back',
          at: 'look-parts',
          stopped: 'sleeve-on',
          means: /Hard elements/,
        },
        ['vanes', 'sleeve', 'stepped 3'],
      ),
    ]),
    ...on(SMALL, [
      leftSo(
        'Two screws of the guard are loose as it is given back',
        { 'guard-held': 'one or two still turn' },
        /shake out/,
      ),
      outAt(
        { what: 'The nut is backed off 20 mm', at: 'nut-back', stopped: 'hub-loose', means: /flies that far/ },
        { 'nut-gap': 20 },
      ),
      outAt(
        { what: 'The nut hangs by two threads', at: 'nut-back', stopped: 'hub-loose', means: /hub flies with the nut/ },
        { 'nut-threads': 2 },
      ),
      early('The nut comes right off at the puller', 'hub-loose', 'hub-off', /the hub flies/, { lifts: ['shaft-nut'] }),
      outAt(
        { what: 'The hub is judged warm', at: 'taper-bare', stopped: 'blue-on', means: /what it shows is false/ },
        { 'hub-temp': 66 },
      ),
      outAt(
        { what: 'The taper grips at one end', at: 'blue-off', stopped: 'ring-in', means: /cracks there/ },
        { 'contact thin end': 0.4 },
      ),
      outAt(
        { what: 'Another ring is taken', at: 'look-new', stopped: 'ring-in', means: /grease leaks by/ },
        { section: 1.2 },
      ),
      outAt(
        {
          what: 'The bush is loose on its nose',
          at: 'look-new',
          stopped: 'bush-in',
          means: /shuts its own grease way/,
        },
        { 'bush-bore': 100.031 },
      ),
      stands(
        'The bush of the end plate goes on the nose',
        'bush-in',
        'which-bush',
        'a hole right through, and no tapped ones',
        'guides-out',
        /no way for the grease/,
      ),
      stands(
        'The bush goes on with its hole off the way',
        'bush-in',
        'bush-hole',
        'it meets bronze or metal',
        'guides-out',
        /runs dry/,
      ),
      leftIn(
        'A guide stud stays in',
        'guides-out',
        { 'guides out': 1 },
        /Guide studs in the hub: 2 went in, 1 came out/,
      ),
      outAt(
        {
          what: 'Grease comes at the joint of the bush',
          at: 'greased-way',
          stopped: 'drive-bench',
          means: /ring was cut/,
        },
        { 'greased-through': 'within four, at the joint of the bush' },
      ),
      smeared('Oil on the nose', 'bush-in', 'nose of the hub', 'oil', /shuts its way/),
      stands(
        'The end bush goes in back to front',
        'end-bush-in',
        'chamfer',
        'out, to the gear unit',
        'end-bush-pull',
        /shaves off/,
      ),
      stands(
        'The end bush is turned off its notch',
        'end-bush-in',
        'end-hole',
        'opposite the notch',
        'end-bush-pull',
        /solid bronze/,
      ),
      stands('The end plate is a hole round', 'bolts-in', 'end-line', 45, 'bolts-in', /grease fitting is hidden/),
      smeared('Oil on the taper', 'taper-dry', 'taper and key', 'oil', /the hub splits/),
      outAt(
        { what: 'The key touches on top', at: 'taper-dry', stopped: 'hub-up', means: /sits on its key/ },
        { 'key-top': 0.05 },
      ),
      smeared('The nut goes on without locker', 'nut-on', 'thread of the shaft nut', 'dry', /walks off/),
      outAt(
        { what: 'The hub goes up too far', at: 'advanced', stopped: 'rod-out', means: /hub may split/ },
        { 'depth-pulled': 5.9 },
      ),
      outAt(
        { what: 'The hub hardly goes up', at: 'advanced', stopped: 'rod-out', means: /it slips/ },
        { 'depth-pulled': 6.36 },
      ),
      leftIn('The rod is left in its hole', 'rod-out', { 'rod-build out': 0 }, /Threaded rod in a bolt hole/),
      leftIn('The holding bar stays in the drum', 'guard-on', { 'bar out': 0 }, /Holding bar of the drum/),
      hurried('It is loaded while the locker is wet', 'locker', /locker of the shaft nut/),
      outAt(
        { what: 'The line is broken after the run', at: 'after', stopped: 'handed-over', means: /hub creeps/ },
        { 'after-run': 'the line is broken' },
      ),
      goesBack(
        {
          what: 'A hub with red dust all over its taper goes back',
          at: 'look-taper',
          stopped: 'blue-on',
          means: /It slipped/,
        },
        ['taper', 'hub', 'dust 3'],
      ),
      against(
        'Holes out of round stay',
        { 'holes drive plate': 0.6 },
        ['drive-plate', 'reuse'],
        /work on their bolts|is proposed/,
        'look-parts',
      ),
    ]),
    ...on(SOFT, [
      short('A plug is missing', 'locked-up', { 'plugs in': 7 }, 'adapter-on', 'hand-back'),
      smeared('The ring goes in dry', 'ring-in', 'ring of the grease way', 'dry', /is cut/),
    ]),
  ],
}
