export { default as ReadField } from './ReadField.vue'
export { placeOptions } from './options'
