export { default as ReadField } from './ReadField.vue'
export { placeOptions } from './options'
export { default as PlacesCard } from './PlacesCard.vue'
