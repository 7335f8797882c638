<script setup lang="ts">
/** The textures of water path cells, defined once for the page. */
</script>

<template>
  <svg class="textures" width="0" height="0" aria-hidden="true">
    <defs>
      <pattern id="tx-coarse" width="13" height="26" patternUnits="userSpaceOnUse">
        <circle cx="6.5" cy="6.5" r="4.1" />
        <circle cx="0" cy="19.5" r="4.1" />
        <circle cx="13" cy="19.5" r="4.1" />
      </pattern>
      <pattern id="tx-medium" width="9" height="18" patternUnits="userSpaceOnUse">
        <circle cx="4.5" cy="4.5" r="2.6" />
        <circle cx="0" cy="13.5" r="2.6" />
        <circle cx="9" cy="13.5" r="2.6" />
      </pattern>
      <pattern id="tx-sponge" width="11" height="11" patternUnits="userSpaceOnUse">
        <circle cx="3" cy="3" r="2.2" />
        <circle cx="8.5" cy="8" r="1.5" />
      </pattern>
      <pattern id="tx-fine" width="5" height="10" patternUnits="userSpaceOnUse">
        <circle class="solid" cx="2.5" cy="2.5" r="0.9" />
        <circle class="solid" cx="0" cy="7.5" r="0.9" />
        <circle class="solid" cx="5" cy="7.5" r="0.9" />
      </pattern>
      <pattern id="tx-bio" width="17" height="26" patternUnits="userSpaceOnUse">
        <rect x="3" y="3" width="10" height="7" rx="3.4" />
        <path d="M6 6.5h4" />
        <rect x="-5.5" y="16" width="10" height="7" rx="3.4" />
        <rect x="11.5" y="16" width="10" height="7" rx="3.4" />
      </pattern>
      <pattern id="tx-grains" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect class="solid" x="1" y="1" width="2" height="2" />
        <rect class="solid" x="4" y="4" width="1.6" height="1.6" />
      </pattern>
      <pattern id="tx-mesh" width="7" height="7" patternUnits="userSpaceOnUse"><path d="M3.5 0v7" /></pattern>
      <pattern id="tx-hose" width="8" height="56" patternUnits="userSpaceOnUse">
        <path d="M0 38q4-5 8 0M0 66q4 5 8 0" />
      </pattern>
      <pattern id="silt-stipple" width="5" height="5" patternUnits="userSpaceOnUse">
        <circle class="stipple" cx="1.4" cy="1.4" r="1.25" />
        <circle class="stipple" cx="3.9" cy="3.9" r="1.25" />
      </pattern>
    </defs>
  </svg>
</template>

<style scoped>
.textures {
  position: absolute;
}

pattern > * {
  fill: none;
  stroke: var(--ink-quiet);
  stroke-opacity: 0.42;
}

pattern > .solid {
  fill: var(--ink-quiet);
  fill-opacity: 0.5;
  stroke: none;
}

pattern > .stipple {
  fill: var(--silt-stipple);
  stroke: none;
}
</style>
