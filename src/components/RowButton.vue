<script setup lang="ts">
/** A row, a name or a part of a picture that is pressed: it looks as what it holds, not as a button. */
</script>

<template>
  <button type="button" class="plain"><slot /></button>
</template>
