export { default as ReadField } from './ReadField.vue'
export { placeOptions } from './options'
export { default as PlaceRight } from './PlaceRight.vue'
