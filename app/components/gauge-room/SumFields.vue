<script setup lang="ts">
import type { AnySum, Field } from '~~/core/sums'
import type { Text, Texts } from '~/say/sumTexts'
import type { UnitName } from '~~/core/quantity'

/** What a sum takes: few large fields, parsed as they are typed. What has a usual value is said in one line, and opened to change it. */
const props = defineProps<{ sum: AnySum; texts: Texts; errors: Record<string, string | null> }>()
const emit = defineEmits<{ set: [key: string, text: Text] }>()
const { system } = useDisplay()
const opened = ref(false)
const fields = computed(() => Object.entries(props.sum.fields))
const isUsual = (field: Field) =>
  field.fallback !== undefined &&
  field.type !== 'flag' &&
  field.type !== 'rows' &&
  field.type !== 'list' &&
  field.type !== 'many'
const usual = computed(() => fields.value.filter(([, field]) => isUsual(field)))
const asked = computed(() => fields.value.filter(([, field]) => !isUsual(field)))
const applies = (field: Field) => !field.only || field.only.slice(1).includes(String(props.texts[field.only[0]]))
const shown = computed(() => (opened.value ? fields.value : asked.value).filter(([, field]) => applies(field)))
const wide = (field: Field) =>
  field.type === 'list' ||
  field.type === 'rows' ||
  field.type === 'many' ||
  field.type === 'flag' ||
  (field.type === 'choice' && field.choices.join('').length > 26)
const unitOf = (field: Field) =>
  'unit' in field && field.unit !== '1' && field.unit !== 'pcs' ? shownUnit(field.unit as UnitName, system.value) : ''
/** What is typed, or what is taken where nothing is; long figures in threes. */
function valueOf(key: string, field: Field): string {
  const typed = String(props.texts[key] ?? '')
  const taken =
    field.type === 'number' ? writeNumber(Number(field.fallback), field.unit, system.value) : String(field.fallback)
  return neat(typed || taken).replace(/^\d{5,}$/, digits => digits.replace(/\B(?=(\d{3})+$)/g, ' '))
}
const assumed = computed(() =>
  usual.value
    .map(
      ([key, field]) => `${inSentence(field.label)} ${valueOf(key, field)}${unitOf(field) ? ` ${unitOf(field)}` : ''}`,
    )
    .join(', '),
)
/** What was understood, where a unit or a fraction was typed. */
function echo(key: string, field: Field): string {
  const text = String(props.texts[key] ?? '')
  if (field.type !== 'number' || /^\s*[-+−]?[\d.,]*\s*$/.test(text)) return ''
  const read = readNumber(text, field, system.value)
  return read.ok ? `= ${neat(writeNumber(read.value, field.unit, system.value))} ${unitOf(field)}` : ''
}
const chips = (field: Field) =>
  field.type === 'choice' && field.choices.length <= 6 && field.choices.join('').length < 90
/** A label belongs to one input; a group of buttons or a table has its own name. */
const hasInput = (field: Field) =>
  field.type === 'number' ||
  field.type === 'text' ||
  (field.type === 'list' && !field.ticked) ||
  (field.type === 'choice' && !chips(field))
</script>

<template>
  <div class="fields">
    <div v-for="[key, field] in shown" :key="key" class="one" :class="{ wide: wide(field), wrong: errors[key] }">
      <template v-if="field.type === 'flag'">
        <el-checkbox
          :model-value="texts[key] === true"
          :data-test="`field-${key}`"
          @change="on => emit('set', key, on === true)"
        >
          {{ field.label }}
        </el-checkbox>
      </template>
      <template v-else>
        <component :is="hasInput(field) ? 'label' : 'p'" class="label" :for="hasInput(field) ? key : undefined"
          >{{ field.label }}<span v-if="field.optional && !field.only && !field.asked" class="soft"> · if known</span>
        </component>
        <div v-if="field.type === 'number'" class="take">
          <el-input
            :id="key"
            class="big figures"
            :inputmode="field.clock ? 'text' : 'decimal'"
            autocomplete="off"
            :model-value="neat(String(texts[key] ?? ''))"
            placeholder="–"
            :aria-invalid="Boolean(errors[key])"
            :data-test="`field-${key}`"
            @update:model-value="text => emit('set', key, text)"
          />
          <span class="unit">{{ unitOf(field) }}</span>
        </div>
        <el-input
          v-else-if="field.type === 'text'"
          :id="key"
          class="word"
          autocomplete="off"
          :model-value="String(texts[key] ?? '')"
          :maxlength="field.most"
          :data-test="`field-${key}`"
          @update:model-value="text => emit('set', key, text)"
        />
        <el-radio-group
          v-else-if="field.type === 'choice' && chips(field)"
          :model-value="String(texts[key] ?? '')"
          :aria-label="field.label"
          @change="one => emit('set', key, one as string)"
        >
          <el-radio-button v-for="one in field.choices" :key="one" :value="one">{{ one }}</el-radio-button>
          <el-radio-button v-if="field.optional && !field.asked && texts[key]" value="">not known</el-radio-button>
        </el-radio-group>
        <el-select
          v-else-if="field.type === 'choice'"
          :id="key"
          :model-value="String(texts[key] ?? '')"
          :aria-label="field.label"
          :clearable="field.optional"
          value-on-clear=""
          placeholder="–"
          :data-test="`field-${key}`"
          @change="one => emit('set', key, one as string)"
        >
          <el-option v-for="one in field.choices" :key="one" :value="one" :label="one" />
        </el-select>
        <el-checkbox-group
          v-else-if="field.type === 'many'"
          :model-value="(texts[key] as string[]) ?? []"
          :aria-label="field.label"
          @change="some => emit('set', key, some as string[])"
        >
          <el-checkbox-button v-for="one in field.choices" :key="one" :value="one">{{ one }}</el-checkbox-button>
        </el-checkbox-group>
        <ContactGrid
          v-else-if="field.type === 'list' && field.ticked"
          :squares="texts[key] as string[]"
          @change="emit('set', key, $event)"
        />
        <FieldFigures
          v-else-if="field.type === 'list'"
          :id="key"
          :field="field"
          :texts="(texts[key] as string[]) ?? []"
          :unit="unitOf(field)"
          @change="emit('set', key, $event)"
        />
        <FieldRows
          v-else-if="field.type === 'rows'"
          :id="key"
          :field="field"
          :rows="(texts[key] as Texts[]) ?? []"
          @change="emit('set', key, $event)"
        />
        <p v-if="echo(key, field)" class="soft help figures" :data-test="`echo-${key}`">{{ echo(key, field) }}</p>
        <p v-if="field.help" class="soft help">{{ field.help }}</p>
      </template>
      <p v-if="errors[key]" class="why" role="alert">{{ errors[key] }}</p>
    </div>
    <p v-if="usual.length" class="assumed wide">
      <span v-if="!opened"> <strong>Defaults:</strong> {{ assumed }}.</span>
      <el-button size="small" :aria-expanded="opened" @click="opened = !opened">
        {{ opened ? 'Fewer fields' : 'Change these' }}
      </el-button>
    </p>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 18px;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
.label {
  font-size: 15px;
  line-height: 1.15;
  margin-bottom: 2px;
  color: var(--soft);
  font-weight: 500;
}
.help {
  font-size: 14px;
}
.take {
  display: flex;
  align-items: baseline;
  gap: 6px;
  border-bottom: 2px solid var(--steel-ink);
  min-height: 46px;
}
.take:focus-within {
  border-bottom: 4px solid var(--brass);
}
.wrong .take {
  border-color: var(--out);
}
.big {
  flex: 1;
  --el-input-bg-color: transparent;
}
.big :deep(.el-input__wrapper),
.big :deep(.el-input__wrapper.is-focus) {
  padding: 0;
  background: none;
  box-shadow: none;
  outline: none;
}
.one .take .big :deep(.el-input__inner) {
  font-size: 27px;
  font-weight: 500;
  letter-spacing: -0.02em;
}
.unit {
  font: 600 18px var(--heads);
  color: var(--soft);
  white-space: nowrap;
}
.assumed {
  font-size: 15px;
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  border-top: 1px dashed var(--line);
  padding-top: 8px;
}
.assumed .el-button {
  flex: none;
}
@media (max-width: 420px) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
