import type { Variants } from '../../core/sheet/index.ts'
import type { Read } from '../sheets.ts'
import { M1 } from './m1.ts'
import { M2 } from './m2.ts'
import { M3 } from './m3.ts'
import { M4 } from './m4.ts'
import { M5 } from './m5.ts'
import { M6 } from './m6.ts'
import { M10 } from './m10.ts'
import { M11 } from './m11.ts'
import { M12 } from './m12.ts'
import { M13 } from './m13.ts'
import { M14 } from './m14.ts'
import { M15 } from './m15.ts'
import { M16 } from './m16.ts'
import { M17 } from './m17.ts'
import { M18 } from './m18.ts'
import { M19 } from './m19.ts'
import { M20 } from './m20.ts'
import { M7 } from './m7.ts'
import { M8 } from './m8.ts'
import { M9 } from './m9.ts'

/** A family gone through: its sheet, and what is read of a machine in good order. */
export interface Walk {
  sheet: string
  machine: string
  figures: (variants: Variants) => Read
}

export const WALKS: Walk[] = [
  { sheet: 'm1-torsional-coupling', machine: 'Slicer coupling', figures: M1 },
  { sheet: 'm2-lever-hoist', machine: 'Hoist of the sugar end', figures: M2 },
  { sheet: 'm3-cycloidal-reducer', machine: 'Beet conveyor drive', figures: M3 },
  { sheet: 'm4-dosing-pump', machine: 'Antifoam pump', figures: () => M4 },
  { sheet: 'm5-reciprocating-compressor', machine: 'Juice-cooler compressor', figures: () => M5 },
  { sheet: 'm6-sleeve-bearing-motor', machine: 'Motor of the carbonation gas fan', figures: () => M6 },
  { sheet: 'm7-vertical-bowl-pump', machine: 'Well pump', figures: M7 },
  { sheet: 'm8-scraped-surface-exchanger', machine: 'Syrup crystalliser', figures: M8 },
  { sheet: 'm9-dc-motor', machine: 'Juice-press motor', figures: () => M9 },
  { sheet: 'm10-gear-unit', machine: 'Lime-kiln gear unit', figures: () => M10 },
  { sheet: 'm11-vacuum-gear-pump', machine: 'Filter vacuum pump', figures: M11 },
  { sheet: 'm12-turbo-blower', machine: 'Carbonation gas blower', figures: M12 },
  { sheet: 'm13-agitator', machine: 'Syrup mixer', figures: M13 },
  { sheet: 'm14-axially-split-pump', machine: 'Raw-juice pump', figures: () => M14 },
  { sheet: 'm15-sanitary-pump', machine: 'Thin-juice pump', figures: M15 },
  { sheet: 'm16-cartridge-seal-pump', machine: 'Lime-milk pump', figures: () => M16 },
  { sheet: 'm17-decanter', machine: 'Lime-mud separator', figures: M17 },
  { sheet: 'm18-linear-conveyor', machine: 'Scrap conveyor of the packing line', figures: M18 },
  { sheet: 'm19-rotary-vane-pump', machine: 'Drier gas pump', figures: () => M19 },
  { sheet: 'm20-dual-seal', machine: 'Lime-milk seal', figures: () => M20 },
]
