import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { BoneKind, Cloth } from '../api/types'
import { valuesOf } from '../parts/entries'
import { useOpenBuild } from './openBuild'
import { useSettings } from './settings'

/** All there is to choose from: what is shipped, with the build's own added or in its place. */
const withOwn = <T extends { name: string }>(shipped: T[], own: Record<string, T | undefined>) => [
  ...shipped.map((kind) => own[kind.name] ?? kind),
  ...valuesOf(own).filter((kind) => !shipped.some((other) => other.name === kind.name)),
]

/** Bones and cloths that the open build can be made of. */
export const useMaterials = defineStore('materials', () => {
  const openBuild = useOpenBuild()
  const settings = useSettings()
  const bones = computed<BoneKind[]>(() => withOwn(settings.catalogue.bones, openBuild.build.catalogue.bones))
  const cloths = computed<Cloth[]>(() => withOwn(settings.catalogue.cloths, openBuild.build.catalogue.cloths))
  /** Cloths that can carry the pull. */
  const carrying = computed(() => cloths.value.filter((cloth) => cloth.suits.includes('strength')))
  const boneLabel = (name: string) => bones.value.find((kind) => kind.name === name)?.label ?? name
  const clothLabel = (name: string) => cloths.value.find((cloth) => cloth.name === name)?.label ?? name

  return { bones, cloths, carrying, boneLabel, clothLabel }
})
