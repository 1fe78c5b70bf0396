<template>
  <!-- what a chart draws, to be read out or copied -->
  <details class="table">
    <summary>As a table</summary>
    <table>
      <slot />
    </table>
  </details>
</template>
