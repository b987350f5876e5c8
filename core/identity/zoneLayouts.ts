export type ZoneField = 'number' | 'born' | 'through' | 'whole'

type Place = readonly [from: number, to: number]

/** Where things stand in a machine-readable zone, counted over all its lines put together. */
export type ZoneLayout = {
  name: 'TD1' | 'TD2' | 'TD3' | 'MRV-A' | 'MRV-B'
  /** What its code begins with, where two layouts have the same lines. */
  begins?: string
  lines: number
  width: number
  issuer: Place
  nationality: Place
  names: Place
  /** Each of these is followed by its check digit. */
  number: Place
  born: Place
  through: Place
  sex: number
  checkPlaces: readonly number[]
  /** A number of more than nine characters goes on here, and its check digit follows it. */
  numberGoesOn?: Place
  /** Visas have none. */
  composite?: { parts: readonly Place[]; digit: number }
}

export const layouts: readonly ZoneLayout[] = [
  // ICAO 9303 part 7, 4.2: visas of the size of a passport's page, and smaller ones.
  {
    name: 'MRV-A',
    begins: 'V',
    lines: 2,
    width: 44,
    issuer: [2, 5],
    names: [5, 44],
    number: [44, 53],
    nationality: [54, 57],
    born: [57, 63],
    sex: 64,
    through: [65, 71],
    checkPlaces: [53, 63, 71],
  },
  {
    name: 'MRV-B',
    begins: 'V',
    lines: 2,
    width: 36,
    issuer: [2, 5],
    names: [5, 36],
    number: [36, 45],
    nationality: [46, 49],
    born: [49, 55],
    sex: 56,
    through: [57, 63],
    checkPlaces: [45, 55, 63],
  },
  // ICAO 9303 part 5, 4.2: cards of the size of a bank card.
  {
    name: 'TD1',
    lines: 3,
    width: 30,
    issuer: [2, 5],
    number: [5, 14],
    born: [30, 36],
    sex: 37,
    through: [38, 44],
    nationality: [45, 48],
    names: [60, 90],
    numberGoesOn: [15, 30],
    checkPlaces: [36, 44, 59],
    composite: {
      parts: [
        [5, 30],
        [30, 37],
        [38, 45],
        [48, 59],
      ],
      digit: 59,
    },
  },
  // ICAO 9303 part 6, 4.2: larger cards.
  {
    name: 'TD2',
    lines: 2,
    width: 36,
    issuer: [2, 5],
    names: [5, 36],
    number: [36, 45],
    nationality: [46, 49],
    born: [49, 55],
    sex: 56,
    through: [57, 63],
    numberGoesOn: [64, 71],
    checkPlaces: [55, 63, 71],
    composite: {
      parts: [
        [36, 46],
        [49, 56],
        [57, 71],
      ],
      digit: 71,
    },
  },
  // ICAO 9303 part 4, 4.2: passports.
  {
    name: 'TD3',
    lines: 2,
    width: 44,
    issuer: [2, 5],
    names: [5, 44],
    number: [44, 53],
    nationality: [54, 57],
    born: [57, 63],
    sex: 64,
    through: [65, 71],
    checkPlaces: [53, 63, 71, 86, 87],
    composite: {
      parts: [
        [44, 54],
        [57, 64],
        [65, 87],
      ],
      digit: 87,
    },
  },
]
