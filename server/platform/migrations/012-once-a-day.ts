/** A look at a file is written down once a day for each reader, also when the same page is opened twice at once. */
export const up = [
  'ALTER TABLE access_log ADD COLUMN IF NOT EXISTS `once` VARCHAR(255) CHARACTER SET ascii',
  'ALTER TABLE access_log ADD UNIQUE KEY once (actorId, `once`)',
]
