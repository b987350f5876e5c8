/** Papers that came as Word files: what they were before they were turned into a PDF. */
export const up = [
  'ALTER TABLE documents ADD COLUMN IF NOT EXISTS originalSha256 VARCHAR(64), ADD KEY IF NOT EXISTS byOriginal (originalSha256)',
]
