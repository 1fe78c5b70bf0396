import { ofHousehold } from './endpoint'
import { closed, optional, saying, textUpTo } from './shapes'

export const readTag = ofHousehold('tag', {
  method: 'GET',
  path: '/lots/:code/tag.svg',
  says: 'A tag to tie on, with the QR of the lot’s address.',
  answer: { file: 'image/svg+xml' },
})

export const readLabels = ofHousehold('labels', {
  method: 'GET',
  path: '/labels.pdf',
  says: 'Labels of lots on a sheet: lots=G26-1,N26-4, sheet=a4-21, skip=labels used already.',
  query: closed({ lots: optional(textUpTo(4000)), sheet: optional(saying(20)), skip: optional(saying(4)) }),
  answer: { file: 'application/pdf' },
})
