<script setup lang="ts">
import { drawnFor, findingOf, hasArrived, isNotedOn, lineOf, notedName, photosOn, type Noted } from '~~/core/job'

/** Photographs of what the pad is turned to, what was taken of the same place last time, and a way to take another. */
const props = defineProps<{ on: Noted | null }>()
const job = useJob()
const may = useMay()
const photos = usePhotosStore()
const name = computed(() => (props.on ? inSentence(notedName(job.plan, props.on) ?? '') : 'the job'))
const mine = computed(() =>
  photosOn(job.state, props.on).map(one => ({
    one,
    shapes: drawnFor(job.state, one),
    words: lineOf(job.state, one),
    isHere: hasArrived(job.state, one),
    refused: photos.find(job.id, one.sha256)?.refused ?? null,
    finding: one.on && findingOf(job.plan, one.on)?.say,
  })),
)
const last = computed(() => job.about.photosLast.filter(one => isNotedOn(one.on, props.on)))
/** Taken here, and refused as it was to be entered: it is nobody else's to find. */
const stranded = computed(() => photos.held.filter(one => one.job === job.id && !one.isNamed && one.refused))
/** Without one there is only the sign beside the heading, and nothing that takes room. */
const takesRoom = computed(
  () => mine.value.length + last.value.length + photos.taking + stranded.value.length > 0 || photos.why !== null,
)
const shown = ref<string | null>(null)
const mayTake = computed(() => !job.isClosed && may('photo.added'))

onMounted(() => {
  // What was said of another pad's is of no help here.
  photos.why = null
  void photos.settle(job)
})
const camera = useTemplateRef('camera')
useKeys({ p: () => camera.value?.open() })
</script>

<template>
  <aside class="photos" :class="{ bare: !takesRoom }" :aria-label="`Photographs of ${name}`">
    <div
      v-if="mine.length || last.length || photos.taking"
      class="strip"
      tabindex="0"
      role="group"
      aria-label="Photographs"
    >
      <el-button
        v-for="{ one, shapes, words, isHere, refused, finding } in mine"
        :key="one.photo"
        class="one"
        :aria-label="`Open the photograph${words || finding ? `: ${words || finding}` : ''}`"
        @click="shown = one.photo"
      >
        <PhotoThumb
          :photo="one"
          :shapes="shapes"
          :is-here="isHere"
          size="thumb"
          :alt="words || finding || `Photograph of ${name}`"
        >
          <small v-if="refused || !isHere || finding" class="mark">{{
            refused ? 'Refused' : isHere ? finding : 'Not arrived'
          }}</small>
        </PhotoThumb>
      </el-button>
      <span v-if="photos.taking" class="soft working" role="status">Taking it in…</span>
      <template v-if="last.length">
        <small class="soft then">Last time</small>
        <el-button
          v-for="one in last"
          :key="one.photo"
          class="one before"
          :aria-label="`Open the photograph of last time${one.words ? `: ${one.words}` : ''}`"
          data-test="photo-last"
          @click="shown = one.photo"
        >
          <PhotoThumb :photo="one" :shapes="one.shapes" is-here size="thumb" :alt="one.words || `Last time, ${name}`" />
        </el-button>
      </template>
    </div>
    <p v-if="photos.why" class="why" role="alert">
      {{ photos.why }} <el-button text @click="photos.why = null">Close</el-button>
    </p>
    <p v-for="one in stranded" :key="one.sha256" class="why" role="alert">
      A photograph of {{ siteTime(one.takenAt) }} lies on this tablet and could not be entered. {{ one.refused }}
      <el-link :href="photos.urlOf(one.sha256, 'whole')" :download="`${one.sha256.slice(0, 12)}.jpg`">Save it</el-link>
      <el-button text @click="photos.drop(one)">Let it go</el-button>
    </p>
    <PhotoTake v-if="mayTake" ref="camera" class="add pad-sign" :on="on" label="Photograph" />
    <LazyPhotoView v-if="shown" v-model="shown" :on="on" />
  </aside>
</template>

<style scoped>
.photos {
  flex: none;
}
/* The room between what stands over it and under it, once. */
.bare {
  margin-top: -8px;
}
.strip {
  display: flex;
  gap: 8px;
  align-items: center;
  overflow-x: auto;
  padding-top: 6px;
}
.one {
  flex: none;
  height: 84px;
  padding: 0;
  margin: 0;
  border-width: 2px;
  overflow: hidden;
}
.one :deep(.photo) {
  height: 80px;
}
.before {
  border-style: dashed;
  border-color: var(--steel-ink);
}
.then,
.working {
  flex: none;
  font-size: 16px;
}
.mark {
  position: absolute;
  inset: auto 0 0;
  padding: 1px 4px;
  background: var(--tray);
  color: var(--tray-brass);
  font: 600 14px/1.2 var(--words);
}
.add {
  right: calc(var(--beside) + 46px);
}
</style>
