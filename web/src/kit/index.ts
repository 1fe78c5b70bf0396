export { default as Choices } from './Choices.vue'
export { default as TableBelow } from './TableBelow.vue'
export * from './reader'
export * from './brought-into-view'
