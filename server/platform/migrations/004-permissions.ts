/** A permission can be withdrawn and given again; what was sent is kept as a PDF beside its snapshot. */
export const up = [
  `ALTER TABLE permissions ADD KEY byApplication (applicationId, signedAt), ADD withdrawnAt DATETIME(3)`,
  `ALTER TABLE permissions DROP KEY applicationId`,
  `ALTER TABLE snapshots ADD pdfSha256 CHAR(64)`,
]
