<template>
  <p class="no-print border-b border-brass bg-band px-4 py-1.5 md:px-7" role="status">
    <b class="text-brass">This page came without HTTPS.</b> It works only while the server can be reached: nothing is
    kept for when it cannot. Bring this device in under Settings, Who is let in.
  </p>
</template>
