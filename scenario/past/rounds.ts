/** A round of hiring that is over: like which post, called what, and when it opened, closed and was to be decided, in days from loading. */
export type Round = { like: string; slug: string; title: string; opened: number; closed: number; decides: number }

export const rounds: readonly Round[] = [
  {
    like: 'cableway-mechanic',
    slug: 'cableway-mechanic-summer',
    title: 'Cableway mechanic, summer round',
    opened: -548,
    closed: -470,
    decides: -445,
  },
  {
    like: 'rack-railway-driver',
    slug: 'rack-railway-driver-summer',
    title: 'Rack-railway driver, summer round',
    opened: -530,
    closed: -440,
    decides: -415,
  },
  {
    like: 'control-room-dispatcher',
    slug: 'dispatcher-winter',
    title: 'Control-room dispatcher, winter round',
    opened: -430,
    closed: -330,
    decides: -300,
  },
  {
    like: 'track-engineer',
    slug: 'track-engineer-winter',
    title: 'Track engineer, winter round',
    opened: -390,
    closed: -290,
    decides: -260,
  },
  {
    like: 'rope-access-inspector',
    slug: 'rope-inspector-spring',
    title: 'Rope-access inspector, spring round',
    opened: -300,
    closed: -190,
    decides: -165,
  },
  {
    like: 'cableway-mechanic',
    slug: 'cableway-mechanic-spring',
    title: 'Cableway mechanic, spring round',
    opened: -240,
    closed: -130,
    decides: -105,
  },
  {
    like: 'cableway-electrical-supervisor',
    slug: 'electrical-supervisor-summer',
    title: 'Cableway electrical supervisor, summer round',
    opened: -170,
    closed: -80,
    decides: -55,
  },
]
