import { type CountryCode, parsePhoneNumberFromString } from 'libphonenumber-js/min'

/** What becomes of a text message: taken by the gateway, on the phone, refused, or no number that could be rung. */
export type TextState = 'accepted' | 'delivered' | 'refused' | 'no number'

/**
 * A telephone number as gateways want it (E.164), or nothing where it cannot be one.
 *
 * @param country ISO 3166-1, where numbers without `+` belong
 * @example dialled('0512 555 1234', 'AT') // '+435125551234'
 */
export function dialled(text: string, country: string): string | undefined {
  const number = parsePhoneNumberFromString(text, country as CountryCode)
  return number?.isPossible() ? number.number : undefined
}
