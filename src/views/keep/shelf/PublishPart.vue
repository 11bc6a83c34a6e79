<script setup lang="ts">
import { decodeText } from '../../../core/document/text'
import FileButton from '../../../components/FileButton.vue'
import { useStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { problemText } from '../../../core/problem'
import { isEditionOf } from '../../../core/shelf/editions'
import { useCharts } from '../../../stores/charts'
import type { TakenShelf } from '../../../stores/ownShelves'
import { useShelf } from '../../../stores/shelf'
import { useReport } from '../../parts/files/report'
import { useShelfPlace } from '../../parts/shelf/pulling'
import { t } from '../../../words/shelf'

/**
 * Shelves of the coach's own: a part of the open chart is published, or a file taken in; what lies in the bin comes
 * back.
 */
const charts = useCharts()
const store = useShelf()
const { go } = useShelfPlace()
const { report } = useReport()
const isOpen = ref(false)
const title = ref('')
const positions = ref<string[]>([])
const wrong = ref('')
/** Who made it is remembered for the next one. */
const author = useStorage('ataque-author', '')
const licence = useStorage('ataque-licence', '')
const edition = ref(1)
/** The name of one of the coach's own shelves makes another edition of it. */
const before = computed(() => {
  const [name, by] = [title.value.trim(), author.value.trim()]
  return store.own.find((one) => isEditionOf(one, { title: name, ...(by ? { author: by } : {}) }))
})
watch(before, (one) => (edition.value = one ? (one.edition ?? 1) + 1 : 1))
const options = computed(() => (charts.chart?.positions ?? []).map(({ id, name }) => ({ value: id, label: name })))

async function publish() {
  const { chart } = charts
  if (!chart || !title.value.trim() || !positions.value.length) {
    wrong.value = t('shelf.sayANameAndAtLeast')
    return
  }
  const [by, under] = [author.value.trim(), licence.value.trim()]
  const about = { ...(by ? { author: by } : {}), ...(under ? { licence: under } : {}), edition: edition.value }
  const name = title.value.trim()
  const taken = await store.publishFrom(chart, positions.value, name, about)
  show(name, taken)
  if (taken.state === 'added') charts.tell(t('shelf.titleIsOnTheShelf', { title: name }))
  title.value = wrong.value = ''
  positions.value = []
  isOpen.value = false
}

/** Goes to a shelf that is there now; another edition of one that is there is shown beside it first. */
function show(file: string, taken: TakenShelf) {
  if (taken.state === 'edition') report.value = { file, edition: taken }
  else go({ region: taken.id, text: '', at: '' })
}

async function take(file: File) {
  const text = decodeText(new Uint8Array(await file.arrayBuffer()))
  const taken = text.ok ? await store.importText(text.value) : text
  if (!taken) return
  wrong.value = taken.ok
    ? ''
    : t('shelf.fileWasNotTakenInProblems', {
        file: file.name,
        problems: taken.problems.slice(0, 3).map(problemText).join('; '),
      })
  if (taken.ok) show(file.name, taken.value)
}
</script>

<template>
  <section class="own" :aria-label="t('shelf.yourOwnShelves')">
    <el-button v-if="charts.chart && !isOpen" @click="isOpen = true">
      {{ t('shelf.publishFromThisChart') }}
    </el-button>
    <form v-if="isOpen" @submit.prevent="publish">
      <el-input
        v-model="title"
        :aria-label="t('shelf.nameOfTheShelf')"
        :placeholder="t('shelf.nameOfTheShelf')"
        @keydown.stop
      />
      <el-select-v2
        v-model="positions"
        :options="options"
        multiple
        filterable
        collapse-tags
        size="small"
        :placeholder="t('shelf.whichPositions')"
        :aria-label="t('shelf.positionsToPublish')"
      />
      <el-input
        v-model="author"
        maxlength="200"
        :aria-label="t('shelf.whoMadeIt')"
        :placeholder="t('shelf.whoMadeIt')"
        @keydown.stop
      />
      <el-input
        v-model="licence"
        maxlength="200"
        :aria-label="t('shelf.licence')"
        :placeholder="t('shelf.licence')"
        @keydown.stop
      />
      <label class="edition">
        <span class="label">{{ t('shelf.edition') }}</span>
        <el-input-number v-model="edition" :min="1" :step="1" step-strictly size="small" />
      </label>
      <p class="muted small">
        {{ before ? t('shelf.anotherEditionOf', { title: before.title }) : t('shelf.withWhatIsTriedFromThem') }}
      </p>
      <el-button native-type="submit" type="primary">{{ t('shelf.publish') }}</el-button>
      <el-button text @click="isOpen = false">{{ t('shelf.notNow') }}</el-button>
    </form>
    <FileButton :label="t('shelf.shelfFile')" @file="take">{{ t('shelf.takeInAShelfsFile') }}</FileButton>
    <p v-if="wrong" class="small wrong" role="alert">{{ wrong }}</p>
    <p v-for="one in store.bin" :key="one.id" class="small">
      {{ t('shelf.oneIsInTheBin', { one: one.title }) }}
      <el-button link @click="store.bringBack(one.id)">{{ t('shelf.bringBack') }}</el-button>,
      <el-button link @click="store.forget(one.id)">{{ t('shelf.forget') }}</el-button>
    </p>
  </section>
</template>

<style scoped>
.own,
form {
  display: grid;
  gap: var(--space-8);
}

.own {
  margin-top: var(--space-16);
  padding-top: var(--space-12);
  border-top: 1px solid var(--line);
}

.edition {
  display: flex;
  gap: var(--space-8);
  align-items: center;
}

.wrong {
  color: var(--leak);
}
</style>
