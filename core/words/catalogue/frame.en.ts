export default {
  'frame.yourAccount': 'Your account',
  'frame.toTheDesk': 'To the desk',
  'frame.myApplications': 'My applications',
  'frame.account': 'Account',
  'frame.signOut': 'Sign out',
  'frame.signIn': 'Sign in',
  'frame.yourOrganisation': 'Your organisation',
} as const
