<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'
import { computed, ref } from 'vue'
import { useTree } from '../../../components/arrowKeys'
import { lookUp } from '../../../core/chart/lookUp'
import { itemKey, partsOfItem, type Item } from '../../../core/slope/items'
import { sayItem } from '../../../core/say/slopeItem'
import { useFigures } from '../../../stores/figures'
import { useSlope } from './slope'
import { t } from '../../../words/slope'

/** The picture as text, for what is in focus: positions from the crest down, what is tried there, what they do. */
const { chart, scene, seen, at, goTo } = useSlope()
const store = useFigures()
const tree = ref<HTMLElement>()
useTree(tree)
/** A chart of hundreds of positions is read around a place, not from end to end. */
const MAX_LINES = 60

const positions = computed(() => {
  const all = (scene.value?.ledges ?? []).filter(
    ({ id, kind }) => kind === 'position' && (!seen.value || seen.value.places.has(id)),
  )
  return all.slice(0, MAX_LINES)
})
const say = (item: Item) => sayItem(chart.value, store.figures, item)
const parts = (item: Item) =>
  partsOfItem(chart.value, store.figures, item).filter((part) => {
    if (part.kind === 'place') return false
    return part.kind !== 'move' || !seen.value || seen.value.moves.has(part.move)
  })
const isHere = (item: Item) => Boolean(at.value && itemKey(at.value) === itemKey(item))
const placeOf = (id: string): Item => ({ kind: 'place', place: id })
const nameOf = (id: string) => lookUp(chart.value.positions, id)?.name
</script>

<template>
  <section :aria-label="t('slope.thePictureAsText')">
    <h2>{{ t('slope.asText') }}</h2>
    <ul ref="tree" role="tree" :aria-label="t('slope.thePictureAsText')">
      <li v-for="({ id }, i) in positions" :key="id" role="none">
        <RowButton
          class="place"
          role="treeitem"
          :tabindex="i === 0 ? 0 : -1"
          :aria-current="isHere(placeOf(id))"
          :aria-label="t('slope.goToId', { id: nameOf(id) })"
          @click="goTo(placeOf(id))"
        >
          {{ say(placeOf(id)) }}
        </RowButton>
        <ul role="group">
          <li v-for="move in parts(placeOf(id))" :key="itemKey(move)" role="none">
            <RowButton role="treeitem" tabindex="-1" :aria-current="isHere(move)" @click="goTo(move)">
              {{ say(move) }}
            </RowButton>
            <ul role="group">
              <li v-for="escape in parts(move)" :key="itemKey(escape)" role="none">
                <RowButton role="treeitem" tabindex="-1" :aria-current="isHere(escape)" @click="goTo(escape)">
                  {{ say(escape) }}
                </RowButton>
                <ul v-if="escape.kind === 'escape'" role="group">
                  <li v-for="answer in parts(escape)" :key="itemKey(answer)" role="none">
                    <RowButton role="treeitem" tabindex="-1" :aria-current="isHere(answer)" @click="goTo(answer)">
                      {{ say(answer) }}
                    </RowButton>
                  </li>
                </ul>
              </li>
            </ul>
          </li>
        </ul>
      </li>
    </ul>
    <p v-if="positions.length === MAX_LINES" class="muted small">
      {{ t('slope.theFirstMaxLinesPositionsBring', { maxLines: MAX_LINES }) }}
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: var(--space-8);
}

ul ul {
  margin: var(--space-4) 0 var(--space-8);
  padding-left: var(--space-12);
  border-left: 2px solid var(--line);
}

button {
  min-height: var(--tool);
  padding: var(--space-4) var(--space-4);
  font-size: var(--type-body);
}

.place {
  font-weight: var(--weight-strong);
}

[aria-current='true'] {
  background: var(--ours-soft);
}
</style>
