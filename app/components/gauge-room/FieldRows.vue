<script setup lang="ts">
import type { RowsField } from '~~/core/sums'
import type { Text, Texts } from '~/say/sumTexts'

/** A short table to fill in: one row a part, reading or round. */
const props = defineProps<{ id: string; field: RowsField; rows: Texts[] }>()
const emit = defineEmits<{ change: [rows: Texts[]] }>()
const { system } = useDisplay()
const columns = computed(() => Object.entries(props.field.columns))
const set = (row: number, key: string, text: Text) =>
  emit('change', props.rows.with(row, { ...props.rows[row], [key]: text }))
const unitOf = (field: { unit?: string }) =>
  field.unit && field.unit !== '1' && field.unit !== 'pcs' ? shownUnit(field.unit as 'mm', system.value) : ''
function another() {
  const like = props.rows.at(-1) ?? {}
  emit('change', [
    ...props.rows,
    Object.fromEntries(
      columns.value.map(([key, field]) => [
        key,
        field.type === 'choice' ? (like[key] ?? field.choices[0]!) : field.type === 'flag' ? false : '',
      ]),
    ),
  ])
}
const wrong = (row: Texts) =>
  columns.value.map(([key, field]) => readField(field, row[key], system.value)).find(read => read.state === 'wrong')
</script>

<template>
  <div class="rows">
    <table>
      <thead>
        <tr>
          <th v-for="[key, column] in columns" :key="key" scope="col">
            {{ column.label }}&nbsp;<span v-if="unitOf(column as { unit?: string })" class="unit">{{
              unitOf(column as { unit?: string })
            }}</span>
          </th>
          <th>
            <span class="sr">Take away</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <template v-for="(row, i) in rows" :key="i">
          <tr>
            <td v-for="[key, column] in columns" :key="key" :class="column.type">
              <el-select
                v-if="column.type === 'choice'"
                :aria-label="`${column.label}, row ${i + 1}`"
                :model-value="String(row[key] ?? '')"
                :fit-input-width="false"
                @change="one => set(i, key, one as string)"
              >
                <el-option v-for="one in column.choices" :key="one" :value="one" :label="one" />
              </el-select>
              <el-checkbox
                v-else-if="column.type === 'flag'"
                :model-value="row[key] === true"
                :aria-label="`${column.label}, row ${i + 1}`"
                @change="on => set(i, key, on === true)"
              />
              <el-input
                v-else
                :class="{ figures: column.type === 'number' }"
                autocomplete="off"
                :inputmode="column.type === 'number' && !column.clock ? 'decimal' : 'text'"
                :aria-label="`${column.label}, row ${i + 1}`"
                :model-value="neat(String(row[key] ?? ''))"
                :placeholder="column.optional ? '' : '–'"
                @update:model-value="text => set(i, key, text)"
              />
            </td>
            <td class="away">
              <el-button text :aria-label="`Take row ${i + 1} away`" @click="emit('change', rows.toSpliced(i, 1))">
                ✕
              </el-button>
            </td>
          </tr>
          <tr v-if="wrong(row)">
            <td :colspan="columns.length + 1" class="why" role="alert">{{ (wrong(row) as { why: string }).why }}</td>
          </tr>
        </template>
      </tbody>
    </table>
    <el-button v-if="rows.length < field.most" :data-test="`field-${id}`" @click="another"> Another row </el-button>
  </div>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 6px;
  justify-items: start;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: auto;
}
th {
  font: 500 14px var(--words);
  color: var(--soft);
  text-align: left;
  padding: 0 4px 3px;
  vertical-align: bottom;
}
td {
  padding: 2px;
}
td :deep(.el-input__wrapper),
td :deep(.el-select__wrapper) {
  padding: 2px 7px;
}
td :deep(.el-input__inner) {
  font-size: 17px;
}
td.number {
  min-width: 66px;
}
td.text {
  min-width: 88px;
}
/* Words take what figures and choices leave. */
td.text ~ td.number,
td.text ~ td.choice,
td.choice {
  width: 1%;
}
.away {
  width: 44px;
}
.away .el-button {
  padding: 0;
}
.unit {
  font-family: var(--figures);
  font-size: 12px;
}
td.choice :deep(.el-select) {
  min-width: 110px;
}
.why {
  padding: 2px 4px 6px;
}
</style>
