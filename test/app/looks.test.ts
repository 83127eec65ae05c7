/** A look is made once: what a button, a panel or a caution looks like, components/base alone says. */
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

const APP = new URL('../../app/', import.meta.url)
const views = readdirSync(APP, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.vue'))
const LOOKS = /\b(panel|button-(main|quiet|plain|word|glove)|caution-box|drawer|menu|menu-entry|choice-option)\b/
const classesOf = (source: string): string[] =>
  [...source.matchAll(/\sclass="([^"]*)"/g)].flatMap((match) => match[1]!.split(/\s+/))

/** @returns the files, outside the kit, in which the source has one */
const filesWith = (has: (source: string) => boolean) =>
  views.filter((file) => !file.startsWith('components/base/') && has(readFileSync(new URL(file, APP), 'utf8')))

describe('the views', () => {
  it('are there to be looked at', () => {
    expect(views.length).toBeGreaterThan(100)
  })
  it('name the looks of the interface kit nowhere but in it', () => {
    expect(filesWith((source) => classesOf(source).some((name) => name.replace(LOOKS, '') === ''))).toEqual([])
  })
  it('speak to Headless UI through the kit, but for what finds', () => {
    expect(filesWith((source) => source.includes('@headlessui/vue'))).toEqual(['components/frame/FrameFind.vue'])
  })
  it('have no list of their own: one that grows long must become one that is searched', () => {
    expect(filesWith((source) => source.includes('<select'))).toEqual([])
  })
})
