<script setup lang="ts">
import dayjs from 'dayjs'
import { computed, ref } from 'vue'
import PickList from '../../../components/PickList.vue'
import { bandsOf } from '../../../core/chart/bands'
import { lookUp } from '../../../core/chart/lookUp'
import { giveHomework } from '../../../core/club/edits/homework'
import { limitsOf } from '../../../core/club/limits'
import { mayBeLogged } from '../../../core/club/person'
import { mayAllDo } from '../../../core/club/protect'
import { idFromName } from '../../../core/document/ids'
import { makeDocument } from '../../../core/document/read'
import { fileName } from '../../../core/files/fileKinds'
import { packOf, type HomeworkSubject } from '../../../core/rehearse/makePack'
import { PACK_FILE } from '../../../core/rehearse/packFiles'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { played } from '../../../stores/estimates'
import { useFigures } from '../../../stores/figures'
import { handOver } from '../../parts/files/download'
import { t as common } from '../../../words'
import { t } from '../../../words/rehearse'

/** Who gets which part of the plan, with what is said to it; the file is made and handed over. */
const charts = useCharts()
const clubs = useClubs()
const figures = useFigures()
const chosen = ref({ who: '', about: '' })
const says = ref('')

const people = computed(() => present(clubs.club).people.filter(({ isRival }) => !isRival))
const person = computed(() => lookUp(people.value, chosen.value.who) ?? people.value[0])
const subjects = computed(() => {
  const { positions = [], runs = [] } = charts.chart ?? {}
  return [
    ...bandsOf(positions).map(({ key, name }) => ({
      value: `region ${key}`,
      label: t('rehearse.regionNamed', { name }),
    })),
    ...runs.map(({ id, name }) => ({ value: `run ${id}`, label: t('rehearse.runNamed', { name }) })),
  ]
})
const about = computed(() => {
  const { about: picked } = chosen.value
  return subjects.value.some(({ value }) => value === picked) ? picked : (subjects.value[0]?.value ?? '')
})
const subject = computed((): HomeworkSubject => {
  const [kind = '', ...id] = about.value.split(' ')
  return { kind: kind === 'run' ? 'run' : 'region', id: id.join(' ') }
})
const isKept = computed(() => person.value !== undefined && mayBeLogged(person.value))
const pack = computed(() => {
  const { chart } = charts
  if (!chart || !figures.figures || !person.value || !isKept.value) return null
  const club = present(clubs.club)
  const may = mayAllDo([person.value], limitsOf(club))
  const given = { id: 'homework', club: club.id, person: person.value, subject: subject.value, day: today() }
  return packOf(played.value(chart), figures.figures, given, may)
})
const today = () => dayjs().format('YYYY-MM-DD')

/** The file has an id that no other has on whichever phone it is opened. */
const idOf = (title: string) =>
  idFromName(
    `${title} ${Math.random().toString(36).slice(2, 8)}`,
    new Set(present(clubs.club).homework?.map(({ id }) => id)),
  )

async function give() {
  const [made, who] = [pack.value, person.value]
  if (!made || !who) return
  const id = idOf(made.title)
  const text = says.value.trim()
  const file = { ...made, id, chart: { ...made.chart, id }, ...(text ? { says: text } : {}) }
  const homework = { id, us: who.id, chart: file.of, title: file.title, given: file.given, cards: file.cards.length }
  const isGiven = clubs.edit(t('rehearse.giveHomework', { name: who.name, title: file.title }), (draft) =>
    giveHomework(draft, homework),
  )
  if (isGiven) await handOver(makeDocument(file), fileName(PACK_FILE, id, who.id))
}
</script>

<template>
  <form class="panel" :aria-label="t('rehearse.setHomework')" @submit.prevent="give">
    <label>
      <span class="label">{{ t('rehearse.whoGetsIt') }}</span>
      <PickList
        :value="person?.id ?? ''"
        :options="people.map(({ id, name }) => ({ value: id, label: name }))"
        @change="(id: string) => (chosen.who = id)"
      />
    </label>
    <label>
      <span class="label">{{ t('rehearse.whatItIsAbout') }}</span>
      <PickList :value="about" :options="subjects" @change="(picked: string) => (chosen.about = picked)" />
    </label>
    <label>
      <span class="label">{{ t('rehearse.whatYouSay') }}</span>
      <el-input v-model="says" maxlength="500" :placeholder="t('rehearse.whatYouSayHint')" />
    </label>
    <p v-if="person && !isKept">{{ t('rehearse.notOfThisMinor', { name: person.name }) }}</p>
    <template v-else-if="pack && person">
      <p v-if="!pack.cards.length" class="muted">{{ t('rehearse.noQuestionsOfIt', { name: person.name }) }}</p>
      <template v-else>
        <p>
          {{
            t(
              'rehearse.homeworkHas',
              { places: common('count.position', new Set(pack.cards.map(({ asked }) => asked.position)).size) },
              pack.cards.length,
            )
          }}
          <span class="muted">{{ t('rehearse.leavesOut', { name: person.name }) }}</span>
        </p>
        <el-button type="primary" class="big" native-type="submit">{{ t('rehearse.saveThePack') }}</el-button>
      </template>
    </template>
  </form>
</template>

<style scoped src="./start.css"></style>
