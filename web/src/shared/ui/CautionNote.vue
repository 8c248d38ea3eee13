<template>
  <p class="border-l-4 border-amber bg-amber-wash px-3 py-2 text-[14px]">
    <strong class="font-semibold">Caution. </strong><slot />
  </p>
</template>
