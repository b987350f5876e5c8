/** The day by which everybody who has applied is promised a decision, and whom we have told of it. */
export const up = [
  'ALTER TABLE vacancies ADD COLUMN decidesOn DATE',
  'ALTER TABLE applications ADD COLUMN toldDecisionDay DATE, ADD COLUMN toldLateFor DATE',
]
