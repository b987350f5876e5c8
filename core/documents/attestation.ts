/** How somebody entitled to it vouches for a paper: for its copy, for its translation, or for whoever signed it. */
export const attestationForms = ['certified copy', 'sworn translation', 'notarised'] as const
export type AttestationForm = (typeof attestationForms)[number]
