/** What the desk reads of enquiries: the ways, how far they are, and what to do. */
export default {
  'enquiries.sure.called back through the switchboard': 'called back through the switchboard',
  'enquiries.sure.own number of the directory': 'reached by the number in the directory',
  'enquiries.sure.known voice': 'known by voice',
} as const
