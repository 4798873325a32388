<template>
  <section class="p-8">
    <h1 class="text-2xl">There is nothing at this address</h1>
    <p class="mt-2">It may have been typed wrong. <RouterLink class="link" to="/bay">Go to the Bay</RouterLink></p>
  </section>
</template>
