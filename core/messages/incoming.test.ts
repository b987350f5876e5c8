import { answeredBy, kindOfMail, readDeliveryReport } from './incoming'

const id = '0190a3f0-1111-7000-8000-00000000000a'
const other = '0190a3f0-2222-7000-8000-00000000000b'

test.each([
  ['a person', {}, 'anna@mail.example', 'written'],
  ['a person whose program says so', { 'auto-submitted': 'no' }, 'anna@mail.example', 'written'],
  ['a holiday notice', { 'auto-submitted': 'auto-replied (vacation)' }, 'anna@mail.example', 'automatic'],
  ['an older holiday notice', { precedence: 'auto_reply' }, 'anna@mail.example', 'automatic'],
  ['a list', { 'list-id': '<news.example>' }, 'anna@mail.example', 'automatic'],
  ['whoever wants no answer', {}, '', 'automatic'],
  [
    'a report of delivery',
    { 'content-type': 'multipart/report; report-type=delivery-status; boundary=x', 'auto-submitted': 'auto-replied' },
    '',
    'bounce',
  ],
  [
    'a receipt of reading',
    { 'content-type': 'multipart/report; report-type=disposition-notification' },
    'a@b.c',
    'written',
  ],
] as const)('%s is told apart', (_, headers, sender, kind) => expect(kindOfMail(headers, sender)).toBe(kind))

test('an answer finds the mail of ours, the newest first, and no other house’s', () => {
  const references = `<${other}@vallorne.example> <strange@elsewhere.example> <${id}@vallorne.example>`
  expect(answeredBy({ references, 'in-reply-to': `<${id}@VALLORNE.example>` }, 'vallorne.example')).toEqual([id, other])
  expect(answeredBy({ 'in-reply-to': `<${id}@elsewhere.example>` }, 'vallorne.example')).toEqual([])
  expect(answeredBy({}, 'vallorne.example')).toEqual([])
})

test('a report of delivery says whether it failed for good, and why', () => {
  const report = (action: string) =>
    `Reporting-MTA: dns; mx.example\r\n\r\nFinal-Recipient: rfc822; nobody@mail.example\r\nAction: ${action}\r\nStatus: 5.1.1\r\nDiagnostic-Code: smtp; 550 5.1.1\r\n  No such mailbox\r\n`
  expect(readDeliveryReport(report('failed'))).toEqual({ failed: true, because: '550 5.1.1 No such mailbox' })
  expect(readDeliveryReport(report('delayed')).failed).toBe(false)
  expect(readDeliveryReport('Action: failed\nStatus: 5.0.0')).toEqual({ failed: true, because: '5.0.0' })
  expect(readDeliveryReport('')).toEqual({ failed: false, because: '' })
})
