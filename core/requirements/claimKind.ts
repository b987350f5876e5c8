/** What somebody can claim. */
export type ClaimKind =
  | 'study'
  | 'language'
  | 'attestation'
  | 'licence'
  | 'certificate'
  | 'work'
  | 'residence'
  | 'identity'
  | 'paper'
