<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { COMPETENCES, type Competence } from '~~/core/job/ledger/competence'

/** What one person may sign for beside their role: the papers that were seen, and a new one. */
const props = defineProps<{ name: string; papers: readonly Competence[] }>()
const emit = defineEmits<{ change: [papers: Competence[]] }>()
const today = useNow({ interval: 60_000 })
const isOver = (one: Competence) => one.until !== undefined && one.until < today.value.toISOString().slice(0, 10)
const EMPTY = { by: 'certified', of: '', number: '', until: '' } as const
const fresh = ref<{ by: Competence['by']; of: string; number: string; until: string }>({ ...EMPTY })
const form = useTemplateRef<FormInstance>('form')
const rules = useRules(all => all.competenceSchema, { of: 'What for', number: 'The number', until: 'The last day' })

async function add() {
  if (!(await form.value!.validate().catch(() => false))) return
  const { by, of, number, until } = fresh.value
  const paper = {
    ...{ by, of: of.trim() },
    ...(number.trim() ? { number: number.trim() } : {}),
    ...(until ? { until } : {}),
  }
  // A renewed paper takes the place of the old one.
  const isSame = (one: Competence) => one.by === by && one.of.toLowerCase() === paper.of.toLowerCase()
  emit('change', [...props.papers.filter(one => !isSame(one)), paper])
  fresh.value = { ...EMPTY }
}
</script>

<template>
  <div class="papers" :aria-label="`Papers of ${name}`" role="group">
    <p v-for="one in papers" :key="`${one.by} ${one.of}`" class="paper">
      <VerdictMark :verdict="isOver(one) ? 'Out' : 'Holds'" :word="false" />
      <span>
        <strong>{{ one.by }}</strong> for {{ one.of }}{{ one.number ? `, no. ${one.number}` : '' }}
        <small class="soft">{{
          one.until ? `${isOver(one) ? 'was good' : 'good'} until ${siteDay(one.until)}` : 'no last day stands on it'
        }}</small>
      </span>
      <el-button
        @click="
          emit(
            'change',
            papers.filter(other => other !== one),
          )
        "
        >Remove</el-button
      >
    </p>
    <p v-if="!papers.length" class="soft">
      Nothing yet. Write down what {{ name }} may sign for once you have seen the paper.
    </p>
    <el-form ref="form" :model="fresh" @submit.prevent="add">
      <el-radio-group v-model="fresh.by" aria-label="Certified or competent">
        <el-radio-button v-for="by in COMPETENCES" :key="by" :value="by">{{ by }}</el-radio-button>
      </el-radio-group>
      <el-form-item prop="of" :rules="rules.of">
        <el-input
          v-model="fresh.of"
          maxlength="80"
          aria-label="What for"
          placeholder="for: lifting gear, refrigerant…"
        />
      </el-form-item>
      <el-form-item prop="number" :rules="fresh.number.trim() ? rules.number : []">
        <el-input v-model="fresh.number" maxlength="40" aria-label="Number on the paper" placeholder="number, if any" />
      </el-form-item>
      <el-form-item prop="until" :rules="fresh.until ? rules.until : []">
        <el-date-picker
          v-model="fresh.until"
          value-format="YYYY-MM-DD"
          format="D MMM YYYY"
          aria-label="Last day it is good for"
          placeholder="last day, if any"
        />
      </el-form-item>
      <el-button type="primary" native-type="submit">Write it down</el-button>
    </el-form>
  </div>
</template>

<style scoped>
.papers {
  grid-column: 1 / -1;
  border-top: 1px solid var(--line);
  padding: 6px 0 4px;
  display: grid;
  gap: 4px;
}
.paper {
  display: flex;
  gap: 12px;
  align-items: center;
}
.paper > span {
  flex: 1;
}
.paper .verdict {
  flex: none;
}
strong {
  font-weight: 600;
}
small {
  font-size: 15px;
  padding-left: 8px;
}
.el-form {
  display: grid;
  grid-template-columns: auto minmax(180px, 1fr) 170px 190px auto;
  gap: 8px;
  align-items: start;
  padding-top: 4px;
}
@media (max-width: 1000px) {
  .el-form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
