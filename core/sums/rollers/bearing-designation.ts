import { readDesignation } from '../../rollers/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { text } from '../fields.ts'

export const bearingDesignationSum = defineSum({
  name: 'bearing-designation',
  craft: 'rollers',
  title: 'Designation',
  about: 'What a bearing’s designation says: sizes, clearance group, and suffixes that change the job.',
  source: 'ISO 15:2017 for boundary dimensions',
  fields: { designation: text('Designation', 30) },
  example: { designation: '6312-2RS C3' },
  work: ({ designation }) =>
    answering(readDesignation(designation), one => ({
      figures: [
        { key: 'type', what: 'Kind', value: one.type },
        { key: 'series', what: 'Series', value: one.series },
        { key: 'boreMm', what: 'Bore', value: one.boreMm, unit: 'mm', decimals: 0 },
        { key: 'outsideMm', what: 'Outside diameter', value: one.outsideMm, unit: 'mm', decimals: 0 },
        { key: 'widthMm', what: 'Width', value: one.widthMm, unit: 'mm', decimals: 0 },
        { key: 'group', what: 'Clearance group', value: one.group },
        { key: 'taperedBore', what: 'Tapered bore', value: one.taperedBore },
        { key: 'closed', what: 'Closed', value: one.closed },
      ],
      working: [line('Bore', '5 × bore code, 00 to 03 apart', designation.trim(), `${say(one.boreMm)} mm`)],
      notes: one.heed,
    })),
})
