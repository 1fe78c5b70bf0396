export { default as EndTests } from './EndTests.vue'
