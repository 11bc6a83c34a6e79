<script setup lang="ts">
import { computed, ref } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { named } from '../../../components/options'
import PickList from '../../../components/PickList.vue'
import { isMinor } from '../../../core/club/person'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import SheetHead from '../../parts/print/SheetHead.vue'
import RivalStudy from './RivalStudy.vue'
import { t } from '../../../words/learn'

/** Two whom ours may meet, beside each other. Minors are not studied. */
const clubs = useClubs()
const people = computed(() => {
  const all = present(clubs.club).people.filter((one) => !isMinor(one))
  return all.toSorted((a, b) => Number(b.isRival ?? false) - Number(a.isRival ?? false))
})
const chosen = ref([people.value[0]?.id ?? '', people.value[1]?.id ?? ''])
const pick = (side: number, id: string) => (chosen.value = chosen.value.map((one, i) => (i === side ? id : one)))
const both = computed(() => chosen.value.map((id) => lookUp(people.value, id)))
</script>

<template>
  <section class="beside" :aria-label="t('learn.besideEachOther')">
    <SheetHead :title="t('learn.besideEachOther')">
      <RouterLink to="/people/rivals">{{ t('learn.rivals') }}</RouterLink>
    </SheetHead>
    <div class="two">
      <article v-for="(person, side) in both" :key="side">
        <PickList
          class="off-paper"
          :value="chosen[side] ?? ''"
          :options="named(people)"
          :aria-label="side === 0 ? t('learn.oneOfThem') : t('learn.theOther')"
          @change="(id: string) => pick(side, id)"
        />
        <template v-if="person">
          <h2>{{ person.name }}</h2>
          <RivalStudy :key="person.id" :person="person" />
          <p v-if="person.notes">{{ person.notes }}</p>
        </template>
      </article>
    </div>
  </section>
</template>

<style scoped>
.beside {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  padding: var(--space-16);
}

.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(360px, 100%), 1fr));
  gap: var(--space-24);
  align-items: start;
}

article {
  display: grid;
  gap: var(--space-12);
}
</style>
