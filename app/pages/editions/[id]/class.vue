<script setup lang="ts">
import { today } from '~/format/days'
import { day, dueIn } from '~/format/days'

/** The edition as a class’s assignment: what is asked for first, who was asked, and handing it in. */
const edition = useEdition()
const session = useSession()
const state = computed(() => edition.state!)
const assignment = computed(() => state.value.assignment)
const opensLater = computed(() => (assignment.value?.opens ?? '') > today())
</script>

<template>
  <div>
    <section v-if="!assignment" class="part">
      <p>This edition belongs to no class: nothing is asked for first, and nothing handed in.</p>
    </section>
    <template v-else>
      <p class="of">
        <strong>{{ assignment.title }}</strong> of
        <NuxtLink v-if="session.isStaff" :to="`/class/${assignment.courseId}`">{{
          assignment.course
        }}</NuxtLink><template v-else>{{ assignment.course }}</template
        ><template v-if="opensLater">, opens on {{ day(assignment.opens) }}</template
        ><template v-if="assignment.due">, {{ dueIn(assignment.due) }}</template
        >.
      </p>
      <template v-if="edition.isTheirs">
        <GatesOfEdition />
        <HandingIn />
      </template>
      <p v-else class="soft">What was asked, signed off and handed in is for those who print it, and staff.</p>
    </template>
  </div>
</template>

<style scoped>
.of {
  margin-bottom: 8px;
}
</style>
