<script setup lang="ts">
import { computed } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { useRoute, useRouter } from 'vue-router'
import type { TimedBlock } from '../../../core/club/classPlan'
import { addBlock, moveBlock } from '../../../core/club/edits/sessions'
import { movedIn } from '../../../core/club/movedIn'
import { BLOCK_KINDS, type Block, type BlockKind, type Session } from '../../../core/club/session'
import PickList from '../../../components/PickList.vue'
import { useClubs } from '../../../stores/clubs'
import { BLOCK_NAMES, blockTitle } from '../../parts/club/blocks'
import BlockRow from './BlockRow.vue'
import { t } from '../../../words/train'

/** The blocks of a class in their order, which is changed by dragging or by keys. */
const props = defineProps<{ session: Session; timed: readonly TimedBlock[] }>()
const clubs = useClubs()
const route = useRoute()
const router = useRouter()
/** The list that is dragged is a copy: the order is changed by an edit. */
const blocks = computed({
  get: () => props.timed.map(({ block }) => block),
  set(ordered: Block[]) {
    const ids = (blocks: readonly Block[]) => blocks.map(({ id }) => id)
    const moved = movedIn(ids(props.session.blocks), ids(ordered))
    if (moved) move(moved.id, moved.to)
  },
})
const options = BLOCK_KINDS.map((kind) => ({ value: kind, label: BLOCK_NAMES[kind] }))

function move(id: string, to: number) {
  const block = props.session.blocks.find((one) => one.id === id)
  if (!block || to < 0 || to >= props.session.blocks.length) return
  clubs.edit(t('train.moveBlock', { block: blockTitle(block) }), (draft) => moveBlock(draft, props.session.id, id, to))
}
const show = (block: string) =>
  router.push({ path: route.path, query: { ...route.query, class: props.session.id, block, part: 'about' } })
function add(kind: BlockKind) {
  let id = ''
  clubs.edit(t('train.addABlock'), (draft) => void (id = addBlock(draft, props.session.id, kind)))
  if (id) void show(id)
}
</script>

<template>
  <section :aria-label="t('train.blocks')">
    <VueDraggable v-model="blocks" tag="ol" handle=".grip" :animation="120">
      <BlockRow
        v-for="(one, i) in timed"
        :key="one.block.id"
        :timed="one"
        :session="session"
        @show="show(one.block.id)"
        @move="(by) => move(one.block.id, i + by)"
      />
    </VueDraggable>
    <PickList
      class="add off-paper"
      :options="options"
      :placeholder="t('train.addABlock')"
      :aria-label="t('train.addABlock')"
      @change="add"
    />
  </section>
</template>

<style scoped>
ol {
  display: grid;
  gap: var(--space-4);
}

.add {
  width: 220px;
  margin-top: var(--space-8);
}
</style>
