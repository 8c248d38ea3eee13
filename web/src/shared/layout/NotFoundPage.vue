<template>
  <div class="p-6">
    <h1>There is no page at this address</h1>
    <p class="mt-2">
      It may have been moved. <RouterLink class="link" to="/jobs">Go to the jobs</RouterLink>, or press / and
      type what you look for.
    </p>
  </div>
</template>
