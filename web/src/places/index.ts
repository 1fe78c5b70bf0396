export { default as ReadField } from './ReadField.vue'
