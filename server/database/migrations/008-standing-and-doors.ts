/** What a licensing body says of a licence beyond its dates; and what a second look at the doors asked for. */
export const up = [
  'ALTER TABLE enquiries ADD standing JSON',
  // Links outlive what they led to, so that they can say that nothing is asked any more.
  'ALTER TABLE enquiry_links DROP FOREIGN KEY enquiry_links_ibfk_1, ADD KEY byEnquiry (enquiryId), ADD KEY byAge (createdAt)',
  'ALTER TABLE vouching_links DROP FOREIGN KEY vouching_links_ibfk_1, ADD KEY byVouching (vouchingId), ADD KEY byAge (createdAt)',
]
