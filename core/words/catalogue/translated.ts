/** The same texts in another language: each of the English names, and no other. */
export type Translated<English> = { readonly [Name in keyof English]: string }
