import { describe, expect, it } from 'vitest'
import { sheetNamed } from '../../../tests/sheets.ts'
import { SUMS_BY_NAME } from '../../sums/index.ts'
import { readSheet, type Sheet } from '../index.ts'
import { examineSheet } from './index.ts'

/** A small sound sheet, one thing of it done wrong, and the sentence that names it. */

type Item = any // eslint-disable-line @typescript-eslint/no-explicit-any
type Wrong = [what: string, does: (of: (list: keyof Sheet, id: string) => Item, sheet: Item) => void, sentence: string]

const faultsOf = (name: string, does: Wrong[1] = () => {}) => {
  const sheet = readSheet(structuredClone(sheetNamed(name))) as unknown as Item
  does((list, id) => sheet[list].find((one: Item) => one.id === id), sheet)
  return examineSheet(sheet, SUMS_BY_NAME)
}

/** A cause with one sign, by a check and by a look. */
const because = (sign: Item) => ({
  id: 'dry',
  say: 'It ran dry',
  advice: 'Find out why',
  signs: [{ weighs: 1, ...sign }],
})
const cause = (more: Item) => because({ check: 'soft-out', answers: ['flat'], ...more })
const seen = (more: Item) => because({ look: 'faces', codes: ['checks'], ...more })

const CASES: Record<string, Wrong[]> = {
  'dual-seal': [
    ['a look at no part', of => (of('looks', 'faces').of = ['moon']), 'look faces is of an unknown part moon'],
    ['a look at a part twice', of => of('looks', 'faces').of.push('face@in'), 'look faces names face@in twice'],
    ['a look at no step', of => (of('looks', 'faces').step = 'moon'), 'look faces is taken at an unknown step moon'],
    [
      'a look that goes at no step',
      of => (of('looks', 'faces').gone = 'moon'),
      'look faces is gone with an unknown step moon',
    ],
    [
      'a look that is gone before it is taken',
      of => (of('looks', 'faces').gone = 'mark'),
      'look faces is gone with mark, which does not come after springs-out',
    ],
    [
      'a look by zones that has none',
      of => (of('looks', 'faces').on = 'zones'),
      'look faces is told by zones, and has not two of them',
    ],
    [
      'a look by the hour that has zones',
      of => (of('looks', 'faces').zones = ['bore', 'edge']),
      'look faces has zones, and is told by the hour',
    ],
    [
      'a look with one face',
      of => (of('looks', 'faces').faces = ['front']),
      'look faces has one face: say which ones it has, or none',
    ],
    ['a face twice', of => (of('looks', 'faces').faces = ['front', 'front']), 'look faces has the face “front” twice'],
    [
      'a code that is there already',
      of =>
        (of('looks', 'faces').also = [
          { id: 'chip', say: 'Chip', tells: 'x', grades: [1, 2, 3].map(n => ({ say: String(n), proposes: 'ask' })) },
        ]),
      'look faces has the code “chip” twice',
    ],
    [
      'a cause that nothing speaks for',
      (_, sheet) => (sheet.causes = [cause({ weighs: -1 })]),
      'cause dry has nothing that speaks for it',
    ],
    [
      'a cause by two things at once',
      (_, sheet) => (sheet.causes = [cause({ look: 'faces', codes: ['checks'] })]),
      'cause dry goes by a complaint, a check or a look: one of them in every sign',
    ],
    [
      'a cause by an answer there is not',
      (_, sheet) => (sheet.causes = [cause({ answers: ['moon'] })]),
      'cause dry goes by “moon”, which is no answer to soft-out',
    ],
    [
      'a cause by a side of what is asked',
      (_, sheet) => (sheet.causes = [cause({ answers: undefined, side: 'low' })]),
      'cause dry goes by a side of soft-out, which is asked',
    ],
    [
      'a cause by a check there is not',
      (_, sheet) => (sheet.causes = [cause({ check: 'moon' })]),
      'cause dry goes by an unknown check moon',
    ],
    [
      'a cause by a finding there is not',
      (_, sheet) => (sheet.causes = [seen({ codes: ['moon'] })]),
      'cause dry goes by “moon”, which is no finding of faces',
    ],
    [
      'a cause by a part that is not looked at',
      (_, sheet) => (sheet.causes = [seen({ of: ['collar'] })]),
      'cause dry goes by collar, which faces is not of',
    ],
    [
      'a cause by parts of a check',
      (_, sheet) => (sheet.causes = [cause({ of: ['soft@out'] })]),
      'cause dry goes by parts of soft-out, which is a check',
    ],
    [
      'a cause by how bad nothing is',
      (_, sheet) => (sheet.causes = [cause({ grade: 2 })]),
      'cause dry has a grade, and no findings that it is of',
    ],
    [
      'a cause by a complaint there is not',
      (_, sheet) => (sheet.causes = [{ ...cause({}), signs: [{ reported: 'moon', weighs: 1 }] }]),
      'cause dry goes by an unknown complaint moon',
    ],
    [
      'a cause by more than a complaint',
      (_, sheet) => (sheet.causes = [{ ...cause({}), signs: [{ reported: 'leaks', clean: true, weighs: 1 }] }]),
      'cause dry says of the complaint leaks more than that it was reported',
    ],
    [
      'a cause by a check, and not by what of it',
      (_, sheet) => (sheet.causes = [cause({ answers: undefined })]),
      'cause dry says of soft-out not one thing that it may be',
    ],
    [
      'a cause that weighs nothing',
      (_, sheet) => (sheet.causes = [{ ...cause({}), signs: [...cause({}).signs, ...cause({ weighs: 0 }).signs] }]),
      'cause dry has a sign that weighs nothing',
    ],
    [
      'a cause that is called other',
      (_, sheet) => (sheet.causes = [{ ...cause({}), id: 'other' }]),
      'cause other is called what stands for none of them',
    ],
    ['two causes of one name', (_, sheet) => (sheet.causes = [cause({}), cause({})]), 'two causes are called dry'],
    [
      'a cause that is said, and none there',
      of => (of('steps', 'decide').saysCause = true),
      'step decide says a cause, and the sheet has none',
    ],
    [
      'a cause said before what tells of it is read',
      (of, sheet) => {
        sheet.causes = [seen({})]
        of('steps', 'face-off-in').saysCause = true
      },
      'cause dry goes by faces, which is not read before face-off-in',
    ],
    [
      'a cause said twice',
      (of, sheet) => {
        sheet.causes = [cause({})]
        of('steps', 'decide').saysCause = true
        of('steps', 'springs-in').saysCause = true
      },
      'step springs-in says a cause, and so does decide: it is said once',
    ],
    ['two looks of one name', (_, sheet) => sheet.looks!.push({ ...sheet.looks![0]! }), 'two looks are called faces'],
    [
      'a complaint that leads nowhere',
      of => (of('complaints', 'leaks').look = {}),
      'complaint leaks leads nowhere: say what to look at first',
    ],
    [
      'a complaint that goes by no look',
      of => (of('complaints', 'leaks').look.looks = ['moon']),
      'complaint leaks goes by an unknown look moon',
    ],
    [
      'a complaint that looks at no check',
      of => (of('complaints', 'leaks').look.checks = ['moon']),
      'complaint leaks looks at an unknown check moon',
    ],
    [
      'a mark to a datum that is on no part',
      (_, sheet) => delete sheet.assemblies[1].datum.on,
      'mate seat-index goes by the datum of still, which does not say what part it is on',
    ],
    [
      'a datum on no part there is',
      (_, sheet) => (sheet.assemblies[1].datum.on = 'moon'),
      'the datum of assembly still is on an unknown part moon',
    ],
    [
      'a mark to no datum',
      of => (of('mates', 'seat-index').a = '@moon'),
      'mate seat-index names an unknown part @moon',
    ],
    [
      'a mark of a part to itself',
      of => (of('mates', 'seat-index').b = '@still'),
      'mate seat-index has gland on both sides',
    ],
  ],
  'four-bearing-fit-up': [
    ['two steps of one name', (_, sheet) => sheet.steps.push({ ...sheet.steps[0] }), 'two steps are called isolate'],
    ['a mark of nothing', of => (of('steps', 'read').marks = ['moon']), 'step read marks an unknown mate moon'],
    [
      'a reading that is destroyed and never taken',
      of => (of('steps', 'read').destroys = [{ check: 'float', moment: 'inspect' }]),
      'step read destroys an unknown reading float inspect',
    ],
    [
      'a step over what comes after it',
      of => (of('steps', 'caps-pull').over = ['cover-on']),
      'step caps-pull lies over cover-on, which does not come before it',
    ],
    [
      'a check mended that is none',
      of => (of('steps', 'read').mends = ['moon']),
      'step read mends an unknown check moon',
    ],
    [
      'a joint that is none',
      of => (of('steps', 'caps-pull').joint.id = 'moon'),
      'step caps-pull works an unknown joint moon',
    ],
    [
      'something left until never',
      of => (of('steps', 'read').leaves = [{ id: 'rag', what: 'Rag', until: 'moon' }]),
      'step read leaves rag until an unknown step moon',
    ],
    ['a check of nothing', of => (of('checks', 'float').of = ['moon']), 'check float is of an unknown part moon'],
    [
      'a check above nothing',
      of => (of('checks', 'float').above = 'moon'),
      'check float lies above an unknown check moon',
    ],
    ['a check before nothing', of => (of('checks', 'float').before = 'moon'), 'check float stops an unknown step moon'],
    [
      'a part of no assembly',
      of => (of('parts', 'cover').assembly = 'moon'),
      'part cover is in an unknown assembly moon',
    ],
    ['a part of no kit', of => (of('parts', 'cover').kit = 'moon'), 'part cover is in an unknown kit moon'],
    [
      'what goes on and never came off',
      of => (of('steps', 'cover-off').removes = ['cover']),
      'cover-gasket is fitted and never came off',
    ],
    [
      'what comes off and never goes back',
      of => (of('steps', 'cover-on').fits = ['cover']),
      'cover-gasket comes off and never goes back',
    ],
    [
      'what goes on before it is off',
      of => (of('steps', 'cover-on').needs = ['isolate']),
      'step cover-on fits cover without first needing it off',
    ],
    [
      'parts laid out with nothing to tell them apart',
      of => (of('parts', 'cap').keep = 'lay'),
      'part cap has several places and is laid out with nothing to tell them apart',
    ],
    [
      'a check with no limits',
      of => (of('checks', 'float').limits = {}),
      'check float has no limits and does not say why',
    ],
    [
      'a check with none at one moment',
      of => (of('checks', 'float').at[0].limits = {}),
      'check float has no limits and does not say why',
    ],
    [
      'a check with no source',
      of => (of('checks', 'float').source = ''),
      'check float does not say where its limits come from',
    ],
    ['a check that is never taken', of => (of('checks', 'float').at = []), 'check float is never taken'],
    [
      'a span turned round',
      of => (of('checks', 'float').span = [5, -2]),
      'check float has a span that is turned round: 5 to -2',
    ],
    [
      'limits turned round',
      of => (of('checks', 'float').limits = { min: 0.6, max: 0.5 }),
      'check float has limits that are turned round',
    ],
    [
      'limits turned round at one moment',
      of => (of('checks', 'float').at[1].limits = { min: 0.6, max: 0.5 }),
      'check float has limits that are turned round',
    ],
    [
      'a best figure beside its limits',
      of => (of('checks', 'float').limits = { min: 0.2, max: 0.5, best: 0.6 }),
      'check float has limits that are turned round',
    ],
    [
      'a best figure under its least',
      of => (of('checks', 'float').limits = { min: 0.2, best: 0.1 }),
      'check float has limits that are turned round',
    ],
    ['no place', of => (of('checks', 'float').stations = []), 'check float has a list of places with no place in it'],
    ['no plane', of => (of('checks', 'float').planes = []), 'check float has a list of planes with no plane in it'],
    [
      'a fit there is not',
      of => (of('checks', 'float').fit = { nominalMm: 60, hole: 'H7', shaft: 'zz9' }),
      'check float has no such fit as 60 zz9',
    ],
    [
      'a way of measuring there is not',
      of => (of('checks', 'float').kind = 'endfloat'),
      'check float is of kind “endfloat”, which is no way of measuring',
    ],
    ['a sum that is not named', of => delete of('checks', 'float-agree').sum, 'check float-agree names no sum'],
    [
      'a sum beside a gauge',
      of => (of('checks', 'float').sum = { name: 'agree', trend: 'apartMm' }),
      'check float has “sum”, which only a check of kind sum has',
    ],
    [
      'a sum there is not',
      of => (of('checks', 'float-agree').sum.name = 'moon'),
      'check float-agree is worked out by an unknown sum moon',
    ],
    [
      'a sum that may run long',
      of => (of('checks', 'float-agree').sum = { name: 'stack-trial', trend: 'meanMm' }),
      'which may run long',
    ],
    [
      'a field the sum does not take',
      of => (of('checks', 'pinch-hs-de').sum.given = { freshWireMm: 0.6, moon: 1 }),
      'check pinch-hs-de fixes moon, which pinch does not take',
    ],
    [
      'a figure beyond what the sum takes',
      of => (of('checks', 'pinch-hs-de').sum.given = { freshWireMm: -1 }),
      'check pinch-hs-de fixes freshWireMm, which is no figure it can take',
    ],
    [
      'rows of what has none',
      of => (of('checks', 'pinch-hs-de').sum.rows = { freshWireMm: [{ name: 'x' }] }),
      'check pinch-hs-de has rows for freshWireMm, which pinch does not take so',
    ],
    ['no rows', of => delete of('checks', 'pinch-hs-de').sum.rows, 'check pinch-hs-de does not say the rows of ends'],
    [
      'a column there is not',
      of => (of('checks', 'pinch-hs-de').sum.rows.ends[0].moon = 1),
      'check pinch-hs-de fixes moon of drive end, which is not in pinch',
    ],
    [
      'a figure taken from nowhere',
      of => (of('checks', 'float-agree').sum.from.firstMm = 'moon@build'),
      'check float-agree takes firstMm from an unknown check moon',
    ],
    [
      'a figure taken before it is read',
      of => (of('checks', 'float-agree').sum.from.firstMm = 'float@inspect'),
      'check float-agree takes firstMm from float at inspect, where it is not read yet',
    ],
    [
      'a figure taken from what is no figure',
      of => (of('checks', 'float-agree').sum.from.firstMm = 'float'),
      'check float-agree takes firstMm from “float”, which names no check@moment.figure',
    ],
    [
      'a figure the other does not give',
      of => (of('checks', 'float-agree').sum.from.firstMm = 'float@build.moon'),
      'check float-agree takes firstMm from float.moon, which it does not give',
    ],
    [
      'a figure of another kind',
      of => (of('checks', 'float-agree').sum.from.firstMm = 'skew-hs-de@build.value'),
      'check float-agree takes firstMm from skew-hs-de',
    ],
    [
      'the mass of a step there is not',
      of => (of('checks', 'float-agree').sum.from.firstMm = 'mass@moon'),
      'check float-agree takes firstMm from the mass of an unknown step moon',
    ],
    [
      'a figure shown that nothing works out',
      of => (of('steps', 'float-shut').shows = ['float-agree@asLeft.moon']),
      'step float-shut shows float-agree@asLeft.moon, a figure that float-agree does not work out',
    ],
    [
      'a figure shown of a check there is not',
      of => (of('steps', 'float-shut').shows = ['moon@build.value']),
      'step float-shut shows “moon@build.value”, which names no check@moment.figure of this sheet',
    ],
    [
      'a field asked for that is none',
      of => (of('checks', 'float-agree').sum.also = ['moon']),
      'check float-agree asks for moon, which agree does not take',
    ],
    [
      'a figure looked at that is none',
      of => (of('checks', 'float-agree').sum.trend = 'moon'),
      'check float-agree looks at moon over the years, which agree does not give',
    ],
    [
      'a figure in another unit',
      of => (of('checks', 'float-agree').unit = 'bar'),
      'check float-agree is in bar, and apartMm is not',
    ],
    [
      'what is worked out from itself',
      of => {
        of('checks', 'float-agree').sum.from.secondMm = 'float-agree@asLeft.apartMm'
      },
      'float-agree',
    ],
    [
      'something fitted for good inside a loop',
      of => (of('steps', 'read').closes = true),
      'step read fits, takes off or shuts for good inside loop fit-up: a trial is put on and taken off',
    ],
    [
      'a service with no interval',
      (_, sheet) => (sheet.service.also = [{ id: 'oil', name: 'Oil changed' }]),
      'service oil has no interval: hours, months or uses',
    ],
    [
      'a service that comes round at once',
      (_, sheet) => (sheet.service.also = [{ id: 'oil', name: 'Oil changed', uses: { every: 0, of: 'starts' } }]),
      'service oil comes round every 0',
    ],
    ['an overhaul that never ends', (_, sheet) => (sheet.service.months = 0), 'an overhaul comes round every 0'],
    [
      'a service at a step that is none',
      (_, sheet) => (sheet.service.also = [{ id: 'oil', name: 'Oil changed', months: 6, step: 'moon' }]),
      'service oil is done at an unknown step moon',
    ],
    [
      'a service at a step that may be left out',
      (of, sheet) => {
        of('steps', 'read').skip = 'fitter'
        sheet.service.also = [{ id: 'oil', name: 'Oil changed', months: 6, step: 'read' }]
      },
      'service oil is done at step read, which may be left out',
    ],
    [
      'two services of one name',
      (_, sheet) =>
        (sheet.service.also = [
          { id: 'oil', name: 'Oil changed', months: 6 },
          { id: 'oil', name: 'Oil sampled', months: 1 },
        ]),
      'two services are called oil',
    ],
    [
      'a service by a paper for nothing',
      (_, sheet) => (sheet.service.also = [{ id: 'oil', name: 'Oil changed', months: 6, doer: { by: 'certified' } }]),
      'service oil does not say what its doer is certified for',
    ],
    ['a loop nobody waits for', of => (of('steps', 'lay-in').needs = ['caps-off']), 'no step waits for loop fit-up'],
    [
      'a hold on what is said only as its step is confirmed',
      of => (of('steps', 'lay-in').hold = { by: 'lead' }),
      'the hold at lay-in signs for what is said only as lay-in is confirmed',
    ],
    [
      'a loop with no checks',
      of => (of('loops', 'fit-up').until = []),
      'loop fit-up never comes out good: it has no checks',
    ],
    [
      'a trial outside a loop',
      of => (of('steps', 'float-open').trial = { on: ['cover'] }),
      'step float-open puts on for a trial outside a loop',
    ],
    [
      'a trial that is never taken off',
      of => of('steps', 'try-off').trial.off.pop(),
      'is put on for a trial at try-on and never taken off again',
    ],
    [
      'a shaft line there is not',
      of => (of('parts', 'cover').geometry.line = 'moon'),
      'cover sits on an unknown shaft line moon',
    ],
    [
      'what lifts with nothing',
      of => (of('parts', 'cover').liftsWith = 'moon'),
      'cover lifts with an unknown part moon',
    ],
    [
      'work before the machine is safe',
      of => (of('steps', 'cover-off').needs = []),
      'step cover-off lifts, loosens or measures before the machine is made safe',
    ],
    [
      'a gate that may be left out',
      of => (of('steps', 'cover-on').skip = 'lead'),
      'step cover-on shuts, holds or torques and may not be left out',
    ],
    [
      'a medium that is both',
      of => (of('steps', 'lay-in').lubricants = [{ on: 'backs', medium: 'oil', never: 'grease', why: 'x' }]),
      'step lay-in says of backs neither what goes on it nor what never does, or both',
    ],
    [
      'a medium with no reason',
      of => (of('steps', 'lay-in').lubricants = [{ on: 'backs', medium: 'oil', why: '' }]),
      'step lay-in does not say what anything but oil does to backs',
    ],
    [
      'a sign that leads nowhere',
      of => (of('steps', 'read').troubles = [{ sign: 'Tight', means: 'Skew', look: {} }]),
      '“Skew” of read leads nowhere: say what to look at again',
    ],
    [
      'signs that lead to what is not there',
      of =>
        (of('steps', 'read').troubles = [
          { sign: 'Tight', means: 'Skew', look: { mates: ['moon'], steps: ['sun'], checks: ['star'] } },
        ]),
      '“Tight” of read looks at an unknown mate moon',
    ],
  ],
  'drawn-up-joints': [
    [
      'a joint slackened in no order',
      of => (of('joints', 'clamp-joint').slacken = { order: 'four tools at once', how: 'x', why: 'x' }),
      'joint clamp-joint cannot be slackened as written',
    ],
    [
      'a joint with no pattern',
      of => (of('joints', 'clamp-joint').pattern = 'four tools at once'),
      'joint clamp-joint cannot be drawn up as written',
    ],
    [
      'a joint that ends below its torque',
      of => (of('joints', 'clamp-joint').passes = [0.2, 0.5]),
      'joint clamp-joint cannot be drawn up as written',
    ],
    [
      'turned further with nothing snug',
      of => (of('joints', 'nut-joint').turn = { deg: 60, toleranceDeg: 10 }),
      'joint nut-joint is turned further with nothing that makes it snug',
    ],
    [
      'felt one way',
      of => of('joints', 'nut-joint').felt.choices.forEach((one: Item) => (one.met = true)),
      'joint nut-joint can only be felt one way',
    ],
    [
      'locked one way',
      of => of('joints', 'cover-joint').locking.choices.forEach((one: Item) => (one.met = false)),
      'joint cover-joint can only be locked one way',
    ],
    ['nipped by all', of => (of('joints', 'clamp-joint').nip = 2), 'joint clamp-joint is nipped by all of its passes'],
    [
      'nipped by passes it does not say',
      of => delete of('joints', 'clamp-joint').nip,
      'step clamp-nip nips clamp-joint, which does not say by which passes',
    ],
    [
      'nipped and never drawn up',
      of => delete of('steps', 'clamp-up').joint,
      'clamp-joint is nipped at clamp-nip and never drawn up for good',
    ],
  ],
  'blower-clearances': [
    [
      'a mate that is met either way',
      of => (of('mates', 'lobes').rule = { kind: 'seen', ask: 'How?', choices: [{ say: 'so', met: true }] }),
      'mate lobes can only be answered one way',
    ],
    [
      'a mate that is met in no way',
      of => (of('mates', 'lobes').rule = { kind: 'seen', ask: 'How?', choices: [{ say: 'so', met: false }] }),
      'mate lobes can only be answered one way',
    ],
    ['a mate with no mark', of => delete of('mates', 'lobes').mark, 'mate lobes has no mark to be held against'],
    [
      'a distance from nowhere',
      of => (of('mates', 'lobes').rule = { kind: 'distance', toleranceMm: 1, span: [0, 100] }),
      'the mark of lobes does not say where its distance is from',
    ],
    ['a mark no step makes', of => delete of('steps', 'rotors-out').marks, 'no step makes the mark of lobes'],
    ['a mate of nothing', of => (of('mates', 'lobes').a = 'moon'), 'mate lobes names an unknown part moon'],
    [
      'a mate asked nowhere',
      of => (of('mates', 'lobes').asked = 'moon'),
      'mate lobes is asked at an unknown step moon',
    ],
    [
      'a mate asked too early',
      of => (of('mates', 'lobes').asked = 'measure'),
      'mate lobes is asked at measure, which does not come after',
    ],
    [
      'a mate that stops nothing',
      of => (of('mates', 'lobes').before = 'moon'),
      'mate lobes stops an unknown step moon',
    ],
    [
      'an answer that stands twice',
      of => of('checks', 'burrs').choices.push({ say: 'nothing', verdict: 'Holds' }),
      'check burrs has the answer “nothing” twice',
    ],
    [
      'answers that are all good',
      of => of('checks', 'burrs').choices.splice(1),
      'check burrs can only be answered one way',
    ],
    [
      'an answer that does nothing',
      of => delete of('checks', 'burrs').choices[2].means,
      'check burrs does not say what “scored” does',
    ],
    ['a question that asks nothing', of => delete of('checks', 'burrs').ask, 'check burrs asks nothing'],
    [
      'what can be renewed and is not read again',
      of => of('checks', 'turn').at.pop(),
      'check turn can be renewed away and is not taken again at build',
    ],
    [
      'a choice decided nowhere',
      of => (of('axes', 'depth').decided.step = 'moon'),
      'choice depth is decided at an unknown step moon',
    ],
    [
      'a choice decided at what hangs on it',
      of => (of('axes', 'depth').decided.step = 'rotors-out'),
      'choice depth is decided at step rotors-out, which hangs on it',
    ],
    [
      'an answer the choice has not',
      of => (of('axes', 'depth').decided.else = 'moon'),
      'choice depth proposes an unknown answer moon',
    ],
    [
      'a proposal by nothing',
      of => (of('axes', 'depth').decided.proposes[0].check = 'moon'),
      'choice depth is proposed by an unknown check moon',
    ],
    [
      'a proposal by neither verdict nor answer',
      of => delete of('axes', 'depth').decided.proposes[0].verdict,
      'choice depth is proposed by check gap-top for no verdict or answer that it can have',
    ],
    [
      'a proposal by both',
      of =>
        (of('axes', 'depth').decided.proposes[0] = { check: 'burrs', verdict: 'Out', say: 'scored', choice: 'close' }),
      'choice depth is proposed by check burrs for no verdict or answer that it can have',
    ],
    [
      'a proposal by an answer there is not',
      of => (of('axes', 'depth').decided.proposes[0] = { check: 'burrs', say: 'moon', choice: 'close' }),
      'choice depth is proposed by check burrs for no verdict or answer that it can have',
    ],
  ],
}

describe.each(Object.entries(CASES))('%s', (name, cases) => {
  it('is sound as it is', () => expect(faultsOf(name)).toEqual([]))
  it.each(cases)('%s is a fault', (_, does, sentence) => expect(faultsOf(name, does).join('\n')).toContain(sentence))
  it('a proposal by an answer that is there is none', () =>
    name === 'blower-clearances' &&
    expect(
      faultsOf(
        name,
        of => (of('axes', 'depth').decided.proposes[0] = { check: 'burrs', say: 'scored', choice: 'close' }),
      ),
    ).toEqual([]))
})
