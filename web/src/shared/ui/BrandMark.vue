<template>
  <svg width="30" height="30" viewBox="0 0 32 32" aria-hidden="true">
    <path d="M16 1 29 8.5v15L16 31 3 23.5v-15Z" fill="#f6ebc6" />
    <circle cx="19.5" cy="14.5" r="9.5" fill="var(--bar)" />
  </svg>
</template>
