/** What was done between overhauls at Thornmere, by tag, the oldest first. */
interface DemoService {
  service: string
  on: string
  hours: number
  uses?: Record<string, number>
  note?: string
}

/** Both bearing housings of a pump, once before the campaign and once in it. */
const oil = (...done: [on: string, hours: number, note?: string][]): DemoService[] =>
  done.map(([on, hours, note]) => ({ service: 'oil', on, hours, ...(note ? { note } : {}) }))

export const SERVICES: Record<string, DemoService[]> = {
  'G-402': [
    { service: 'sample', on: '2026-02-04', hours: 37300, note: 'Iron up a little, no water' },
    { service: 'oil', on: '2026-03-16', hours: 38000 },
    { service: 'sample', on: '2026-09-21', hours: 39900, note: 'Iron doubled since February' },
  ],
  'G-117': [
    { service: 'sample', on: '2026-06-08', hours: 25100 },
    { service: 'sample', on: '2026-09-28', hours: 26500, note: 'As clean as after the overhaul' },
  ],
  'X-510': [{ service: 'blades', on: '2026-07-13', hours: 10800, uses: { washings: 410 }, note: 'Row B scored' }],
  'X-511': [
    { service: 'blades', on: '2026-06-15', hours: 7300, uses: { washings: 352 } },
    { service: 'blades', on: '2026-10-12', hours: 7800, uses: { washings: 421 } },
  ],
  'D-117': [
    { service: 'brushes', on: '2026-02-16', hours: 30700 },
    { service: 'grease', on: '2026-08-03', hours: 31900 },
  ],
  'D-118': [{ service: 'brushes', on: '2026-03-09', hours: 27800, note: 'Four brushes of arm 2 renewed' }],
  'K-541': [
    { service: 'oil', on: '2024-05-13', hours: 21100 },
    { service: 'oil', on: '2026-09-21', hours: 30900, note: 'No acid' },
  ],
  'K-542': [{ service: 'oil', on: '2025-03-10', hours: 23400, note: 'A trace of acid; drier renewed as well' }],
  'U-131': [
    { service: 'grease', on: '2026-10-12', hours: 31000 },
    { service: 'look', on: '2026-10-12', hours: 31000, note: 'Line whole, no crumbs' },
  ],
  'U-132': [
    { service: 'grease', on: '2026-07-20', hours: 27100 },
    { service: 'look', on: '2026-10-12', hours: 28000, note: 'Line broken: the hub has crept' },
  ],
  'V-351': [{ service: 'rise', on: '2026-10-26', hours: 23300, note: 'Rises 0.3 kPa in ten minutes' }],
  'P-621': [{ service: 'tell', on: '2026-11-09', hours: 23900, note: 'Dry' }],
  'P-622': [{ service: 'tell', on: '2026-11-09', hours: 22300, note: 'A little frost' }],
  'P-481': [{ service: 'grease', on: '2026-09-14', hours: 14900 }],
  'P-482': [{ service: 'quench', on: '2026-11-16', hours: 15800, note: 'A drop of white' }],
  'P-361': [{ service: 'rings', on: '2026-10-05', hours: 17600 }],
  'P-171': [{ service: 'dose', on: '2026-11-16', hours: 8900, note: '244 mL' }],
  'P-172': [{ service: 'foot', on: '2026-11-09', hours: 8200 }],
  'W-831': [{ service: 'oil', on: '2026-06-15', hours: 28300 }],
  'W-832': [{ service: 'drip', on: '2026-11-02', hours: 29400, note: '44 in a minute' }],
  'A-271': [{ service: 'grease', on: '2026-10-12', hours: 23900 }],
  'A-272': [{ service: 'flush', on: '2026-11-09', hours: 23700, note: '0.14 MPa over the vessel' }],
  'H-711': [{ service: 'silencers', on: '2026-09-28', hours: 8700 }],
  'L-21': [{ service: 'chain', on: '2026-10-05', hours: 402 }],
  'L-22': [{ service: 'chain', on: '2026-08-10', hours: 560 }],
  'E-431': oil(['2022-09-05', 29800], ['2024-02-12', 39400], ['2026-06-08', 50900]),
  'E-432': [...oil(['2024-03-18', 31700]), { service: 'rings', on: '2026-11-02', hours: 43700, note: 'All turn' }],
  'C-611': [
    { service: 'grease', on: '2026-10-19', hours: 24600 },
    { service: 'trip', on: '2026-08-31', hours: 24100, note: 'Tripped at 236 N' },
  ],
  'C-612': [{ service: 'trip', on: '2026-03-23', hours: 19700, note: 'Tripped at 251 N, set back to 240' }],
  'B-401': oil(['2025-02-10', 12100], ['2026-04-20', 18700]),
  'B-402': oil(['2025-03-03', 9800], ['2026-06-08', 16600]),
  'R-118': [{ service: 'oil', on: '2026-02-09', hours: 23600 }],
  'R-121': [{ service: 'grease', on: '2026-08-10', hours: 14100 }],
  'P-214A': oil(['2025-09-08', 6700], ['2026-06-22', 8950], ['2026-09-14', 9100]),
  'P-214B': oil(['2025-09-08', 7900], ['2026-06-22', 10400, 'Milky at the drive end']),
  'P-215': oil(['2026-01-12', 3300], ['2026-08-17', 4300]),
  'P-221': oil(['2026-01-12', 9300], ['2026-09-07', 12100]),
  'P-310': oil(['2025-09-15', 10000], ['2026-06-29', 13200]),
  'P-311': oil(['2026-05-04', 6000]),
  'P-324': oil(['2026-01-19', 4900], ['2026-09-07', 7300]),
  'P-325': oil(['2026-01-19', 7000], ['2026-08-24', 9400]),
  'P-410': oil(['2026-03-02', 5500], ['2026-10-05', 7000]),
  'P-440': oil(['2026-08-31', 11900]),
  'P-530': oil(['2026-07-20', 3500]),
  'P-531': oil(['2026-07-20', 7000], ['2026-11-02', 7800]),
}
