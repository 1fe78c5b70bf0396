<script setup lang="ts">
import { say } from './say'
</script>

<template>
  <div class="stack">
    <h1>{{ say('nothingIsKeptHere') }}</h1>
    <p>
      {{ say('theAddressLeadsNowhereThe') }} <code>{{ say('lotsG') }}</code>.
    </p>
    <p>
      <RouterLink to="/">{{ say('toTodaysRound2') }}</RouterLink>
    </p>
  </div>
</template>
