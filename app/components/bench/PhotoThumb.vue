<script setup lang="ts">
import { drawnOn, type DrawnShape } from '~~/core/photos'
import type { PictureSizeName } from '~~/shared/pictures'

/** A photograph with what is drawn on it; what has not arrived yet says so. */
const props = defineProps<{
  photo: { sha256: string; width: number; height: number }
  shapes: readonly DrawnShape[]
  /** Whether its file is on the server. */
  isHere: boolean
  size: PictureSizeName
  alt: string
}>()
const photos = usePhotosStore()
const isShown = computed(() => props.isHere || photos.held.some(one => one.sha256 === props.photo.sha256))
const drawing = computed(() => drawnOn(props.shapes, props.photo))
</script>

<template>
  <span class="photo" :style="{ aspectRatio: `${photo.width} / ${photo.height}` }">
    <img
      v-if="isShown"
      :src="photos.urlOf(photo.sha256, size)"
      :alt="alt"
      loading="lazy"
      decoding="async"
      draggable="false"
    />
    <span v-else class="away" :title="alt">Not arrived</span>
    <svg v-if="shapes.length" :viewBox="`0 0 ${photo.width} ${photo.height}`" aria-hidden="true">
      <g v-for="{ colour, thick } in drawing.layers" :key="colour" :stroke="colour" :stroke-width="thick">
        <path v-for="path in drawing.paths" :key="path" :d="path" />
        <text
          v-for="one in drawing.words"
          :key="`${one.x} ${one.y}`"
          :x="one.x"
          :y="one.y"
          :font-size="drawing.letters"
          :fill="colour"
        >
          {{ one.text }}
        </text>
      </g>
    </svg>
    <slot />
  </span>
</template>

<style scoped>
.photo {
  position: relative;
  display: block;
  overflow: hidden;
  background: var(--steel);
}
img,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.away {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  text-align: center;
  font: 600 15px/1.1 var(--words);
  color: var(--ink);
  border: 2px dashed var(--steel-ink);
}
path {
  fill: none;
  stroke-linecap: round;
}
text {
  font-family: var(--words);
  font-weight: 600;
}
/* The letters themselves have no edge; what lies under them is one. */
g:last-child text {
  stroke: none;
}
</style>
