<template>
  <div class="page">
    <h1>There is nothing at this address</h1>
    <p>
      Perhaps it was typed a little differently.
      <RouterLink :to="{ name: 'home' }">Back to the class</RouterLink>
    </p>
  </div>
</template>
