export type Place = { town: string; region: string }
export type Places = { find: (country: string, postcode: string) => Promise<Place[]> }

/**
 * Asks a postcode directory over HTTP: `GET {base}/{country}/{postcode}` answers a JSON list of towns with their regions.
 * A directory that is silent or knows nothing gives none: the address is then typed.
 */
export function httpPlaces(base: string, patienceMs = 1500): Places {
  return {
    find: async (country, postcode) => {
      const url = `${base}/${encodeURIComponent(country)}/${encodeURIComponent(postcode)}`
      const response = await fetch(url, { signal: AbortSignal.timeout(patienceMs) }).catch(() => undefined)
      const found: unknown = response?.ok ? await response.json().catch(() => []) : []
      if (!Array.isArray(found)) return []
      return found.slice(0, 20).map((place: Partial<Place>) => ({
        town: String(place?.town ?? ''),
        region: String(place?.region ?? ''),
      }))
    },
  }
}
