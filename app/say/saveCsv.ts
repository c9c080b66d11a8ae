/** Hands a table to the browser as a file; the mark before it tells a spreadsheet how it is written. */
export function saveCsv(name: string, csv: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob(['\uFEFF', csv], { type: 'text/csv' }))
  link.download = `${name}.csv`
  link.click()
  URL.revokeObjectURL(link.href)
}
