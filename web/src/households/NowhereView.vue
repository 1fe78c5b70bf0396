<template>
  <div class="stack">
    <h1>Nothing is kept here</h1>
    <p>The address leads nowhere. The tag of a lot leads to an address like <code>/lots/G26-1</code>.</p>
    <p><RouterLink to="/">To today's round</RouterLink></p>
  </div>
</template>
