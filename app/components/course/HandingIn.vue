<script setup lang="ts">
import { date } from '~/format/days'

/** The work as it is handed in: the pictures the assignment names, and one's own words to each of its points. */
const edition = useEdition()
const session = useSession()
const { busy, fault, giving } = useGiving()
const state = computed(() => edition.state!)
const asked = computed(() => state.value.assignment!)
const work = computed(() => state.value.handedIn)
interface Form {
  pictures: Record<string, string | null>
  points: Record<string, string>
  words: string
}
const standing = (): Form => ({
  pictures: Object.fromEntries(
    asked.value.pictures.map((shows) => [
      shows,
      work.value?.pictures.find((one) => one.shows === shows)?.pictureId ?? null,
    ]),
  ),
  points: Object.fromEntries(
    asked.value.points.map((point) => [point, work.value?.points.find((one) => one.point === point)?.words ?? '']),
  ),
  words: work.value?.words ?? '',
})
const form = ref(standing())
const draft = useDraft(`hand in ${edition.id}`, form, standing)
const changing = ref(false)
const comment = ref('')
const mayHandIn = computed(() => edition.isTheirs && !state.value.closedAt)
/** Its student finds the form open; staff hand in for somebody only when asked. */
const isOpen = computed(() => mayHandIn.value && (changing.value || (work.value === null && !session.isStaff)))

const handIn = () =>
  giving(async () => {
    await edition.give('hand-in', {
      pictures: asked.value.pictures.flatMap((shows) => {
        const pictureId = form.value.pictures[shows]
        return pictureId ? [{ shows, pictureId }] : []
      }),
      points: asked.value.points.map((point) => ({ point, words: form.value.points[point] ?? '' })),
      words: form.value.words,
    })
    draft.done()
    changing.value = false
  })
const say = () =>
  giving(async () => {
    await edition.give('comment-work', { words: comment.value })
    comment.value = ''
  })
</script>

<template>
  <section class="part" aria-labelledby="hand-in">
    <div class="part-head">
      <h2 id="hand-in">Handing in</h2>
      <p v-if="asked.due">by {{ date(asked.due) }}</p>
    </div>
    <template v-if="work && !changing">
      <p>
        Handed in by {{ session.nameOf(work.by) }}, {{ date(work.at) }}.
        <NuxtLink :to="`/editions/${edition.id}/close`">The edition’s record</NuxtLink>
      </p>
      <div class="pictures">
        <figure v-for="picture in work.pictures" :key="picture.shows">
          <a :href="`/api/pictures/${picture.pictureId}`"
            ><img :src="`/api/pictures/${picture.pictureId}`" :alt="`${picture.shows}, of ${state.title}`"
          /></a>
          <figcaption class="soft">{{ picture.shows }}</figcaption>
        </figure>
      </div>
      <dl class="points">
        <div v-for="one in work.points" :key="one.point">
          <dt>{{ one.point }}</dt>
          <dd>{{ one.words }}</dd>
        </div>
      </dl>
      <p v-if="work.words">{{ work.words }}</p>
      <div v-if="mayHandIn && !session.isStaff" class="buttons">
        <VBtn class="quiet" @click="changing = true">Hand in again</VBtn>
      </div>
    </template>
    <ActForm v-else-if="isOpen" button="Hand it in" :busy="busy" :fault="fault" @give="handIn">
      <PictureChoice
        v-for="shows in asked.pictures"
        :key="shows"
        v-model="form.pictures[shows]!"
        class="picture"
        :what="shows"
      />
      <div class="fields">
        <VTextarea
          v-for="point in asked.points"
          :key="point"
          v-model="form.points[point]"
          class="wide"
          :label="point"
          rows="2"
          maxlength="2000"
        />
        <VTextarea v-model="form.words" class="wide" label="Anything else" rows="2" maxlength="4000" />
      </div>
      <template #beside
        ><VBtn v-if="changing" class="quiet" @click="changing = false">Leave it as it was</VBtn></template
      >
    </ActForm>
    <p v-else class="soft">
      Not handed in yet.
      <button v-if="mayHandIn" type="button" class="link" @click="changing = true">Hand it in for them</button>
    </p>
    <ul v-if="state.comments.length > 0" class="lines comments">
      <li v-for="one in state.comments" :key="one.at">
        <strong>{{ session.nameOf(one.by) }}</strong>, {{ date(one.at) }}: {{ one.words }}
      </li>
    </ul>
    <form v-if="work && session.isStaff" class="fields" @submit.prevent="say">
      <VTextarea v-model="comment" class="wide" label="What you see in the work" rows="2" maxlength="4000" />
      <VBtn type="submit" class="quiet" :loading="busy">Say it to them</VBtn>
    </form>
    <p v-if="fault && !isOpen" class="trouble" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  margin: 12px 0;
}
.pictures img {
  height: 150px;
  border: 1px solid var(--rule);
}
.picture {
  margin-bottom: 12px;
}
.points dt {
  font-weight: 600;
}
.points dd {
  margin: 0 0 8px;
}
.comments {
  margin: 14px 0;
}
</style>
