export default {
  'marks.noneGraded': 'Marks are given, none of them graded.',
  'marks.overall': '{{percent}} % overall{{class}}, from {{credits}} graded credits on the scale {{scale}}.',
  'marks.missing': 'A mark is missing. “passed” will do where there is no grade.',
  'marks.notAMark': '“{{mark}}” is no mark of this scale.',
  'marks.outsideTheScale': '{{mark}} lies outside of this scale.',
  'marks.noCredits': 'The credits are missing.',
  'marks.howCounted':
    'Each mark is turned into per cent between the worst (0 %) and the best (100 %) of the scale, and weighted by its credits. Failed courses count; courses passed without a grade do not. Rounded once, at the end, half up to one decimal place.',
} as const
