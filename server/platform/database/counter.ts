import { QueryTypes, type Sequelize } from 'sequelize'

const series = {
  applications: 'numbers_applications',
  vouchings: 'numbers_vouchings',
  receipts: 'numbers_receipts',
  'cover-sheets': 'numbers_cover_sheets',
  enquiries: 'numbers_enquiries',
  reports: 'numbers_reports',
  charges: 'numbers_charges',
} as const

/**
 * The next number of a series, from 1. Nobody waits for anybody: a number drawn in work that is undone is left out, and
 * none is given twice.
 */
export async function nextNumber({ sequelize }: { sequelize: Sequelize }, name: keyof typeof series): Promise<number> {
  const [row] = await sequelize.query<{ value: number | bigint }>(`SELECT NEXT VALUE FOR ${series[name]} AS value`, {
    type: QueryTypes.SELECT,
  })
  return Number(row!.value)
}

/** Makes the series, each going on where its row among the counters stood. */
export async function beginSeries(sequelize: Sequelize) {
  for (const [name, sequence] of Object.entries(series)) {
    const [row] = await sequelize.query<{ value: number | bigint }>('SELECT value FROM counters WHERE name = :name', {
      replacements: { name },
      type: QueryTypes.SELECT,
    })
    await sequelize.query(`CREATE SEQUENCE ${sequence} START WITH ${Number(row?.value ?? 0) + 1} CACHE 20`)
  }
  await sequelize.query('DROP TABLE counters')
}
