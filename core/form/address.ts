type Place = { street?: string; postcode?: string; town: string; region?: string }

/** An address in one line, without the country: `Dorfstrasse 4, 6800 Vallorne, Oberland`. */
export const addressLine = ({ street, postcode, town, region }: Place): string =>
  [street, [postcode, town].filter(Boolean).join(' '), region]
    .map((part) => part?.trim())
    .filter(Boolean)
    .join(', ')
