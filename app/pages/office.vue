<script setup lang="ts">
import type { PastEdition } from '#core/plan/past-editions'

useHead({ title: 'Office · Ample Tally' })
const session = useSession()
const past = ref<PastEdition[]>([])
async function loadPast() {
  past.value = (await api<{ pastEditions: PastEdition[] }>('/api/past-editions')).pastEditions
}
onMounted(() => void loadPast().catch(() => undefined))
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Office</h1>
      <p class="told">{{ session.session?.studio.name }}</p>
      <VBtn class="quiet right" to="/charges">Who owes what</VBtn>
      <VBtn v-if="session.isStaff" class="quiet" to="/orders">Order list</VBtn>
      <VBtn v-if="session.isStaff" class="quiet" to="/year">The year</VBtn>
    </div>
    <section class="part">
      <div class="part-head">
        <h2>People</h2>
        <p>
          {{
            session.isManager
              ? 'names can be corrected; what a person did stays theirs'
              : 'the manager adds and changes people'
          }}
        </p>
      </div>
      <PeopleOfRoom />
      <CollapsibleSection
        v-if="session.isManager"
        title="Many at once"
        words="the list of people as a file, out and in"
      >
        <PeopleInBulk />
      </CollapsibleSection>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Your PIN</h2>
        <p>known to you alone</p>
      </div>
      <OwnSecret />
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Signed in</h2>
        <p>{{ session.isStaff ? 'where people of this room are signed in' : 'where you are signed in' }}</p>
      </div>
      <SignedIn />
    </section>
    <section v-if="session.isStaff" class="part">
      <div class="part-head">
        <h2>Comings and goings</h2>
        <p>sign-ins, refusals and changes of people</p>
      </div>
      <SecurityLines />
    </section>
    <section v-if="session.isManager" class="part">
      <div class="part-head">
        <h2>The studio</h2>
        <p>what new editions start from</p>
      </div>
      <StudioCustoms />
    </section>
    <section id="care" class="part">
      <div class="part-head">
        <h2>Care</h2>
        <p>what is usual where something can hurt, and what holds here</p>
      </div>
      <CareRules />
    </section>
    <section v-if="session.isStaff" class="part">
      <div class="part-head">
        <h2>Editions from before</h2>
        <p>so that plans do not start from a guess</p>
      </div>
      <PastEditions :past="past" @done="loadPast" />
    </section>
    <section v-if="session.isStaff" class="part">
      <div class="part-head">
        <h2>Files</h2>
        <p>what the room holds, for other programs and other rooms</p>
      </div>
      <OpenFiles />
    </section>
    <RefusedTaps />
    <section v-if="session.isStaff" class="part">
      <div class="part-head">
        <h2>The ledger</h2>
        <p>events are only ever added; a chain of hashes proves it</p>
      </div>
      <LedgerLook />
      <BackupsKept />
    </section>
  </div>
</template>
