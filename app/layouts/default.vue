<script setup lang="ts">
const session = useSession()
const outbox = useOutbox()
const route = useRoute()
const rooms = [
  { to: '/', name: 'Floor', tall: 2.4 },
  { to: '/day', name: 'Day sheet', tall: 1.8 },
  { to: '/editions', name: 'Editions', tall: 1.8 },
  { to: '/paper', name: 'Paper table', tall: 1.8 },
  { to: '/ink', name: 'Ink slab', tall: 1.8 },
  { to: '/presses', name: 'Presses', tall: 1.8 },
  { to: '/racks', name: 'Racks', tall: 1.8 },
  { to: '/class', name: 'Class', tall: 1.8 },
  { to: '/office', name: 'Office', tall: 1.8 },
]
/** Browsers tell a private way from one that others can read. */
const isPrivate = window.isSecureContext
const { finding, keysShown, hasDoors } = useDoors()
const here = (to: string) => (to === '/' ? route.path === '/' : route.path.startsWith(to))
</script>

<template>
  <div class="house">
    <a class="skip" href="#content">To the content</a>
    <header class="plan">
      <NuxtLink to="/" class="mark" aria-label="Ample Tally, to the floor">Ample <br />Tally</NuxtLink>
      <nav aria-label="Rooms">
        <ul>
          <li v-for="room in rooms" :key="room.to" :class="`tall-${room.tall * 10}`">
            <NuxtLink
              :to="room.to"
              :class="{ 'is-here': here(room.to) }"
              :aria-current="here(room.to) ? 'page' : undefined"
              >{{ room.name }}</NuxtLink
            >
          </li>
          <li class="tall-14">
            <button type="button" :aria-expanded="finding" @click="finding = true">Find <kbd>F</kbd></button>
          </li>
          <li class="tall-14">
            <button type="button" :aria-expanded="keysShown" @click="keysShown = true">Keys <kbd>K</kbd></button>
          </li>
        </ul>
      </nav>
      <p v-if="outbox.unsent > 0" class="waiting" role="status">{{ outbox.unsent }} waiting to be stored</p>
      <p v-if="outbox.notKept" class="waiting" role="alert">
        {{ outbox.notKept }} <button type="button" @click="outbox.keepAgain()">Try again to keep them</button>
      </p>
      <p v-if="outbox.refused.length > 0" class="waiting">
        <NuxtLink to="/office#refused">{{ outbox.refused.length }} refused</NuxtLink>
      </p>
    </header>
    <div class="room">
      <p class="who">
        <template v-if="session.session?.demo"><strong>Demo</strong>, nothing here is real.&#32;</template>
        <template v-if="session.person"
          >Signed in: <NuxtLink to="/sign-in">{{ session.person.name }}, {{ session.person.role }}</NuxtLink></template
        >
        <NuxtLink v-else to="/sign-in">Sign in</NuxtLink>
      </p>
      <p v-if="!isPrivate" class="who">
        Without HTTPS others in the network can read along, and the bench cannot start while the server is away.
      </p>
      <LeftOpen />
      <LazyFindDialog v-if="hasDoors" v-model="finding" />
      <LazyKeysDialog v-if="hasDoors" v-model="keysShown" />
      <main id="content" tabindex="-1"><slot /></main>
    </div>
  </div>
</template>
