export default {
  'agreement.same': 'the same',
  'agreement.equivalent': 'the same, written differently',
  'agreement.close': 'almost the same',
  'agreement.different': 'different',
  'agreement.not stated': 'not given in both',
  'agreement.misread': 'almost the same: characters that look alike',
  'agreement.swapped': 'almost the same: two characters swapped',
  'agreement.dayAndMonth': 'almost the same: day and month swapped',
  'agreement.partMissing': 'the same except for “{{parts}}”',
  'agreement.oneDigit': 'almost the same: one digit differs',
  'agreement.sameName': 'the same name, written differently',
} as const
