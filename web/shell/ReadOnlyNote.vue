<template>
  <p class="no-print border-b border-brass bg-band px-4 py-1.5 md:px-7" role="status">
    <b class="text-brass">This store can only be read.</b> Look at everything; what you enter is not taken.
  </p>
</template>
