<template>
  <!-- One set of textures for every drawing; colours follow the theme. -->
  <svg width="0" height="0" aria-hidden="true" class="patterns">
    <defs>
      <pattern id="tex-open" width="14" height="14" patternUnits="userSpaceOnUse">
        <rect width="14" height="14" fill="var(--foam-open)" />
        <g fill="none" stroke="#b08d3e" stroke-width="0.9">
          <circle cx="4" cy="4" r="2.6" />
          <circle cx="11" cy="9" r="2" />
          <circle cx="5" cy="11.5" r="1.4" />
        </g>
      </pattern>
      <pattern id="tex-closed" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--foam-closed)" />
        <circle cx="2" cy="2" r="0.8" fill="#7a5a14" />
        <circle cx="5.5" cy="5.5" r="0.8" fill="#7a5a14" />
      </pattern>
      <pattern id="tex-wood" width="24" height="8" patternUnits="userSpaceOnUse">
        <rect width="24" height="8" fill="var(--wood)" />
        <path d="M0 4q6-4 12 0t12 0" fill="none" stroke="var(--tex-line)" stroke-opacity=".45" stroke-width="0.8" />
      </pattern>
      <pattern id="tex-panel" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(62)">
        <rect width="8" height="8" fill="var(--wood)" />
        <path d="M0 4h8" stroke="var(--tex-line)" stroke-opacity=".55" stroke-width="1.4" />
      </pattern>
      <pattern id="tex-metal" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="5" height="5" fill="var(--metal)" />
        <path d="M0 2.5h5" stroke="var(--tex-line)" stroke-opacity=".6" stroke-width="1" />
      </pattern>
      <pattern id="tex-brick" width="22" height="14" patternUnits="userSpaceOnUse">
        <rect width="22" height="14" fill="var(--brick)" />
        <path d="M0 .5h22M0 7.5h22M6 0v7M17 7v7" stroke="var(--sheet)" stroke-opacity=".75" stroke-width="1.2" />
      </pattern>
      <pattern id="tex-stone" width="34" height="26" patternUnits="userSpaceOnUse">
        <rect width="34" height="26" fill="var(--stone)" />
        <path
          d="M1 9q7-9 14-2t15-3M3 20q4-8 12-5t9 9M24 12q6 2 10 0M15 7v8"
          fill="none"
          stroke="var(--tex-line)"
          stroke-opacity=".5"
        />
      </pattern>
      <pattern id="tex-concrete" width="18" height="18" patternUnits="userSpaceOnUse">
        <rect width="18" height="18" fill="var(--concrete)" />
        <path d="M3 4l2-2 1 3ZM11 12l3 1-2 2Z" fill="var(--tex-line)" fill-opacity=".4" />
        <circle cx="13" cy="4" r=".9" fill="var(--tex-line)" fill-opacity=".45" />
        <circle cx="5" cy="13" r=".9" fill="var(--tex-line)" fill-opacity=".45" />
      </pattern>
      <pattern id="tex-board" width="10" height="10" patternUnits="userSpaceOnUse">
        <rect width="10" height="10" fill="var(--board)" />
        <circle cx="2.5" cy="2.5" r=".7" fill="var(--tex-line)" fill-opacity=".4" />
        <circle cx="7.5" cy="7.5" r=".7" fill="var(--tex-line)" fill-opacity=".4" />
      </pattern>
      <pattern id="tex-tile" width="12" height="18" patternUnits="userSpaceOnUse">
        <rect width="12" height="18" fill="var(--tile)" />
        <path d="M0 17q6-8 12 0" fill="none" stroke="var(--tex-line)" stroke-opacity=".6" />
      </pattern>
      <pattern id="tex-felt" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="#5a5366" />
        <path d="M0 3h6" stroke="#8d86a0" stroke-width="1" />
      </pattern>
      <pattern id="tex-soil" width="16" height="16" patternUnits="userSpaceOnUse">
        <rect width="16" height="16" fill="var(--soil)" />
        <path
          d="M2 5l3 2-1 3-3-1ZM9 3l3 1 1 3-4 0ZM9 12l4-1 1 3-4 1Z"
          fill="none"
          stroke="var(--tex-line)"
          stroke-opacity=".6"
        />
      </pattern>
      <pattern id="tex-fibre" width="18" height="12" patternUnits="userSpaceOnUse">
        <rect width="18" height="12" fill="var(--board)" />
        <path
          d="M0 3q4.5 4 9 0t9 0M0 9q4.5-4 9 0t9 0M5 0q3 6 0 12M14 0q-3 6 0 12"
          fill="none"
          stroke="var(--tex-line)"
          stroke-opacity=".45"
          stroke-width="0.8"
        />
      </pattern>
      <pattern id="tex-rigid" width="11" height="11" patternUnits="userSpaceOnUse">
        <rect width="11" height="11" fill="var(--foam-open)" />
        <path d="M0 11L11 0M-2 2L2-2M9 13l4-4" stroke="#b08d3e" stroke-width="1" />
      </pattern>
      <pattern id="tex-coat" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--copper)" />
      </pattern>
      <pattern id="tex-air" width="16" height="16" patternUnits="userSpaceOnUse">
        <rect width="16" height="16" fill="var(--sheet)" />
      </pattern>
    </defs>
  </svg>
</template>

<style scoped>
.patterns {
  position: absolute;
}
</style>
