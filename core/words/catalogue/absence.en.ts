export default {
  'absence.awayFrom': 'Away from',
  'absence.awayThrough': 'Through',
  'absence.whoStandsIn': 'Who stands in',
  'absence.nobody': 'nobody',
  'absence.saveAbsence': 'Save',
  'absence.notAway': 'Not away',
} as const
