export { default as ClimateChart } from './ClimateChart.vue'
