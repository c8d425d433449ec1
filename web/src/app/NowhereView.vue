<template>
  <div class="page">
    <h1>There is no page here</h1>
    <p>
      Check the address for a typing slip.
      <RouterLink :to="{ name: 'home' }">Go to Home</RouterLink>
    </p>
  </div>
</template>
