import { readdirSync, readFileSync } from 'node:fs'
import { ESLint } from 'eslint'
import { describe, expect, it } from 'vitest'

const eslint = new ESLint({ cwd: new URL('../../', import.meta.url).pathname })
const complaints = async (markup: string, name = 'bench/x') =>
  (
    await eslint.lintText(`<template>\n  ${markup}\n</template>\n`, { filePath: `app/components/${name}.vue` })
  )[0]!.messages
    .map(one => one.ruleId)
    .filter(rule => rule?.startsWith('vue/no-restricted'))

describe('controls are the kit’s', () => {
  it.each(['<button>Go</button>', '<input />', '<select />', '<textarea />', '<div role="button">Go</div>'])(
    '%s made by hand fails',
    async markup => expect(await complaints(markup)).toHaveLength(1),
  )
  it('the kit’s own pass', async () => expect(await complaints('<el-button>Go</el-button>')).toEqual([]))
  it('one whose job is in it may be made by hand, and says why in its file', async () => {
    expect(await complaints('<button>7</button>', 'bench/KeyPad')).toEqual([])
    const raw = readdirSync('app', { recursive: true, encoding: 'utf8' })
      .filter(file => file.endsWith('.vue'))
      .map(file => `app/${file}`)
      .filter(file => /<(button|input|select|textarea)\b|role="(button|slider)"/.test(readFileSync(file, 'utf8')))
    expect(raw.length).toBeGreaterThan(3)
    for (const file of raw) expect(readFileSync(file, 'utf8'), file).toMatch(/[Mm]ade by hand:/)
  })
})
