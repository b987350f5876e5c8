import type { Queue } from '#contract/desk'

export const queueNames: Record<Queue, { name: string; about: string; empty: string }> = {
  today: {
    name: 'Today',
    about: 'What needs you, least slack first.',
    empty:
      'Nothing needs you at the moment. Replies, documents and people in danger of missing their start appear here by themselves.',
  },
  applications: {
    name: 'Applications',
    about: 'Sent, and not on a shortlist yet.',
    empty: 'No new application is waiting.',
  },
  verification: {
    name: 'Verification',
    about: 'Documents to look at, sources to ask, replies to compare.',
    empty: 'Nothing is to be verified at the moment.',
  },
  skills: {
    name: 'Skills checks',
    about: 'Checks not sat, under way or not passed.',
    empty: 'Everybody who was asked has passed.',
  },
  validity: {
    name: 'Validity',
    about: 'Papers that lapse too early, soon, or nobody knows when.',
    empty: 'Every paper is valid for as long as it has to be.',
  },
  hiring: {
    name: 'Hiring',
    about: 'From the shortlist to the first day.',
    empty: 'Nobody is between shortlist and first day.',
  },
}
