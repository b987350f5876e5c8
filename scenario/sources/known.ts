import { inTransaction } from '#server/platform/database/connection'
import { importAwards } from '#server/sources/awards'
import { listResearch, readAsSecond, readResearch, saveResearch } from '#server/sources/research'
import { depsAt, type World } from '../world'

/** A list as a registrar's office sends it once a year; all of them invented. */
const graduates = `number;name;born;award;subject;awarded
TB-2018-9034;Ilse Vandermeer;1992-02-18;MSc;Electrical Engineering;2018-03
TB-2019-4410;Konrad Aldermann;1994-05-02;BSc;Automation;2019-07
TB-2020-1177;Ottoline Brask;1995-11-30;MSc;Civil Engineering;2020-09
TB-2016-2290;Rasmus Tveit;1991-01-14;BSc;Energy Engineering;2016-02
TB-2021-0063;Dorothea Quill;1997-08-09;MSc;Electrical Engineering;2021-03
TB-2017-5521;Emeka Lindholm;1990-04-27;BSc;Electrical Engineering;2017-10
TB-2019-9920;Greta Aschenbach;1997-05-16;BSc;Energy Engineering;2019-09
TB-2022-7005;Sunniva Ferrer;1998-12-05;MSc;Civil Engineering;2022-07`

/** Awards an institution has told us of; one new programme that waits for its second reader, and one that was not recognised. */
export async function knowSome(world: World) {
  const deps = depsAt(world, -2)
  const [ines, anselm] = [world.desk.coordinator!, world.desk.administrator!]
  const within = <T>(work: () => Promise<T>) => inTransaction(world.fixed.sequelize, work)
  await within(() => importAwards(deps, ines, world.sourceIds.get('tannberg')!, Buffer.from(graduates)))
  const { rows } = await listResearch(ines, 'open')
  const found = async (title: string, recognised: boolean, comparableTo: string, why: string) => {
    const row = rows.find(({ programme }) => programme.title === title)
    if (!row) throw new Error(`nobody has named ${title}`)
    const { version, programme } = await readResearch(ines, row.id)
    const outcome = {
      level: programme.level,
      field: programme.field,
      recognised,
      comparableTo,
      why,
      from: 2004,
      to: null,
    }
    const consulted = [
      { what: 'Nordic register of technical programmes', link: 'https://register.nordictech.example/programmes' },
      { what: 'Rang the school office, Ms Halvorsen', link: '' },
    ]
    await within(() => saveResearch(deps, ines, row.id, { version, consulted, outcome, concluded: true }))
    return row.id
  }
  const short = await found(
    'Rigging and Lifting',
    false,
    'A course of nine weeks',
    'The certificate is given after nine weeks and one examination; the register lists it as further training.',
  )
  const { version } = await readResearch(anselm, short)
  await within(() => readAsSecond(deps, anselm, short, { version, agrees: true }))
  await found(
    'Mechanical Inspection',
    true,
    'Our two-year technical diploma in mechanics',
    'Two years full time after a trade certificate, with 40 weeks in companies; the same subjects as ours.',
  )
}
