import { ofHousehold } from './endpoint'
import { closed, number } from './shapes'

export const addPhoto = ofHousehold('add-photo', {
  method: 'POST',
  path: '/lots/:code/photo',
  says: 'The one picture of a lot; a new one takes the place of the old.',
  body: { file: 'image/*' },
  limit: '20mb',
  answer: closed({ bytes: number }),
  status: 201,
  stale: ['lot'],
})

export const readPhoto = ofHousehold('photo', {
  method: 'GET',
  path: '/lots/:code/photo.jpg',
  says: 'The picture of a lot.',
  answer: { file: 'image/jpeg' },
})
