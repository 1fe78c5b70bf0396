export { default as ReadField } from './ReadField.vue'
export { namedPlaces, placeOptions } from './options'
export { default as PlacesCard } from './PlacesCard.vue'
export { default as PlaceRight } from './PlaceRight.vue'
