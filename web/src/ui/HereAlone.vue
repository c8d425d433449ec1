<template>
  <p class="quiet">
    Only this computer can reach that address. Start Vantick with
    <code class="fw-bold text-nowrap">--host 0.0.0.0</code>
    for other devices.
  </p>
</template>
