import type { ServerResponse } from 'node:http'

/** A postcode directory of the invented valley and of the towns people of the demo come from. */
const places: Record<string, Record<string, { town: string; region: string }[]>> = {
  Austria: {
    '6800': [{ town: 'Vallorne', region: 'Oberland' }],
    '6801': [
      { town: 'Oberfeld', region: 'Oberland' },
      { town: 'Hochsattel', region: 'Oberland' },
    ],
    '6150': [{ town: 'Steinach', region: 'Wipptal' }],
    '6170': [{ town: 'Tannberg', region: 'Unterland' }],
  },
  France: {
    '73210': [{ town: 'Arvelle', region: 'Haute-Vallée' }],
    '73300': [{ town: 'Arlac', region: 'Haute-Vallée' }],
  },
  Italy: { '39040': [{ town: 'Lumira', region: 'Valdora' }] },
}

/** `GET /places/COUNTRY/POSTCODE` answers the towns of a postcode, none where it is unknown. */
export async function answerPlaces(url: URL, response: ServerResponse) {
  const [, , country = '', postcode = ''] = url.pathname.split('/').map(decodeURIComponent)
  const found = places[country]?.[postcode.replace(/\s/g, '')] ?? []
  response.writeHead(200, { 'Content-Type': 'application/json' }).end(JSON.stringify(found))
}
