import type { PersonPlan } from '../plan'

const plain = { studies: [], jobs: [], credentials: [], vacancy: 'lift-attendant' }

/** Who wants to look after a lift for a season, and pays for the course: each stands somewhere else with it. */
export const liftAttendants: PersonPlan[] = [
  {
    ...plain,
    ...{ given: 'Ronja', family: 'Abendroth', born: '2003-05-14', town: '6800 Vallorne', country: 'Austria' },
    phone: '+43 5552 555 0171',
    fees: { course: { facts: { lift: 'Gondola', apprentice: 'no', copies: '1' } } },
    sent: -19,
    acts: [],
  },
  {
    ...plain,
    ...{ given: 'Samir', family: 'Benali', born: '2006-09-02', town: '6800 Vallorne', country: 'Austria' },
    phone: '+43 5552 555 0172',
    fees: { course: { facts: { lift: 'Chairlift', apprentice: 'yes', copies: '0' }, proof: 'apprentice' } },
    sent: -3,
    acts: [],
  },
  {
    ...plain,
    ...{ given: 'Elin', family: 'Vasser', born: '1998-01-23', town: '6774 Karwen', country: 'Austria' },
    phone: '+43 5552 555 0173',
    fees: { course: { facts: { lift: 'Chairlift', apprentice: 'no', copies: '2' }, leftOut: ['meals'] } },
    sent: -6,
    acts: [],
  },
  {
    ...plain,
    ...{ given: 'Pavle', family: 'Drnovec', born: '2001-12-08', town: '6800 Vallorne', country: 'Austria' },
    phone: '+43 5552 555 0174',
    fees: { course: { facts: { lift: 'Gondola', apprentice: 'no', copies: '0' } } },
    sent: -9,
    acts: [],
  },
  {
    ...plain,
    ...{ given: 'Mika', family: 'Lund', born: '1999-03-30', town: '6774 Karwen', country: 'Austria' },
    phone: '+43 5552 555 0175',
    fees: { course: { facts: { lift: 'Chairlift', apprentice: 'no', copies: '1' } } },
    sent: -5,
    acts: [],
  },
  {
    ...plain,
    ...{ given: 'Jorun', family: 'Aske', born: '2002-10-11', town: '6774 Karwen', country: 'Austria' },
    phone: '+43 5552 555 0176',
    fees: { course: { facts: { lift: 'Gondola', apprentice: 'no', copies: '1' } } },
    sent: -3,
    acts: [],
  },
  {
    ...plain,
    ...{ given: 'Resi', family: 'Thaler', born: '1995-07-19', town: '6800 Vallorne', country: 'Austria' },
    phone: '+43 5552 555 0177',
    fees: { course: { facts: { lift: 'Chairlift', apprentice: 'no', copies: '0' } } },
    sent: -18,
    acts: [],
  },
  {
    ...plain,
    ...{ given: 'Till', family: 'Gruber', born: '2000-02-17', town: '6800 Vallorne', country: 'Austria' },
    phone: '+43 5552 555 0178',
    fees: { course: { facts: { lift: 'Chairlift', apprentice: 'no', copies: '1' }, leftOut: ['meals'] } },
    sent: -22,
    acts: [],
  },
]
