<script setup lang="ts">
import { isLocked } from '~~/core/job'
import type { Joint } from '~~/core/sheet'

/** How a joint that is drawn up is kept from coming loose: what is seen, and how many new ones went in. */
const props = defineProps<{ joint: Joint }>()
const job = useJob()
const may = useMay()
const why = ref<string | null>(null)
const locking = props.joint.locking!
const kept = computed(() => job.state.joints.get(props.joint.id)?.locked)
const isMet = computed(() => isLocked(props.joint, job.state.joints.get(props.joint.id)))
const say = ref<string>()
const count = ref<number | null>(null)
const again = ref(false)
const isAsking = computed(() => !kept.value || again.value)
function keep() {
  why.value = !say.value
    ? 'Say how it is locked.'
    : locking.newPieces && count.value === null
      ? `Count the new ones: ${locking.newPieces.what}.`
      : job.act({
          kind: 'joint.locked',
          payload: { joint: props.joint.id, say: say.value, ...(locking.newPieces ? { newPieces: count.value! } : {}) },
        })
  if (!why.value) again.value = false
}
</script>

<template>
  <div class="locking" role="group" :aria-label="`How ${joint.title} is locked`">
    <template v-if="isAsking">
      <p>
        <strong>{{ locking.ask }}</strong>
      </p>
      <el-radio-group v-model="say" :aria-label="locking.ask">
        <el-radio-button v-for="one in locking.choices" :key="one.say" :value="one.say">{{ one.say }}</el-radio-button>
      </el-radio-group>
      <p v-if="locking.newPieces" class="fresh">
        <span>New ones that went in: {{ locking.newPieces.what }}</span>
        <el-input-number
          v-model="count"
          :min="0"
          :max="200"
          :precision="0"
          placeholder="how many"
          :aria-label="`New ones that went in: ${locking.newPieces.what}`"
        />
      </p>
      <p v-if="why" class="why" role="alert">{{ why }}</p>
      <el-button type="primary" data-test="lock" :disabled="!may('joint.locked')" @click="keep">Keep it</el-button>
    </template>
    <template v-else>
      <p>
        <VerdictMark :verdict="isMet ? 'Holds' : 'Out'" /> {{ kept!.say
        }}{{ kept!.newPieces === undefined ? '' : `, ${kept!.newPieces} new` }}
      </p>
      <p v-if="!isMet" class="why" role="alert">
        {{ locking.ifWrong
        }}{{
          locking.newPieces && kept!.newPieces !== locking.newPieces.pieces
            ? `. ${locking.newPieces.pieces} new ones are wanted`
            : ''
        }}.
      </p>
      <el-button @click="again = true">Answer again</el-button>
    </template>
  </div>
</template>

<style scoped>
.locking {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.newPieces {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
</style>
